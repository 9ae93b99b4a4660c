import { linearSumAssignment } from 'linear-sum-assignment';
import { buildAdvisor } from '../src/core/advice/advisor';
import { candidatesOn } from '../src/core/advice/candidates';
import { emptyList } from '../src/core/advice/emptyList';
import { buildPlanTable } from '../src/core/advice/planTable';
import { planWishes } from '../src/core/advice/planWishes';
import { suggest } from '../src/core/advice/suggest';
import type { WishList } from '../src/core/advice/wishList';
import { assign } from '../src/core/assignment/assign';
import type { CostTable } from '../src/core/assignment/costTable';
import { MODIFIERS, type Modifier } from '../src/core/chord/chord';
import { buildClashIndex, programFacts } from '../src/core/clash/clashIndex';
import { usesOf } from '../src/core/effort/uses';
import { DEFAULT_KEYBOARD } from '../src/core/keyboard/usKeyboard';
import { type Where, whereOf } from '../src/core/keyboard/where';
import type { Command, Program } from '../src/core/program/program';
import { generate, randomFrom } from './generate';
import { median, ms, type Row, times } from './measure';

const SIZES = [
  [50, 300],
  [200, 1200],
  [500, 1500],
  [1000, 3000],
] as const;
const DEAR = 1e7;
/** Enough layers of a keyboard for about 1,200 chords, those with fewer modifiers first. */
export function manyLayers(): (readonly Modifier[])[] {
  return Array.from({ length: 32 }, (_, bits) => MODIFIERS.filter((_m, i) => bits & (1 << i)))
    .sort((a, b) => a.length - b.length)
    .slice(0, 21);
}
/** 200 wishes spread over a program, over about 1,200 chords. */
export function manyWishes(program: Program, where: Where): WishList {
  const wishes = program.commands.filter((_, i) => i % 25 === 3).map((one) => one.id);
  return { ...emptyList(where), layers: manyLayers(), wishes };
}

/** Measures reach, the assignment against a published package, a whole plan, and suggestions. */
export async function benchAdvice(): Promise<{ rows: Row[]; failures: string[] }> {
  const rows: Row[] = [];
  const failures: string[] = [];
  for (const [height, width] of SIZES) {
    const table = randomTable(height, width);
    const matrix = padded(table);
    const cost = assign(table)?.cost;
    const packaged = linearSumAssignment(matrix, { maximaze: false }).gain;
    if (cost !== packaged) failures.push(`the assignment of ${height} by ${width} differs from the package's`);
    const ours = await median(() => assign(table), 300);
    const theirs = await median(() => linearSumAssignment(matrix, { maximaze: false }), 600);
    rows.push([
      `Assign ${height} rows to ${width} columns, a fifth of the cells forbidden, against a package (linear-sum-assignment)`,
      ms(ours),
      ms(theirs),
      times(ours, theirs),
    ]);
    if (height === 200 && theirs / ours < 10) failures.push('the assignment is not 10 times faster than the package');
  }

  const { program, factory } = generate(5000, 8000);
  const facts = programFacts(program);
  const where = whereOf(DEFAULT_KEYBOARD);
  const index = buildClashIndex(facts, factory, where.place);
  const advisor = buildAdvisor(facts, where, 'left', []);
  const list = manyWishes(program, where);
  const chords = candidatesOn(where, list.layers, true);
  const start = performance.now();
  for (const { chord } of chords) advisor.reach(chord);
  rows.push([`Reach of ${chords.length} chords, each for the first time`, ms(performance.now() - start), '', '']);
  // Uses differ from command to command, as people's do.
  const random = randomFrom(5);
  const told = new Map(program.commands.map((one) => [one.id, 1 + Math.floor(random() * 60)]));
  const uses = (command: Command) => usesOf(command, told);
  const table = buildPlanTable(advisor, index, list, uses);
  const matrix = padded(table);
  if (assign(table)?.cost !== linearSumAssignment(matrix, { maximaze: false }).gain)
    failures.push("the plan's assignment differs from the package's");
  const ours = await median(() => assign(table), 600);
  const theirs = await median(() => linearSumAssignment(matrix, { maximaze: false }), 900);
  rows.push([
    `The same for a wish list: ${table.rows} wishes, ${table.columns} chords`,
    ms(ours),
    ms(theirs),
    times(ours, theirs),
  ]);
  if (theirs / ours < 10) failures.push("the plan's assignment is not 10 times faster than the package");
  const whole = await median(() => planWishes(advisor, index, list, uses), 1500);
  rows.push(['The whole plan of that wish list, explained', ms(whole), 'wanted: under 150 ms', '']);
  if (whole >= 150) failures.push('a plan takes 150 ms or more');
  let next = 0;
  const one = await median(() => suggest(advisor, index, program.commands[next++ % 5000] as Command), 600);
  rows.push(['Suggest keys for one command', ms(one), '', '']);
  return { rows, failures };
}

function randomTable(rows: number, columns: number): CostTable {
  const random = randomFrom(rows);
  return {
    rows,
    columns,
    costs: new Float64Array(rows * columns).map(() => (random() < 0.2 ? Infinity : Math.floor(random() * 10_000))),
    without: new Float64Array(rows).fill(DEAR / 10),
  };
}

/** The same table for the package: leaving a row out is a column of its own, what is forbidden is dear. */
function padded({ rows, columns, costs, without }: CostTable): number[][] {
  return Array.from({ length: rows }, (_, i) =>
    Array.from({ length: columns + rows }, (_cell, j) => {
      const cost = j < columns ? costs[i * columns + j] : j - columns === i ? without[i] : DEAR;
      return Math.min(cost as number, DEAR);
    }),
  );
}
