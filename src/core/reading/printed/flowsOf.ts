import { MOST_COLUMNS } from '../tables';
import { type Piece, type PrintedLine, printsKeys } from './printed';

/** A stretch of a page from left to right in which text stands, in points. */
export type Band = { readonly from: number; readonly to: number };
/** What is read from top to bottom before what stands beside it: a list, whose columns are its bands. */
export type Flow = {
  readonly bands: readonly Band[];
  /** Whether each band is a column of it; else what stands side by side is. */
  readonly placed: boolean;
};

/** In points: how finely a page is looked at, and how wide a gutter is at least. */
const [STEP, GUTTER] = [2, 7];
/** So many of the lines may reach over a gutter: titles, and what is written across. */
const mayCross = (lines: number): number => (lines < 5 ? 0 : lines < 12 ? 1 : Math.max(2, Math.floor(0.05 * lines)));
const WIDEST = 20_000;

/**
 * The flows of a page: lists stand side by side on most that are printed. Where hardly any line has text is a gutter; a
 * list begins anew where names follow keys as they did before, or where a band has both by itself.
 */
export function flowsOf(lines: readonly PrintedLine[]): readonly Flow[] {
  const bands = bandsOf(lines).map((band) => ({ band, kind: kindOf(band, lines) }));
  const flows: { band: Band; kind: Kind }[][] = [];
  bands.forEach((one, i) => {
    const flow = flows.at(-1);
    if (!flow || (isWhole(flow) && begins(one.kind, bands[i + 1]?.kind, flow[0]?.kind))) flows.push([one]);
    else flow.push(one);
  });
  // Without keys anywhere it is a text, set in columns.
  const read = flows.some(isWhole) ? flows : bands.map((one) => [one]);
  return read.map((flow) => ({
    bands: flow.map((one) => one.band),
    placed: flow.length > 1 && flow.every((one) => one.kind !== 'both'),
  }));
}

/** Whether a band begins a list, after one that is whole: what follows its keys may be told of them instead. */
const begins = (kind: Kind, next: Kind | undefined, first: Kind | undefined): boolean =>
  kind === 'both' || (kind === 'keys' ? first === 'keys' : first !== 'keys' && next === 'keys');

type Kind = 'names' | 'keys' | 'both';
const isWhole = (flow: readonly { readonly kind: Kind }[]): boolean =>
  flow.some(({ kind }) => kind === 'both') || new Set(flow.map(({ kind }) => kind)).size > 1;

/** Whether a piece stands in a band alone. */
const standsIn = ({ x, end }: Piece, { from, to }: Band): boolean => x >= from - STEP && end <= to + STEP;

function bandsOf(lines: readonly PrintedLine[]): readonly Band[] {
  const pieces = lines.flatMap((line) => line.pieces);
  const last = pieces.reduce((most, { end }) => Math.max(most, Math.min(WIDEST, end)), 0);
  // How many begin less how many end at each step, then how many are there.
  const covered = new Int32Array(Math.ceil(last / STEP) + 2);
  for (const { x, end } of pieces) {
    const from = Math.max(0, Math.floor(x / STEP));
    const to = Math.min(covered.length - 1, Math.ceil(end / STEP));
    if (!(from < to)) continue;
    covered[from] = (covered[from] ?? 0) + 1;
    covered[to] = (covered[to] ?? 0) - 1;
  }
  for (let at = 1; at < covered.length; at++) covered[at] = (covered[at] ?? 0) + (covered[at - 1] ?? 0);
  const few = mayCross(lines.length);
  const bands: { from: number; to: number }[] = [];
  covered.forEach((count, at) => {
    if (count <= few) return;
    const [from, to, band] = [at * STEP, (at + 1) * STEP, bands.at(-1)];
    if (band && from - band.to < GUTTER) band.to = to;
    else bands.push({ from, to });
  });
  if (bands.length > MOST_COLUMNS) return [{ from: 0, to: WIDEST }];
  // Where only ends of titles stand is no column.
  return bands.filter((band) => pieces.some((one) => standsIn(one, band)));
}

/** What stands in a band: mostly keys, hardly any, or names and keys side by side. */
function kindOf(band: Band, lines: readonly PrintedLine[]): Kind {
  let [keys, names, both] = [0, 0, 0];
  for (const { pieces } of lines) {
    const own = pieces.filter((one) => standsIn(one, band));
    const ofKeys = own.filter((one) => printsKeys(one.text)).length;
    if (ofKeys > 0 && ofKeys < own.length) both++;
    else if (ofKeys > 0) keys++;
    else if (own.length > 0) names++;
  }
  if (both > 0.15 * (both + keys + names)) return 'both';
  return keys > names ? 'keys' : 'names';
}
