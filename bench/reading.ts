/** How long lists of 10,000 rows take to be read in each form, beside the package that parses it; then the documents. */

import { parser, Table } from '@lezer/markdown';
import { parseXml } from '@rgrove/parse-xml';
import { unzipSync } from 'fflate';
import { parseTree } from 'jsonc-parser';
import Papa from 'papaparse';
import { parse } from 'parse5';
import { SaxesParser } from 'saxes';
import { parseTOML } from 'toml-eslint-parser';
import { parseAllDocuments } from 'yaml';
import { LISTED_FORMS, listIn } from '../src/core/testing/listIn';
import { understand } from '../src/server/reading/understand';
import { readDocuments } from './documents';
import { ms, type Row } from './measure';

const ROWS = 10_000;
/** Twice as many, with their headings, are just taken. */
const HALF = 9000;
/** A whole reading may take so much longer than the parsing package by itself, in ms. */
const MOST_ADDED = 300;
const MOST_GROWTH = 2.5;

/** What the packages do with the same text, asked for the places of what they find as the readers do. */
const PACKAGES: Readonly<Record<string, (text: string, bytes: Uint8Array) => unknown>> = {
  table: (text) => Papa.parse(text),
  'web page': (text) => parse(text, { sourceCodeLocationInfo: true }),
  'page of boxes': (text) => parse(text, { sourceCodeLocationInfo: true }),
  Markdown: (text) => parser.configure([Table]).parse(text),
  JSON: (text) => parseTree(text),
  XML: (text) => parseXml(text, { includeOffsets: true }),
  YAML: (text) => parseAllDocuments(text),
  TOML: (text) => parseTOML(text),
  workbook: (_, bytes) => {
    for (const part of Object.values(unzipSync(bytes))) {
      const parser = new SaxesParser({ position: true });
      parser.on('opentag', () => undefined);
      parser.on('text', () => undefined);
      parser.write(new TextDecoder().decode(part)).close();
    }
  },
};

/** The shortest of several runs of each, in turns: what the machine does besides only adds. */
function shortest(...works: readonly (() => unknown)[]): number[] {
  const best = works.map(() => Number.POSITIVE_INFINITY);
  for (let i = 0; i < 9; i++)
    works.forEach((work, k) => {
      const from = performance.now();
      work();
      best[k] = Math.min(best[k] ?? 0, performance.now() - from);
    });
  return best;
}

/** Measures every form: the whole reading, the package by itself, and twice the rows. */
export async function benchReading(): Promise<{ rows: Row[]; failures: string[] }> {
  const rows: Row[] = [];
  const failures: string[] = [];
  for (const form of LISTED_FORMS) {
    const bytes = listIn(form, ROWS);
    const text = form === 'workbook' ? '' : new TextDecoder().decode(bytes);
    const own = PACKAGES[form];
    const [half, double] = [listIn(form, HALF), listIn(form, 2 * HALF)];
    const [whole = 0, packaged = 0, once = 0, twice = 0] = shortest(
      () => understand(bytes),
      () => own?.(text, bytes),
      () => understand(half),
      () => understand(double),
    );
    const growth = twice / once;
    const added = whole - packaged;
    if (added > MOST_ADDED) failures.push(`reading a ${form} adds ${ms(added)} to its package`);
    if (growth > MOST_GROWTH) failures.push(`a ${form} of twice the rows takes ${growth.toFixed(1)} times as long`);
    rows.push([
      `Read 10,000 rows: ${form}`,
      ms(whole),
      own ? `the package alone: ${ms(packaged)}` : 'no package',
      `${ms(added)} added (wanted: 300); twice the rows ${growth.toFixed(1)} times`,
    ]);
  }
  const documents = await readDocuments();
  const sum = (of: (one: (typeof documents)[number]) => number): number =>
    documents.reduce((all, one) => all + of(one), 0);
  if (documents.length > 0)
    rows.push([
      `${documents.length} documents of ${new Set(documents.map((one) => one.form)).size} forms, ${sum((one) => one.rows)} rows: right`,
      `${((100 * sum((one) => one.right)) / sum((one) => one.rows)).toFixed(1)} %`,
      'wanted: 92 %',
      `${sum((one) => one.silent)} wrong and ${sum((one) => one.invented)} invented without a remark`,
    ]);
  return { rows, failures };
}

if (process.argv[1] === import.meta.filename) {
  const { rows, failures } = await benchReading();
  for (const row of rows) console.log(row.join(' | '));
  for (const failure of failures) console.error(`Not as wanted: ${failure}.`);
}
