import { spawn } from 'node:child_process';
import {
  copyFileSync,
  existsSync,
  mkdtempSync,
  readdirSync,
  readFileSync,
  rmSync,
  truncateSync,
  writeFileSync,
} from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { afterAll, afterEach, beforeAll, describe, expect, it, vi } from 'vitest';
import type { Problem } from '../../schemas/problem';
import { closeDatabase } from '../database';
import { databaseFile, dataFolder } from '../dataFolder';
import { seedDemo } from '../demo/seedDemo';
import { openPlainFile } from '../stored/plainFile';
import { editKeymap } from '../testing/draftSteps';
import { loadKeymapView, loadKeymapViewById } from '../useCases/screens';
import { copyOfToday, keepDaily } from './keepDaily';
import { restoreFrom } from './restoreFrom';
import { saveEverything } from './saveEverything';

const folder = mkdtempSync(join(tmpdir(), 'gray-pin-'));
const saved = join(folder, 'saved.sqlite');
let keymap = 0;
let command = '';
/** How long is waited for what is done beside the test, with room for a slow machine. */
const WAIT = { timeout: 60_000 };
beforeAll(async () => {
  process.env.GRAY_PIN_DATA = join(folder, 'data');
  await seedDemo('demo');
  const { draft, program, bindings } = await loadKeymapView('nibshore', 'my-painting-hand');
  const taken = new Set(bindings.map(([id]) => id));
  keymap = draft.id;
  command = program.commands.find((one) => one.kind === 'menu item' && !taken.has(one.id))?.id ?? '';
});
afterAll(async () => {
  await closeDatabase();
  rmSync(folder, { recursive: true, force: true });
});

/** Puts one more ticket on the tape. @returns how many there are. */
async function edit(): Promise<number> {
  const { draft, bindings } = await loadKeymapViewById(keymap);
  const before = bindings.filter(([id]) => id === command).map(([, chord]) => ({ chord }));
  const after = [{ chord: `Mod+Alt+Shift+F${((draft.cursor + 1) % 24) + 1}` }];
  const ticket = { title: `Edit ${draft.cursor + 1}`, changes: [{ command, before, after }] };
  return (await editKeymap(keymap, draft.revision, ticket)).cursor;
}
const cursor = async (): Promise<number> => (await loadKeymapViewById(keymap)).draft.cursor;
async function looked<Row>(path: string, sql: string): Promise<Row | undefined> {
  const file = await openPlainFile(path, 'to read');
  const [row] = await file.all<Row>(sql);
  await file.close();
  return row;
}
const cursorIn = async (path: string): Promise<number | undefined> =>
  (await looked<{ cursor: number }>(path, `SELECT cursor FROM keymaps WHERE id = ${keymap}`))?.cursor;
/** Kills a script at many moments, from before it is loaded on, and lets it end once. @returns how far the tape in a file was each time. */
async function killed(script: 'backup' | 'restore', file: string): Promise<(number | undefined)[]> {
  const outcomes = new Set<number | undefined>();
  const kills = process.env.FULL === '1' ? 20 : 5;
  for (let i = 0; i <= kills; i++) {
    const running = spawn(process.execPath, ['--import', 'tsx', `scripts/${script}.ts`, saved], { stdio: 'ignore' });
    const ended = new Promise((resolve) => running.once('exit', resolve));
    const deadly = i < kills ? setTimeout(() => running.kill('SIGKILL'), 100 + (900 * i) / kills) : undefined;
    await ended;
    clearTimeout(deadly);
    expect(await looked(file, 'PRAGMA integrity_check')).toEqual({ integrity_check: 'ok' });
    outcomes.add(await cursorIn(file));
  }
  return [...outcomes].sort();
}
const refusal = (code: Problem['code'], message: RegExp) =>
  expect.objectContaining({ name: 'Problem', code, message: expect.stringMatching(message) });

describe('saving everything', () => {
  it('writes one whole file while edits come in, with all that was confirmed before', async () => {
    const confirmed = await edit();
    const editing = (async () => {
      for (let i = 0; i < 15; i++) await edit();
    })();
    await saveEverything(saved);
    const there = await cursorIn(saved);
    await editing;
    expect(there).toBeGreaterThanOrEqual(confirmed);
    expect(there).toBeLessThanOrEqual(confirmed + 15);
    expect(await looked(saved, 'PRAGMA integrity_check')).toEqual({ integrity_check: 'ok' });
    expect(await looked(saved, `SELECT count(*) AS tape FROM tickets WHERE keymap_id = ${keymap}`)).toEqual({
      tape: there,
    });
    expect(existsSync(`${saved}.unfinished`)).toBe(false);
  });
});

describe('a copy a day', () => {
  it('is kept by itself, once a day, seven of them', async () => {
    const daily = () => readdirSync(join(dataFolder(), 'copies')).filter((name) => name.includes('daily'));
    for (let day = 1; day <= 9; day++)
      for (const hour of ['08', '17'])
        await copyOfToday(new Date(`2026-05-${`${day}`.padStart(2, '0')}T${hour}:00:00Z`));
    expect(daily()).toEqual([3, 4, 5, 6, 7, 8, 9].map((day) => `gray-pin daily 2026-05-0${day}.sqlite`));
    expect(await cursorIn(join(dataFolder(), 'copies', daily()[0] ?? ''))).toBe(await cursor());
  });
});

describe('an hour later', () => {
  afterEach(() => {
    vi.useRealTimers();
    vi.restoreAllMocks();
  });

  it('today’s copy is looked for again, and that none can be kept stops nobody', async () => {
    vi.useFakeTimers({ toFake: ['setInterval', 'Date'], now: new Date('2026-06-01T08:00:00Z') });
    const [copies, said] = [join(dataFolder(), 'copies'), vi.spyOn(console, 'error').mockReturnValue()];
    const has = (day: string) => () => expect(existsSync(join(copies, `gray-pin daily ${day}.sqlite`))).toBe(true);
    keepDaily();
    await vi.waitFor(has('2026-06-01'), WAIT);
    vi.setSystemTime(new Date('2026-06-02T08:00:00Z'));
    rmSync(copies, { recursive: true });
    writeFileSync(copies, 'no folder');
    vi.advanceTimersByTime(3_600_000);
    await vi.waitFor(
      () => expect(said).toHaveBeenCalledWith('Today’s copy could not be kept.', expect.anything()),
      WAIT,
    );
    rmSync(copies);
    vi.advanceTimersByTime(3_600_000);
    await vi.waitFor(has('2026-06-02'), WAIT);
  });
});

describe('restoring', () => {
  it('refuses beside a running server, and what is damaged, foreign, newer or not there; nothing is changed', async () => {
    await saveEverything(saved);
    const now = await edit();
    await expect(restoreFrom(saved, new Date())).rejects.toEqual(refusal('not allowed', /is running .* Stop it first/));
    const bad = join(folder, 'bad.sqlite');
    const refuses = (message: RegExp) =>
      expect(restoreFrom(bad, new Date())).rejects.toEqual(refusal('unreadable', message));
    await closeDatabase();
    writeFileSync(bad, 'plain text, not a database at all'.repeat(40));
    await refuses(/no file that Gray Pin saved/);
    copyFileSync(saved, bad);
    truncateSync(bad, 60_000);
    await refuses(/damaged/);
    copyFileSync(saved, bad);
    const newer = await openPlainFile(bad, 'to write');
    await newer.run("INSERT INTO migrations (name) VALUES ('999-from-tomorrow')");
    await newer.close();
    await refuses(/newer Gray Pin/);
    rmSync(bad);
    await expect(restoreFrom(bad, new Date())).rejects.toEqual(refusal('not found', /There is no file/));
    expect(await cursor()).toBe(now);
  });

  it('puts back what was saved and keeps what was there, even what can’t be read any more', async () => {
    const then = await cursor();
    await saveEverything(saved);
    const later = await edit();
    await closeDatabase();
    const kept = await restoreFrom(saved, new Date());
    expect(await cursor()).toBe(then);
    expect(await cursorIn(kept ?? '')).toBe(later);
    await closeDatabase();
    writeFileSync(databaseFile(), 'broken');
    const broken = await restoreFrom(saved, new Date());
    expect(readFileSync(broken ?? '', 'utf8')).toBe('broken');
    expect(await cursor()).toBe(then);
  });

  it('killed at any moment leaves what was there or what came', async () => {
    const came = await cursor();
    await saveEverything(saved);
    const was = await edit();
    await closeDatabase();
    expect(await killed('restore', databaseFile())).toEqual([came, was].sort());
  }, 120_000);

  it('killed at any moment of saving leaves the file saved before or the new one, and all that is stored', async () => {
    const before = await cursor();
    await saveEverything(saved);
    const after = await edit();
    await closeDatabase();
    expect(await killed('backup', saved)).toEqual([before, after].sort());
    expect(await looked(databaseFile(), 'PRAGMA integrity_check')).toEqual({ integrity_check: 'ok' });
    expect(await cursorIn(databaseFile())).toBe(after);
  }, 120_000);
});
