/** Measures what the issues give figures for and writes docs/performance.md. `--core` leaves the browser out. */
import { mkdirSync, readFileSync, writeFileSync } from 'node:fs';
import { cpus } from 'node:os';
import { benchAdvice } from './advice';
import { benchBrowser } from './browser';
import { benchCore } from './core';
import { benchMatch } from './match';
import type { Row } from './measure';
import { benchReading } from './reading';
import { benchServer } from './server';
import { benchVersions } from './versions';
import { benchWords } from './words';
import { benchWriteBack } from './writeBack';

mkdirSync('.tmp', { recursive: true });
const core = await benchCore();
const advice = await benchAdvice();
const match = await benchMatch();
const words = await benchWords();
const versions = benchVersions();
const reading = await benchReading();
const writing = benchWriteBack();
const browser = process.argv.includes('--core') ? { rows: [] as Row[], failures: [] } : await benchBrowser();
const server = process.argv.includes('--core') ? { rows: [] as Row[], failures: [] } : await benchServer();
const table = (rows: readonly Row[]): string =>
  [
    '| What | Here | Compared with | Ratio |',
    '| --- | --- | --- | --- |',
    ...rows.map((row) => `| ${row.join(' | ')} |`),
  ].join('\n');
const serverTable = [
  '| What | Measured | Wanted | So |',
  '| --- | --- | --- | --- |',
  ...server.rows.map((row) => `| ${row.join(' | ')} |`),
].join('\n');
const text = `# Performance

Measured by \`npm run bench\` on ${cpus().length} cores (${cpus()[0]?.model.trim()}), Node ${process.version}; medians unless said otherwise. The program measured is generated: 5,000 commands with 8,000 bindings, the same at every run.

## Computation

${table(core.rows)}

## Advice

The package is given the same table, leaving a row out as a column of its own; the costs are equal in every row.

${table(advice.rows)}

## Match

How well counterparts are found is measured on three pairs of lists with the true counterparts beside them, in bench/counterparts/; \`npx tsx bench/counterparts.ts FOLDER --show\` measures other lists and tells what went wrong.

${table(match.rows)}

## New versions

What three made-up makers changed is written in bench/versions/, with what has to become of four keymaps; \`npx tsx bench/versions.ts --show\` tells what was found.

${table(versions.rows)}

## Words nobody foresaw

120 phrases in eight kinds, and 20 for which there is no command, over two lists of commands, all written before the finder learned to understand them (bench/unforeseen/): the wanted command in the first place / in the first three, here and with two general packages, a fuzzy search word by word (fuse.js) and a search of texts with beginnings and slips (minisearch).

| Kind | Phrases | Here | Fuzzy search | Text search |
| --- | --- | --- | --- | --- |
${words.kinds.join('\n')}

${table(words.rows)}

## Reading lists

Made-up lists of 10,000 rows in each form, read by the reader that the server's thread has, all in; the shortest of seven. The documents are those of bench/documents/, where they were fetched (\`node scripts/documents.mjs\`).

${table(reading.rows)}

## Writing back

Keys written into files of 5,000 lines in each form, the proof by reading them again included; the shortest of seven. The real files are those of bench/writeBack/, a dozen wishes each with every line written by hand before, where they were fetched (\`node scripts/documents.mjs\`).

${table(writing.rows)}

## In the browser

Chromium, the production build, 1280x800. Each p50 and p95 is the middle one of three rounds. "Painted" is the time from the key event's own time stamp until after the next paint.

${table(browser.rows)}

## On the server

Each with its own data, on the disk; 20 clients and what they ask share the machine with the server.

${serverTable}

## The 30 queries

The place at which the wanted command stands in what is found, in the demo programs: here, and with the general package.

| Typed | Wanted | Here | Package |
| --- | --- | --- | --- |
${core.search.join('\n')}
`;
console.log(text);
const failures = [
  ...core.failures,
  ...advice.failures,
  ...match.failures,
  ...words.failures,
  ...versions.failures,
  ...reading.failures,
  ...writing.failures,
  ...versions.failures,
  ...browser.failures,
  ...server.failures,
];
// What was measured otherwise, and what `npm run hostile` wrote at the end, stays there.
const [, badly = ''] = readFileSync('docs/performance.md', 'utf8').split(/^(?=## Beside)/m);
if (browser.rows.length > 0) writeFileSync('docs/performance.md', text + badly);
for (const failure of failures) console.error(`Not as wanted: ${failure}.`);
process.exit(failures.length === 0 ? 0 : 1);
