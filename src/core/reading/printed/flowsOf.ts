import { MOST_COLUMNS } from '../tables';
import { type Piece, type PrintedLine, printsKeys, type Stretch } from './printed';
import { STEP, stretchesOf, WIDEST } from './stretchesOf';

/** What is read from top to bottom before what stands beside it: a list, whose columns are its bands. */
export type Flow = {
  readonly bands: readonly Stretch[];
  /** Whether each band is a column of it; else what stands side by side is. */
  readonly placed: boolean;
};

/**
 * The flows of a page: lists stand side by side on most that are printed. Where hardly any line has text is a gutter; a
 * list begins anew where names follow keys as they did before, or where a band has both by itself.
 */
export function flowsOf(lines: readonly PrintedLine[]): readonly Flow[] {
  const bands = listsIn(lines).map((band) => ({ band, kind: kindOf(band, lines) }));
  const flows: { band: Stretch; kind: Kind }[][] = [];
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
const standsIn = ({ x, end }: Piece, { from, to }: Stretch): boolean => x >= from - STEP && end <= to + STEP;

/** Where more of the page is written across, and lists stand side by side all the same. */
const SOME = 0.1;
/** The bands of a page; where all is one in which lines have keys twice, more may reach over what parts them. */
function listsIn(lines: readonly PrintedLine[]): readonly Stretch[] {
  const bands = bandsOf(lines);
  const twice = lines.filter(({ pieces }) => pieces.filter((one) => printsKeys(one.text)).length > 1).length;
  return bands.length === 1 && twice > 0.2 * lines.length ? bandsOf(lines, SOME) : bands;
}

function bandsOf(lines: readonly PrintedLine[], part?: number): readonly Stretch[] {
  const pieces = lines.flatMap((line) => line.pieces);
  const bands = stretchesOf(pieces, lines.length, part);
  if (bands.length > MOST_COLUMNS) return [{ from: 0, to: WIDEST }];
  // Where only ends of titles stand is no column.
  return bands.filter((band) => pieces.some((one) => standsIn(one, band)));
}

/** What stands in a band: mostly keys, hardly any, or names and keys side by side. */
function kindOf(band: Stretch, lines: readonly PrintedLine[]): Kind {
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
