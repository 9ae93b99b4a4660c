/**
 * How documents that nobody here wrote are read: what real programs of other trades ship in Debian's packages and on npm,
 * in many forms. They are fetched by `node scripts/documents.mjs` and not kept here; what stands in them is written down in
 * documents/ by hand, one command a line with its keys, "remark" for what can't be kept as keys and has to be said.
 * `npx tsx bench/documents.ts [name] [--show]`
 */
import { existsSync, readdirSync, readFileSync } from 'node:fs';
import { join } from 'node:path';
import { NO_CHOICES } from '../src/core/reading/choices';
import { understand } from '../src/server/reading/understand';
import { unprinted } from '../src/server/reading/unprinted';

const TRUTH = join(import.meta.dirname, 'documents');
export const FETCHED = join(import.meta.dirname, '..', '.tmp', 'documents');

export type DocumentRead = {
  readonly name: string;
  readonly form: string;
  readonly rows: number;
  readonly right: number;
  /** Wrong or lost without a remark, and commands that nobody wrote. */
  readonly silent: number;
  readonly invented: number;
  readonly wrong: readonly string[];
};

const plain = (name: string): string =>
  name
    .toLowerCase()
    .replace(/[`*]/gu, '')
    .replace(/\s+/gu, ' ')
    .replace(/[.:;…]+$/u, '')
    .trim()
    .slice(0, 110);

/** Reads one document, as a person's file is read, and holds it against what stands in it. */
export async function readDocument(name: string): Promise<DocumentRead> {
  const { bytes, printed } = await unprinted(new Uint8Array(readFileSync(join(FETCHED, name))));
  const understood = understand(bytes, NO_CHOICES, printed);
  if (understood.kind !== 'list') throw new Error(`${name} is taken for a file of ours`);
  const { reading } = understood;
  const found = new Map<string, { keys: Set<string>; said: boolean }>();
  for (const { command, result } of reading.rows) {
    if (!command) continue;
    const one = found.get(plain(command.name)) ?? { keys: new Set(), said: false };
    for (const chord of command.keys) one.keys.add(chord);
    one.said ||= result === 'partly';
    found.set(plain(command.name), one);
  }
  // A name that breaks off in the truth is known by its beginning.
  const wholeOf = (called: string): string =>
    called.endsWith('…')
      ? ([...found.keys()].find((one) => one.startsWith(plain(called))) ?? plain(called))
      : plain(called);
  const truth = readFileSync(join(TRUTH, `${name}.tsv`), 'utf8')
    .trim()
    .split('\n')
    .slice(1);
  const wanted = new Map<string, { keys: Set<string>; remark: boolean; rows: number }>();
  for (const line of truth) {
    const [called = '', keys = ''] = line.split('\t');
    const one = wanted.get(wholeOf(called)) ?? { keys: new Set(), remark: false, rows: 0 };
    for (const chord of keys.split(' | ').filter((part) => part !== '')) {
      if (chord === 'remark') one.remark = true;
      else if (chord !== 'mac') one.keys.add(chord);
    }
    one.rows++;
    wanted.set(wholeOf(called), one);
  }
  const wrong: string[] = [];
  let [right, silent] = [0, 0];
  for (const [called, { keys, remark, rows }] of wanted) {
    const got = found.get(called);
    if (got && [...keys].sort().join() === [...got.keys].sort().join() && (!remark || got.said)) {
      right += rows;
      continue;
    }
    if (!got?.said) silent += rows;
    wrong.push(
      `${called}: ${[...keys].join(' | ')}${remark ? ' (remark)' : ''} read as ${got ? [...got.keys].join(' | ') || 'none' : 'nothing'}${got?.said ? ', with a remark' : ''}`,
    );
  }
  const invented = reading.rows.filter(
    ({ command, result }) => command && result === 'used' && !wanted.has(plain(command.name)),
  );
  wrong.push(
    ...invented.map(({ line, command }) => `invented in row ${line}: ${command?.name} ${command?.keys.join(' | ')}`),
  );
  return {
    name,
    form: printed ? 'PDF' : reading.format,
    rows: truth.length,
    right,
    silent,
    invented: invented.length,
    wrong,
  };
}

/** All documents that were fetched; none where they were not. */
export async function readDocuments(only?: string): Promise<DocumentRead[]> {
  const names = readdirSync(TRUTH)
    .filter((file) => file.endsWith('.tsv'))
    .map((file) => file.replace(/\.tsv$/u, ''));
  const read: DocumentRead[] = [];
  for (const name of names)
    if ((only === undefined || name === only) && existsSync(join(FETCHED, name))) read.push(await readDocument(name));
  return read;
}

if (process.argv[1] === import.meta.filename) {
  const only = process.argv[2]?.startsWith('--') ? undefined : process.argv[2];
  const all = await readDocuments(only);
  for (const one of all) {
    console.log(
      `${one.name.padEnd(14)} ${one.form.padEnd(16)} ${one.right} of ${one.rows} right (${((100 * one.right) / one.rows).toFixed(1)} %), ${one.silent} wrong without a remark, ${one.invented} invented`,
    );
    if (process.argv.includes('--show')) for (const row of one.wrong) console.log(`    ${row}`);
  }
  const sum = (of: (one: DocumentRead) => number): number => all.reduce((total, one) => total + of(one), 0);
  const rows = sum((one) => one.rows);
  console.log(
    `${all.length} documents, ${new Set(all.map((one) => one.form)).size} forms, ${rows} rows: ${((100 * sum((one) => one.right)) / rows).toFixed(1)} % right, ${sum((one) => one.silent)} wrong without a remark, ${sum((one) => one.invented)} invented`,
  );
}
