import { setTimeout as wait } from 'node:timers/promises';
import { describe, expect, it } from 'vitest';
import type { Problem } from '../../schemas/problem';
import { readApart } from './readApart';
import { understand } from './understand';

const bytes = (text: string): Uint8Array => new TextEncoder().encode(text);
const LIST = bytes('Menu,Command,Shortcut\nRepair,Lift stain,F9\nRepair,Dust sweep,Alt+Q\n');
/** A list that takes its time, some seconds: no two of its hundreds of thousands of keys are the same. */
const LONG = bytes(
  Array.from(
    { length: 9500 },
    (_, row) =>
      `Command ${row},${Array.from({ length: 24 }, (_, i) => `Ctrl+K ${[...`${row * 24 + i}`].join(' ')}`).join(' or ')}`,
  ).join('\n'),
);
const read = (given: Uint8Array, window = 'one', gone = new AbortController().signal) =>
  readApart({ as: 'program', bytes: given, choices: null, corrections: {} }, { window, gone });
const refusal = (code: Problem['code'], message: RegExp) =>
  expect.objectContaining({ name: 'Problem', code, message: expect.stringMatching(message) });

describe('reading in a thread of its own', () => {
  it('understands what would be understood here, and refuses with the same sentence', async () => {
    expect(await read(LIST)).toEqual(understand(LIST));
    await expect(read(bytes('{"format": 3}'))).rejects.toEqual(refusal('unreadable', /not one that was exported here/));
    await expect(read(bytes(`<html>${'<div>'.repeat(900_000)}`))).rejects.toEqual(
      refusal('unreadable', /nested too deeply/),
    );
  }, 60_000);

  it('goes one at a time for each window and two in all, the others in their turn', async () => {
    const order: string[] = [];
    const noted = (name: string, given: Uint8Array, window: string) => read(given, window).then(() => order.push(name));
    await Promise.all([
      noted('a long', LONG, 'a'),
      noted('a short', LIST, 'a'),
      noted('b short', LIST, 'b'),
      noted('c short', LIST, 'c'),
    ]);
    // While a's long one is read, b and c come one after the other; a's next waits for it.
    expect(order).toEqual(['b short', 'c short', 'a long', 'a short']);
  }, 60_000);

  it('stops when the window is gone, whether it was begun or not, and goes on with the next', async () => {
    const [begun, queued] = [new AbortController(), new AbortController()];
    const left = refusal('not valid', /page was left/);
    const first = expect(read(LONG, 'a', begun.signal)).rejects.toEqual(left);
    const second = expect(read(LONG, 'a', queued.signal)).rejects.toEqual(left);
    const third = read(LIST, 'a');
    queued.abort();
    begun.abort();
    await Promise.all([first, second]);
    expect(await third).toEqual(understand(LIST));
  }, 60_000);

  it('is stopped where it takes too much memory, and nothing else is', async () => {
    // As many elements as a page may have, each with more attributes than any has.
    const page = bytes(`<table><tr><td>x</td></tr></table>${'<br a b c d e f>'.repeat(327_000)}`);
    const huge = expect(read(page)).rejects.toEqual(refusal('too large', /more memory/));
    // This thread goes on meanwhile.
    let turns = 0;
    const counting = (async () => {
      for (let i = 0; i < 20; i++) {
        await wait(5);
        turns++;
      }
    })();
    await Promise.all([huge, counting]);
    expect(turns).toBe(20);
    expect(await read(LIST)).toEqual(understand(LIST));
  }, 60_000);
});
