import type { Stretch } from './printed';

/** In points: how finely a page is looked at, and how wide a gutter is at least. */
export const [STEP, GUTTER] = [2, 7];
/** Such a part of the lines may reach over a gutter: titles, and what is written across. */
const FEW = 0.05;
const mayCross = (lines: number, part: number): number =>
  lines < 5 ? 0 : lines < 12 ? 1 : Math.max(2, Math.floor(part * lines));
export const WIDEST = 20_000;

/**
 * Where text stands on a page, from left to right: between two stretches hardly any of its lines has any.
 * @param part which part of the lines is hardly any.
 */
export function stretchesOf(
  texts: readonly { readonly x: number; readonly end: number }[],
  lines: number,
  part: number = FEW,
): readonly Stretch[] {
  const last = texts.reduce((most, { end }) => Math.max(most, Math.min(WIDEST, end)), 0);
  // How many begin less how many end at each step, then how many are there.
  const covered = new Int32Array(Math.ceil(last / STEP) + 2);
  for (const { x, end } of texts) {
    const from = Math.max(0, Math.floor(x / STEP));
    const to = Math.min(covered.length - 1, Math.ceil(end / STEP));
    if (!(from < to)) continue;
    covered[from] = (covered[from] ?? 0) + 1;
    covered[to] = (covered[to] ?? 0) - 1;
  }
  for (let at = 1; at < covered.length; at++) covered[at] = (covered[at] ?? 0) + (covered[at - 1] ?? 0);
  const few = mayCross(lines, part);
  const stretches: { from: number; to: number }[] = [];
  covered.forEach((count, at) => {
    if (count <= few) return;
    const [from, to, before] = [at * STEP, (at + 1) * STEP, stretches.at(-1)];
    if (before && from - before.to < GUTTER) before.to = to;
    else stretches.push({ from, to });
  });
  return stretches;
}
