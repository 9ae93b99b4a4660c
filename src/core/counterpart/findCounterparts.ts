import { assignListed } from '../assignment/assignSorted';
import type { Progress as RowsDone } from '../assignment/costTable';
import type { ChordText } from '../chord/chord';
import { isConvention } from '../desktop/desktopKeys';
import type { Command, CommandId } from '../program/program';
import type { Counterpart, Known } from './counterpart';
import { judgePairs } from './judgePairs';
import { learnMenus } from './learnMenus';
import { afterLessons, type Lesson } from './lessons';
import { buildVocabulary, figureOf, isSame, type Likeness, likeness, type Numbered, numberReading } from './likeness';
import { meetings } from './meetings';
import { isCandidate, LEAST, type Pair } from './pair';
import { besideIn, pullTogether } from './pullTogether';
import { type CommandReading, readCommand } from './readCommand';
import { comparer } from './sharedPart';

export type Evidence = {
  /** The factory keys of a command at the left, at the right. */
  readonly leftKeys: (command: CommandId) => readonly ChordText[];
  readonly rightKeys: (command: CommandId) => readonly ChordText[];
  /** What was said, by the command at the left. */
  readonly known: ReadonlyMap<CommandId, Known>;
  /** Those at the right of which it was said that they have no counterpart. */
  readonly alone: ReadonlySet<CommandId>;
  /** What was learned of words. */
  readonly lessons: readonly Lesson[];
};
const NO_KEYS: readonly ChordText[] = [];
export const NO_EVIDENCE: Evidence = {
  leftKeys: () => NO_KEYS,
  rightKeys: () => NO_KEYS,
  known: new Map(),
  alone: new Set(),
  lessons: [],
};

/** So often pairs are chosen anew at most. */
const MOST_ROUNDS = 3;

/** Told how far it is, from 0 to 1; answering false stops it. */
export type Progress = (part: number) => boolean;

/** What is fainter than this is not kept: no menu would make a candidate of it. */
const FAINT = 0.35;
/** So many pairs are kept of a command, the likeliest. */
const MOST_RIVALS = 24;
/**
 * What the same factory keys add to a pair that is one without them, and what they add where every program has these keys
 * for the same. Keys alone make no pair: many are given by chance.
 */
const SAME_KEYS = 0.06;
const BY_CONVENTION = 0.45;

/**
 * Finds for every command of one program the command of another that does the same: one to one, and together as likely
 * as can be. What the menus have to do with each other is learned from the pairs themselves; what a person has said
 * stands.
 * @returns a list in the order of `left`; null when progress says to stop.
 */
export function findCounterparts(
  left: readonly Command[],
  right: readonly Command[],
  evidence: Evidence = NO_EVIDENCE,
  progress: Progress = () => true,
): readonly Counterpart[] | null {
  const { known, alone } = evidence;
  const said = new Set([...known.values()].map((one) => one.counterpart));
  const rows = left.filter((one) => !known.has(one.id));
  const columns = right.filter((one) => !said.has(one.id) && !alone.has(one.id));
  const paired = pairUp(rows, columns, evidence, (part) => progress(0.6 * part));
  if (!paired) return null;
  const { pairs, likenessOf } = paired;
  learnMenus(pairs, rows, columns, toldPairs(left, right, known));
  const assigned = (from: number) =>
    bestPairs(pairs, rows.length, columns.length, (done, all) => progress(from + (0.1 * done) / all));
  let given = assigned(0.65);
  // Pairs pull those beside them up, until nothing changes.
  const figures = Float64Array.from(pairs, (one) => one.figure);
  const beside = [besideIn(rows), besideIn(columns)] as const;
  for (let round = 0; given && round < MOST_ROUNDS; round++) {
    const before: Int32Array = given;
    pullTogether(pairs, figures, before, beside);
    given = assigned(0.7 + 0.1 * round);
    if (given?.every((column, row) => column === before[row])) break;
  }
  if (!given) return null;
  const found = new Map(judgePairs(rows, columns, pairs, given, likenessOf).map((one) => [one.command, one]));
  return left.map(({ id }): Counterpart => {
    const told = known.get(id);
    if (!told) return found.get(id) as Counterpart;
    const { counterpart } = told;
    return {
      command: id,
      confidence: counterpart === null ? 'none' : 'sure',
      counterpart,
      candidates: [],
      known: told,
    };
  });
}

/** The pairs that were said, as commands. */
export function toldPairs(
  left: readonly Command[],
  right: readonly Command[],
  known: ReadonlyMap<CommandId, Known>,
): (readonly [Command, Command])[] {
  if (known.size === 0) return [];
  const there = new Map(right.map((one) => [one.id, one]));
  return left.flatMap((one) => {
    const other = there.get(known.get(one.id)?.counterpart ?? '');
    return other ? [[one, other] as const] : [];
  });
}

/** Every pair that is worth a thought. */
function pairUp(
  left: readonly Command[],
  right: readonly Command[],
  { leftKeys, rightKeys, lessons }: Evidence,
  progress: Progress,
): { pairs: Pair[]; likenessOf: (row: number, column: number) => Likeness } | null {
  const learned = afterLessons(lessons);
  const read = (command: Command): CommandReading => {
    const reading = readCommand(command);
    const meanings = learned(reading.meanings);
    return meanings === reading.meanings ? reading : { ...reading, meanings };
  };
  const readings = [left.map(read), right.map(read)] as const;
  const vocabulary = buildVocabulary(readings.flat());
  const rows = readings[0].map((one) => numberReading(vocabulary, one));
  const columns = readings[1].map((one) => numberReading(vocabulary, one));
  const near = meetings(columns, vocabulary);
  const compare = comparer(vocabulary);
  const byChord = new Map<ChordText, number[]>();
  right.forEach(({ id }, c) => {
    for (const chord of rightKeys(id)) byChord.set(chord, [...(byChord.get(chord) ?? []), c]);
  });
  const pairs: Pair[] = [];
  for (let r = 0; r < left.length; r++) {
    if (r % 32 === 0 && !progress(r / left.length)) return null;
    const row = rows[r] as Numbered;
    const sharedWith = compare(row);
    const { id, name } = left[r] as Command;
    const onSame = new Map<number, Pair['keys']>();
    for (const chord of leftKeys(id))
      for (const c of byChord.get(chord) ?? []) {
        const always = isConvention(chord, name) || isConvention(chord, (right[c] as Command).name);
        onSame.set(c, always ? 'convention' : (onSame.get(c) ?? 'same'));
      }
    const own: Pair[] = [];
    for (const c of near(row)) {
      const keys = onSame.get(c) ?? null;
      const column = columns[c] as Numbered;
      const signed = figureOf(vocabulary, row, column, sharedWith(column));
      const opposed = signed < 0;
      let figure = Math.abs(signed);
      if (figure < FAINT) continue;
      if (keys && figure >= LEAST)
        figure += (keys === 'convention' && !opposed ? BY_CONVENTION : SAME_KEYS) * (1 - figure);
      own.push({ row: r, column: c, figure, same: isSame(row, column), opposed, keys, tie: 0, strange: 0 });
    }
    pairs.push(...(own.length > MOST_RIVALS ? own.sort((a, b) => b.figure - a.figure).slice(0, MOST_RIVALS) : own));
  }
  return { pairs, likenessOf: (r, c) => likeness(vocabulary, rows[r] as Numbered, columns[c] as Numbered) };
}

/** What a pair costs: a likely pair is worth more than two doubtful ones. */
const price = (figure: number): number => Math.round(1_000_000 * (1 - figure ** 6));

/** The best one-to-one choice among the pairs: the columns of the rows, -1 for none. */
function bestPairs(pairs: readonly Pair[], rows: number, columns: number, progress: RowsDone): Int32Array | null {
  const byRow: Pair[][] = Array.from({ length: rows }, () => []);
  for (const pair of pairs) if (isCandidate(pair)) byRow[pair.row]?.push(pair);
  for (const list of byRow) list.sort((a, b) => b.figure - a.figure);
  const listed = byRow.flat();
  const starts = new Int32Array(rows + 1);
  byRow.forEach((list, row) => {
    starts[row + 1] = (starts[row] as number) + list.length;
  });
  return assignListed(
    {
      rows,
      columns,
      starts,
      columnAt: Int32Array.from(listed, (pair) => pair.column),
      costs: Float64Array.from(listed, (pair) => price(pair.figure)),
      without: new Float64Array(rows).fill(price(FAINT) + 1),
    },
    progress,
  );
}
