import { describe, expect, it } from 'vitest';
import { database, inOneMoment, inTransaction } from '../database';
import { onOwnData } from '../testing/onOwnData';
import { remembering } from './remembering';

onOwnData();

describe('what never changes under its name', () => {
  it('is read once, anew by who writes or outside of one moment, and again where the file was copied over', async () => {
    let reads = 0;
    const remembered = remembering<number>('test', 2);
    const ask = (name: string): Promise<number> => remembered.read(name, async () => ++reads);
    const one = () => inOneMoment(() => ask('one'));
    expect([await one(), await one()]).toEqual([1, 1]);
    expect(await inTransaction(() => ask('one'))).toBe(2);
    expect(await ask('one')).toBe(3);
    expect(await one()).toBe(1);
    // The oldest goes.
    for (const name of ['two', 'three']) await inOneMoment(() => ask(name));
    expect(await one()).toBe(6);
    // As a copying of pages over an open file leaves it.
    const [{ schema_version: was }] = (await (await database()).query('PRAGMA schema_version'))[0] as [
      { schema_version: number },
    ];
    await (await database()).query(`PRAGMA schema_version = ${was + 1}`);
    expect(await one()).toBe(7);
  });
});
