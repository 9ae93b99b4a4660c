import { readdirSync, readFileSync } from 'node:fs';
import { basename, join } from 'node:path';
import type { Counterpart } from '../src/core/counterpart/counterpart';
import { counterpartsOf, type Side } from '../src/core/counterpart/counterpartsOf';
import { findCounterparts } from '../src/core/counterpart/findCounterparts';
import type { Said } from '../src/core/counterpart/knownPairs';
import { questions } from '../src/core/counterpart/questions';
import { fromProgramFile, type ProgramFile } from '../src/core/file/programFile';
import { type Command, type CommandId, DEFAULT_RULES, type Kind } from '../src/core/program/program';

/** Two command lists and which commands of them do the same. */
export type MarkedLists = {
  readonly name: string;
  readonly left: readonly Command[];
  readonly right: readonly Command[];
  /** The true counterparts, from left to right. */
  readonly truth: ReadonlyMap<CommandId, CommandId>;
};

const KINDS: Readonly<Record<string, Kind>> = {
  m: 'menu item',
  t: 'tool',
  p: 'panel',
  v: 'value',
  s: 'script',
  h: 'held action',
};

/** Reads a file of two lists; its form is told at the head of each. */
export function readMarkedLists(file: string): MarkedLists {
  const left: Command[] = [];
  const right: Command[] = [];
  const truth = new Map<CommandId, CommandId>();
  let menus: readonly [string, string] = ['', ''];
  for (const raw of readFileSync(file, 'utf8').split('\n')) {
    const line = raw.trim();
    if (line === '' || line.startsWith('#') || /^(left|right) /.test(line)) continue;
    const heading = line.match(/^\[(.*) :: (.*)\]$/);
    if (heading) {
      menus = [heading[1] ?? '', heading[2] ?? ''];
      continue;
    }
    const [a, b] = line.split(/\s*(?:^|\s)=(?:\s|$)\s*/);
    const one = a ? commandOf(a, menus[0], left) : null;
    const other = b ? commandOf(b, menus[1], right) : null;
    if (one && other) truth.set(one.id, other.id);
  }
  return { name: basename(file, '.txt'), left, right, truth };
}

function commandOf(text: string, menu: string, list: Command[]): Command {
  const kind = text.match(/^([mtpvsh]):/);
  const steps = text.slice(kind?.[0].length ?? 0).split(/\s*>\s*/);
  const own = steps.slice(0, -1);
  const path =
    own.length > 0
      ? [...(own[0] === menu.split(' > ')[0] ? [] : menu.split(' > ').slice(0, 1)), ...own]
      : menu.split(/\s*>\s*/);
  const command = {
    id: `${list.length}`,
    name: steps.at(-1) ?? '',
    kind: KINDS[kind?.[1] ?? 'm'] as Kind,
    path,
    context: 'everywhere',
  };
  list.push(command);
  return command;
}

/** The files of marked lists in a folder. */
export function markedListsIn(folder: string): MarkedLists[] {
  return readdirSync(folder)
    .filter((name) => name.endsWith('.txt'))
    .sort()
    .map((name) => readMarkedLists(join(folder, name)));
}

/** The demo's programs, two and two, with the counterparts that were written down by name before they were looked for. */
export function demoLists(): MarkedLists[] {
  const folder = join(import.meta.dirname, 'counterparts/demo');
  return readdirSync(folder)
    .sort()
    .map((file) => {
      const name = basename(file, '.tsv');
      const [left = [], right = []] = name.split('-').map(commandsOfDemo);
      const truth = new Map(
        readFileSync(join(folder, file), 'utf8')
          .trim()
          .split('\n')
          .map((line) => {
            const [a, b] = line.split('\t');
            return [named(left, a).id, named(right, b).id] as const;
          }),
      );
      return { name, left, right, truth };
    });
}

const commandsOfDemo = (name: string): readonly Command[] =>
  fromProgramFile(JSON.parse(readFileSync(`demo/${name}.json`, 'utf8')) as ProgramFile).program.commands;

function named(list: readonly Command[], name: string | undefined): Command {
  const found = list.find((one) => one.name === name);
  if (!found) throw new Error(`The demo has no command “${name}”.`);
  return found;
}

/**
 * The counterparts after some questions, always the one that teaches most, answered by one who knows: by the right
 * candidate, or that it has none, or not at all where the right one isn't among those named.
 */
export function askAndFind({ left, right, truth }: MarkedLists, times: number): readonly Counterpart[] {
  const side = (slug: string, commands: readonly Command[]): Side => ({
    slug,
    program: { name: slug, version: '1', contexts: [], rules: DEFAULT_RULES, commands },
    factory: [],
  });
  const said: Said[] = [];
  const skipped = new Set<CommandId>();
  const find = (): readonly Counterpart[] =>
    counterpartsOf(side('left', left), side('right', right), {}, said, () => true);
  for (let asked = 0; asked < times; asked++) {
    const [question] = questions(find(), left, right, skipped);
    if (!question) break;
    const { command, candidates } = question;
    const known = truth.get(command) ?? null;
    skipped.add(command);
    if (known === null || candidates.includes(known))
      said.push({ program: 'left', command, other: 'right', counterpart: known });
  }
  return find();
}

/** How well counterparts are found: of the sure ones, how many are right; of the true ones, how many are sure or suggested first. */
export function measureCounterparts(
  { left, right, truth }: MarkedLists,
  found: readonly Counterpart[] = findCounterparts(left, right) ?? [],
) {
  const sure = found.filter((one) => one.confidence === 'sure');
  const wrong = sure.filter((one) => truth.get(one.command) !== one.counterpart);
  const hit = found.filter((one) => one.counterpart !== null && truth.get(one.command) === one.counterpart);
  return {
    sure: sure.length,
    sureRight: (sure.length - wrong.length) / Math.max(1, sure.length),
    found: hit.length / truth.size,
    surePart: sure.filter((one) => truth.get(one.command) === one.counterpart).length / truth.size,
    false: found.filter((one) => one.confidence === 'check' && !truth.has(one.command)).length,
    wrong,
    missed: found.filter((one) => truth.has(one.command) && truth.get(one.command) !== one.counterpart),
  };
}

/** Run by itself it tells what went wrong, for the folder given or ours. */
if (process.argv[1]?.endsWith('counterparts.ts')) {
  const folder = process.argv[2]?.includes('/') ? process.argv[2] : join(import.meta.dirname, 'counterparts');
  for (const lists of process.argv[2]?.includes('/')
    ? markedListsIn(folder)
    : [...markedListsIn(folder), ...demoLists()]) {
    const { left, right, truth } = lists;
    const nameOf = (list: readonly Command[], id: CommandId | null | undefined): string => {
      const command = list.find((one) => one.id === id);
      return command ? `${command.path.join('>')}>${command.name}` : '-';
    };
    const said = measureCounterparts(lists);
    const percent = (part: number): string => `${(100 * part).toFixed(1)} %`;
    console.log(
      `${lists.name}: ${left.length} and ${right.length} commands, ${truth.size} true counterparts; ${said.sure} sure, right ${percent(said.sureRight)}; found ${percent(said.found)} (sure ${percent(said.surePart)}); ${said.false} false suggestions`,
    );
    if (!process.argv.includes('--show')) continue;
    for (const [what, list] of [
      ['WRONG', said.wrong],
      ['missed', said.missed],
    ] as const)
      for (const one of list)
        console.log(
          `  ${what} ${nameOf(left, one.command)} = ${nameOf(right, truth.get(one.command))}; said ${one.candidates
            .slice(0, 3)
            .map((c) => `${nameOf(right, c.command)} ${c.figure.toFixed(2)}${c.command === one.counterpart ? '*' : ''}`)
            .join(', ')}`,
        );
  }
}
