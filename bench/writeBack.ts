/**
 * Writes a dozen wishes into files of programs of other trades and compares every line with what was written by hand
 * before (bench/writeBack/): as by hand, said to be guessed, said to be impossible, or wrong in silence; and says how long
 * writing into a file of 5,000 lines takes. `tsx bench/writeBack.ts [name] --show`; `node scripts/documents.mjs` fetches
 * the files.
 */
import { existsSync, readdirSync, readFileSync } from 'node:fs';
import { join } from 'node:path';
import { NO_CHOICES } from '../src/core/reading/choices';
import { decodeText } from '../src/core/reading/decodeText';
import { LISTED_FORMS, listIn } from '../src/core/testing/listIn';
import { readSource, spellingOf, type Wanted } from '../src/core/writeBack/sourceText';
import { writeBack } from '../src/core/writeBack/writeBack';
import { ms, type Row } from './measure';

const folder = join(import.meta.dirname, 'writeBack');
const KINDS = ['byHand', 'guessed', 'impossible', 'silent'] as const;
type Count = Record<(typeof KINDS)[number] | 'lines', number>;
const none = (): Count => ({ lines: 0, byHand: 0, guessed: 0, impossible: 0, silent: 0 });

/** The wishes for a file: a line as it is, the keys wanted, and the line as it was written by hand. */
function wishesIn(file: string): (readonly [before: string, keys: string, after: string])[] {
  const [, ...lines] = readFileSync(join(folder, file), 'utf8').split('\n');
  return lines
    .filter((line) => line !== '')
    .map((line) => {
      const [before = '', keys = '', after = ''] = line.split('\t').map((cell) => cell.replaceAll('\\t', '\t'));
      return [before, keys, after];
    });
}

/** Writes the wishes for one file. @returns null where it was not fetched. */
function writeWishes(name: string, show: boolean): { readonly form: string; readonly count: Count } | null {
  const path = join(import.meta.dirname, '../.tmp/documents', name);
  const decoded = existsSync(path) ? decodeText(new Uint8Array(readFileSync(path))) : null;
  if (!decoded?.ok) return null;
  const source = readSource(decoded.text, NO_CHOICES);
  const lines = decoded.text.split(/\r?\n/u);
  const listed = [...source.places.listed.values(), ...source.places.asleep.values()];
  const lineOf = (at: number): number => decoded.text.slice(0, at).split('\n').length;
  const byLine = new Map(
    listed.flatMap((one) =>
      one.places.flatMap((place) => [place.name, place.keys].map(([at]) => [lineOf(at), one] as const)),
    ),
  );
  const changes = new Map<string, readonly string[]>();
  const found = wishesIn(`${name}.tsv`).map(([before, keys, after]) => {
    const own = byLine.get(lines.indexOf(before) + 1);
    if (own) changes.set(own.key, keys === 'none' ? [] : keys.split('|'));
    return { before, after, key: own?.key };
  });
  const wanted = listed.map(
    ({ key, command }): Wanted => ({ id: key, ...command, keys: changes.get(key) ?? command.keys }),
  );
  const written = writeBack(source, spellingOf(source), source, wanted);
  const now = new Set(written.text.split(/\r?\n/u));
  const count = none();
  for (const { before, after, key } of found) {
    const told = written.commands.find((one) => one.id === key);
    const right = after === '' ? !now.has(before) : now.has(after);
    const guessed = told?.words.some((one) => one.guessed) ?? false;
    const kind = right ? 'byHand' : !key || told?.why ? 'impossible' : guessed ? 'guessed' : 'silent';
    count.lines++;
    count[kind]++;
    if (show && kind !== 'byHand')
      console.log(`${name}, ${kind}: ${before} → ${after}; ${told?.why?.text ?? told?.did}`);
  }
  return { form: source.reading.format, count };
}

/** All files with wishes, as lines of a table, and their sums. */
function writeAll(only: string | undefined, show: boolean) {
  const sum = none();
  const forms = new Set<string>();
  const rows: string[] = [];
  for (const file of readdirSync(folder).sort()) {
    const name = file.replace('.tsv', '');
    const done = only === undefined || only === name ? writeWishes(name, show) : null;
    if (!done) continue;
    forms.add(done.form);
    for (const kind of ['lines', ...KINDS] as const) sum[kind] += done.count[kind];
    rows.push(`${name} (${done.form}): ${KINDS.map((kind) => done.count[kind]).join(', ')} of ${done.count.lines}`);
  }
  return { sum, forms: forms.size, rows };
}

const LINES = 5000;
const MOST = 200;
/** Forms in which a command of the made-up list takes several lines. */
const LINES_EACH: Readonly<Record<string, number>> = { JSON: 5, YAML: 2, TOML: 4 };

/** How long keys take to be written into a file of 5,000 lines: into one that is understood, and with understanding it. */
export function benchWriteBack(): { rows: Row[]; failures: string[] } {
  const rows: Row[] = [];
  const failures: string[] = [];
  for (const form of LISTED_FORMS) {
    if (form === 'workbook') continue;
    const text = new TextDecoder().decode(listIn(form, Math.round(LINES / (LINES_EACH[form] ?? 1))));
    let [whole, own] = [Number.POSITIVE_INFINITY, Number.POSITIVE_INFINITY];
    for (let run = 0; run < 7; run++) {
      const from = performance.now();
      const source = readSource(text, NO_CHOICES);
      const spelling = spellingOf(source);
      const wanted = [...source.places.listed.values()].map(
        ({ key, command }, i): Wanted => ({ id: key, ...command, keys: i % 40 === 3 ? ['Alt+Q'] : command.keys }),
      );
      const read = performance.now();
      writeBack(source, spelling, source, wanted);
      whole = Math.min(whole, performance.now() - from);
      own = Math.min(own, performance.now() - read);
    }
    if (own > MOST) failures.push(`writing into a ${form} of ${LINES} lines takes ${ms(own)}`);
    rows.push([
      `Write into 5,000 lines: ${form}`,
      ms(own),
      `with reading it first: ${ms(whole)}`,
      'wanted: under 200 ms',
    ]);
  }
  const { sum, forms } = writeAll(undefined, false);
  if (sum.lines > 0)
    rows.push([
      `${sum.lines} lines of real files, ${forms} forms`,
      `${((100 * sum.byHand) / sum.lines).toFixed(1)} % as by hand`,
      `${sum.guessed} said to be guessed, ${sum.impossible} to be impossible`,
      `${sum.silent} wrong in silence (wanted: none)`,
    ]);
  return { rows, failures };
}

if (process.argv[1]?.endsWith('writeBack.ts')) {
  const [only] = process.argv.slice(2).filter((one) => !one.startsWith('--'));
  const { sum, rows } = writeAll(only, process.argv.includes('--show'));
  console.log(`As by hand, guessed, impossible, wrong in silence:\n${rows.join('\n')}`);
  console.log(`All: ${KINDS.map((kind) => sum[kind]).join(', ')} of ${sum.lines}`);
}
