import { type ChildProcess, spawn } from 'node:child_process';
import {
  chmodSync,
  copyFileSync,
  existsSync,
  mkdirSync,
  mkdtempSync,
  readdirSync,
  readFileSync,
  rmSync,
  truncateSync,
  writeFileSync,
} from 'node:fs';
import { tmpdir } from 'node:os';
import { dirname, join } from 'node:path';
import { afterAll, afterEach, beforeAll, describe, expect, it } from 'vitest';
import type { Problem } from '../../schemas/problem';
import { closeDatabase, database } from '../database';
import { databaseFile } from '../dataFolder';
import { seedDemo } from '../demo/seedDemo';
import { changeKeymap } from '../useCases/editKeymap';
import { loadKeymapView, noteUse } from '../useCases/screens';
import { openPlainFile } from './plainFile';

const folder = mkdtempSync(join(tmpdir(), 'gray-pin-'));
const good = join(folder, 'good.sqlite');
let holder: ChildProcess | null = null;
/** Less than two waits for a held file, in ms, with room for a slow machine. */
const SOON = 7900;

beforeAll(async () => {
  process.env.GRAY_PIN_DATA = join(folder, 'data');
  await seedDemo('demo');
  await closeDatabase();
  copyFileSync(databaseFile(), good);
});
afterEach(async () => {
  holder?.kill('SIGKILL');
  holder = null;
  await closeDatabase().catch(() => undefined);
});
afterAll(() => rmSync(folder, { recursive: true, force: true }));

/** Puts the good file back and changes it with SQL. */
async function changed(...statements: readonly string[]): Promise<void> {
  const file = databaseFile();
  rmSync(dirname(file), { recursive: true, force: true });
  mkdirSync(dirname(file));
  copyFileSync(good, file);
  const open = await openPlainFile(file, 'to write');
  for (const statement of statements) await open.run(statement);
  await open.close();
}
/** Every file of the data folder with its contents. */
const everything = (): Record<string, string> =>
  Object.fromEntries(
    readdirSync(dirname(databaseFile()), { recursive: true, withFileTypes: true })
      .filter((one) => one.isFile())
      .map((one) => join(one.parentPath, one.name))
      .map((path) => [path, readFileSync(path, 'latin1')]),
  );
const refusal = (code: Problem['code'], ...messages: readonly RegExp[]) =>
  expect.objectContaining({
    name: 'Problem',
    code,
    message: expect.toSatisfy((said: string) => messages.every((one) => one.test(said))),
  });
/** Another process that holds the file until it is killed. */
async function held(...statements: readonly string[]): Promise<void> {
  const script = `
    const file = new (require('sqlite3').Database)(process.argv[1]);
    file.exec(${JSON.stringify(statements.join(';'))}, (error) => console.log(error ?? 'held'));
    setInterval(() => file, 1000);`;
  holder = spawn(process.execPath, ['-e', script, databaseFile()], { stdio: ['ignore', 'pipe', 'inherit'] });
  const said = await new Promise((resolve) => holder?.stdout?.once('data', resolve));
  expect(String(said)).toBe('held\n');
}

describe('opening a file that can’t be used', () => {
  const KINDS: readonly (readonly [name: string, make: () => Promise<void> | void, said: RegExp])[] = [
    ['cut off', () => truncateSync(databaseFile(), 60_000), /is damaged or breaks off/],
    [
      'broken inside',
      () => {
        const bytes = readFileSync(databaseFile());
        writeFileSync(databaseFile(), bytes.fill(0x5a, 4096 * 3, 4096 * 40));
      },
      /is damaged or breaks off/,
    ],
    ['no database', () => writeFileSync(databaseFile(), 'plain text'.repeat(500)), /is not a database/],
    [
      'of another program',
      async () => {
        rmSync(databaseFile());
        writeFileSync(databaseFile(), '');
        const other = await openPlainFile(databaseFile(), 'to write');
        await other.run('CREATE TABLE migrations (number INTEGER)');
        await other.close();
      },
      /is a database of another program/,
    ],
    ['newer', () => changed("INSERT INTO migrations (name) VALUES ('999-from-tomorrow')"), /by a newer Gray Pin/],
  ];

  it.each(KINDS)('%s: says which file, what is wrong and what to do, and touches nothing', async (_, make, said) => {
    await changed();
    await make();
    const before = everything();
    await expect(database()).rejects.toEqual(refusal('unreadable', said, /data\/gray-pin\.sqlite/, /There is no copy/));
    expect(everything()).toEqual(before);
    // With copies, the newest that is whole is named.
    const copies = join(dirname(databaseFile()), 'copies');
    mkdirSync(copies);
    for (const name of ['a', 'b']) copyFileSync(good, join(copies, `${name}.sqlite`));
    writeFileSync(join(copies, 'c.sqlite'), 'broken off');
    await expect(database()).rejects.toEqual(
      refusal('unreadable', said, /npm run restore -- ".*copies\/[ab]\.sqlite"/),
    );
  });

  it('empty: is new, unless there are copies of what it was', async () => {
    await changed();
    truncateSync(databaseFile(), 0);
    mkdirSync(join(dirname(databaseFile()), 'copies'));
    copyFileSync(good, join(dirname(databaseFile()), 'copies/a.sqlite'));
    await expect(database()).rejects.toEqual(refusal('unreadable', /is empty, and was not always/));
    rmSync(join(dirname(databaseFile()), 'copies'), { recursive: true });
    await database();
    expect(existsSync(databaseFile())).toBe(true);
  });

  it('read-only: says which file may not be written', async () => {
    await changed();
    chmodSync(folder, 0o755);
    const script = `
      import { database } from './src/server/database.ts';
      process.setuid?.(65534);
      await database().then(() => console.log('opened'), (error) => console.log(error.code, error.message));`;
    const child = spawn(process.execPath, ['--import', 'tsx', '--input-type=module', '-e', script], {
      env: { ...process.env, GRAY_PIN_DATA: dirname(databaseFile()) },
      stdio: ['ignore', 'pipe', 'inherit'],
    });
    const before = everything();
    let said = '';
    child.stdout.on('data', (some) => {
      said += some;
    });
    await new Promise((resolve) => child.once('exit', resolve));
    expect(said).toMatch(/^not allowed .*may not be written\. Make it writable/);
    expect(everything()).toEqual(before);
  });

  it('held by another process: says so soon', async () => {
    await changed();
    await held('PRAGMA locking_mode = EXCLUSIVE', 'BEGIN EXCLUSIVE');
    const begun = performance.now();
    await expect(database()).rejects.toEqual(refusal('busy', /Another process holds .*gray-pin\.sqlite/));
    expect(performance.now() - begun).toBeLessThan(SOON);
  });
});

describe('a file that another process comes to hold', () => {
  it('makes every change that waits say so in one wait, and the next goes through once it is free', async () => {
    await changed();
    const { draft } = await loadKeymapView('nibshore', 'my-painting-hand');
    await held('BEGIN IMMEDIATE');
    const begun = performance.now();
    const owners = ['One', 'Two', 'Three'].map((owner) => changeKeymap(draft.id, { owner }));
    for (const one of await Promise.allSettled(owners))
      expect(one).toMatchObject({ status: 'rejected', reason: refusal('busy', /Another process holds/) });
    // Reading goes on meanwhile, and so does a screen that notes when it was used.
    expect((await loadKeymapView('nibshore', 'my-painting-hand')).draft.owner).toBe(draft.owner);
    expect(performance.now() - begun).toBeLessThan(SOON);
    await noteUse(draft.id);
    holder?.kill('SIGKILL');
    await changeKeymap(draft.id, { owner: 'Four' });
    expect((await loadKeymapView('nibshore', 'my-painting-hand')).draft.owner).toBe('Four');
  }, 30_000);
});
