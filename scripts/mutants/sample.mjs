/** Chooses which of all changes are tried, and writes down what became of each as soon as it is known. */
import { createHash } from 'node:crypto';
import { appendFileSync, existsSync, readFileSync, writeFileSync } from 'node:fs';
import { join } from 'node:path';
import { declareValuePlugin, PluginKind } from '@stryker-mutator/api/plugin';

const marks = JSON.parse(process.env.MUTANTS_SAMPLE ?? '{}');
const sources = new Map();

/** The source of a file as it was before the library wrote the changes into it. */
function sourceOf(file) {
  let one = sources.get(file);
  if (one === undefined) {
    one = readFileSync(join(import.meta.dirname, '../..', file), 'utf8');
    sources.set(file, one);
  }
  return one;
}
function textOf(source, { start, end }) {
  const lines = source.split('\n').slice(start.line, end.line + 1);
  lines[lines.length - 1] = lines.at(-1).slice(0, end.column);
  lines[0] = lines[0].slice(start.column);
  return lines.join('\n');
}
const shortName = (file) => file.slice(file.indexOf('src/'));
const hash = (text) => createHash('sha256').update(text).digest('hex');

/** A change, told by what stands around it and not by its line, so that a change elsewhere leaves the sample as it is. */
function described(mutant) {
  const file = shortName(mutant.fileName);
  const source = sourceOf(file);
  const { start } = mutant.location;
  const line = source.split('\n')[start.line]?.trim() ?? '';
  const was = textOf(source, mutant.location);
  return {
    key: hash([file, line, was, mutant.mutatorName, mutant.replacement].join('\0')).slice(0, 16),
    file,
    line: start.line + 1,
    kind: mutant.mutatorName,
    was: was.length > 160 ? `${was.slice(0, 157)}…` : was,
    instead: mutant.replacement.length > 160 ? `${mutant.replacement.slice(0, 157)}…` : mutant.replacement,
    source: hash(source).slice(0, 12),
  };
}

let chosen = new Map();
const reporter = {
  onMutationTestingPlanReady({ mutantPlans }) {
    const all = mutantPlans.map(({ mutant }) => ({ id: mutant.id, ...described(mutant) }));
    // The hash stands for a seeded throw of dice.
    all.sort((a, b) => (a.key < b.key ? -1 : 1));
    const sample = all.slice(0, marks.places);
    const before = new Map();
    if (existsSync(marks.file))
      for (const line of readFileSync(marks.file, 'utf8').split('\n').filter(Boolean)) {
        const one = JSON.parse(line);
        before.set(one.key, one);
      }
    const still = sample.flatMap((one) => {
      const known = before.get(one.key);
      const holds = known && known.source === one.source && (known.noticed || known.tests === marks.tests);
      return holds ? [{ ...known, line: one.line, of: all.length }] : [];
    });
    const known = new Set(still.map((one) => one.key));
    chosen = new Map(sample.filter((one) => !known.has(one.key)).map((one) => [one.id, { ...one, of: all.length }]));
    writeFileSync(marks.file, still.map((one) => `${JSON.stringify(one)}\n`).join(''));
    writeFileSync(marks.chosen, JSON.stringify([...chosen.keys()]));
    console.log(`${all.length} changes can be made, ${sample.length} are tried, ${known.size} were tried before.`);
  },
  onMutantTested(result) {
    const one = chosen.get(result.id);
    if (!one) return;
    const { id, ...told } = one;
    // A module that can't even be loaded any more fails before a test is counted, which the library takes for no failure.
    const broken = result.status === 'Survived' && result.testsCompleted === 0;
    const noticed = result.status === 'Killed' || result.status === 'Timeout' || broken;
    appendFileSync(
      marks.file,
      `${JSON.stringify({ ...told, status: broken ? 'Broken' : result.status, noticed, tests: marks.tests })}\n`,
    );
    process.stdout.write(
      noticed ? '.' : result.status === 'Survived' ? 'S' : result.status === 'NoCoverage' ? 'N' : '?',
    );
  },
  wrapUp() {
    process.stdout.write('\n');
  },
};

let ids = null;
const checker = {
  init: async () => undefined,
  async check(mutants) {
    ids ??= new Set(JSON.parse(readFileSync(marks.chosen, 'utf8')));
    const left = { status: 'compileError', reason: 'It is not in the sample.' };
    return Object.fromEntries(mutants.map(({ id }) => [id, ids.has(id) ? { status: 'passed' } : left]));
  },
  group: async (mutants) => [mutants.map(({ id }) => id)],
};

export const strykerPlugins = [
  declareValuePlugin(PluginKind.Reporter, 'sample', reporter),
  declareValuePlugin(PluginKind.Checker, 'sample', checker),
];
