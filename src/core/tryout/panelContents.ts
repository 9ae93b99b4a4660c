import type { Command, Program } from '../program/program';
import { meaningsIn } from '../words/meanings';
import { splitName } from '../words/splitName';
import { stemOf } from '../words/wordForm';
import type { Desk } from './desk';
import { type Layer, shownParts } from './layerStack';
import { colorAt, extentOf, grayOf, mainColors, tonesOf } from './readPicture';
import { CUT_CORNER, PAPER, PARTS, type Part, SAMPLE_SIZE } from './samplePicture';

/** What happened at the stand-in so far, of which panels tell. */
export type Happened = {
  readonly desk: Desk;
  /** The names of what was called, the latest first. */
  readonly called: readonly string[];
  /** Where the pointer is over the picture, in millimeters; null where it is elsewhere. */
  readonly pointer: { readonly x: number; readonly y: number } | null;
  /** What was typed into the label. */
  readonly typed: string;
};
/** What a panel shows. */
export type PanelContents =
  | { readonly kind: 'layers'; readonly layers: readonly Layer[]; readonly at: number }
  | { readonly kind: 'tones'; readonly tones: readonly number[] }
  | { readonly kind: 'colors'; readonly colors: readonly string[]; readonly inHand: string }
  | { readonly kind: 'brush'; readonly size: number; readonly facts: readonly Fact[] }
  | { readonly kind: 'small picture'; readonly zoom: number; readonly shown: ReadonlySet<Part> }
  | { readonly kind: 'facts'; readonly facts: readonly Fact[] }
  | { readonly kind: 'lines'; readonly lines: readonly string[] };
export type Fact = readonly [what: string, value: string];

const MOST_LINES = 8;
/** The label of the sample sheet; the plant and its number are made up. */
const LABEL: readonly Fact[] = [
  ['Plant', 'Sandbank pinkspear'],
  ['Found', 'dune path, 12 June'],
  ['Number', 'S 0412'],
];

/** What is in a panel, by what its name says: read off the sample picture, and changed by what was done. */
export function panelContents(panel: Command, program: Program, happened: Happened): PanelContents {
  const { desk, called } = happened;
  const about = new Set(meaningsIn(panel.name).flatMap((one) => [one, one.split('.')[0] ?? one]));
  const names = (words: RegExp): boolean => words.test(panel.name);
  const is = (...some: readonly string[]): boolean => some.some((one) => about.has(one));
  const parts = shownParts(desk.layers);
  if (is('layer')) return { kind: 'layers', ...desk.layers };
  if (is('histogram') || names(/\blight\b|\btones?\b/i)) return { kind: 'tones', tones: tonesOf(parts) };
  if (is('history', 'macro')) return { kind: 'lines', lines: [...called, 'Opened the sheet'].slice(0, MOST_LINES) };
  if (is('swatch', 'color', 'color wheel', 'mixer', 'fill')) {
    const own = is('color wheel', 'mixer') ? desk.jars.colors : mainColors(parts, 8);
    const inHand = desk.jars.colors[desk.jars.at] ?? '';
    return { kind: 'colors', colors: [...new Set([inHand, ...own])], inHand };
  }
  if (is('brush', 'brushlib', 'pen')) {
    const size = [...desk.values].find(([what]) => /size/i.test(what))?.[1] ?? 50;
    return { kind: 'brush', size, facts: [['Size', `${size} px`], ...valuesOf(desk, /size/i)] };
  }
  if (names(/\bplates?\b|small page|navigator/i)) return { kind: 'small picture', zoom: desk.view.zoom, shown: parts };
  if (is('info')) return { kind: 'facts', facts: reading(happened) };
  if (names(/card|sample|points?\b/i)) return { kind: 'facts', facts: samples(happened) };
  if (names(/\bstock\b|\bpapers?\b/i)) return { kind: 'facts', facts: stock() };
  if (is('object'))
    return {
      kind: 'lines',
      lines: PARTS.toReversed().map((part) => `${NAMES[part]} · ${parts.has(part) ? extentOf(part).count : 'hidden'}`),
    };
  if (names(/ruler|scale|edge|area|measure|align|transform/i)) return { kind: 'facts', facts: measures() };
  if (is('text') || names(/\blabel\b|\btext\b|\btable\b|\bpackets?\b/i))
    return { kind: 'facts', facts: [...LABEL, ['Text', happened.typed || 'nothing typed yet']] };
  if (is('note'))
    return { kind: 'lines', lines: [...(happened.typed ? [happened.typed] : []), 'Top right corner is cut away'] };
  const related = relatedTo(panel, program, called);
  if (related.length > 0) return { kind: 'facts', facts: related };
  const values = valuesOf(desk);
  return values.length > 0
    ? { kind: 'facts', facts: values }
    : { kind: 'lines', lines: [...called.slice(0, MOST_LINES - 1), 'Opened the sheet'] };
}

const valuesOf = ({ values }: Desk, but?: RegExp): Fact[] =>
  [...values].filter(([what]) => !but?.test(what)).map(([what, value]) => [what, `${value}`]);
const percent = (color: string): string => `${Math.round(100 * (1 - grayOf(color)))} % gray`;

function reading({ desk, pointer }: Happened): Fact[] {
  if (!pointer) return [['Pointer', 'not over the sheet']];
  const color = colorAt(pointer.x, pointer.y, shownParts(desk.layers));
  return [
    ['Across', `${Math.round(pointer.x)} mm`],
    ['Down', `${Math.round(pointer.y)} mm`],
    ['Color', color ?? 'no sheet here'],
    ['Tone', color ? percent(color) : '–'],
  ];
}

/** Places on the sheet whose tone is watched. */
const POINTS: readonly (readonly [what: string, x: number, y: number])[] = [
  ['Paper', 40, 40],
  ['Petal', 246, 32],
  ['Lowest leaf', 175, 230],
  ['Stem', 211, 274],
];
function samples({ desk }: Happened): Fact[] {
  const parts = shownParts(desk.layers);
  return POINTS.map(([what, x, y]) => {
    const color = colorAt(x, y, parts);
    return [what, color ? percent(color) : '–'];
  });
}

const NAMES: Readonly<Record<Part, string>> = { stem: 'Stem', leaves: 'Leaves', petals: 'Petals' };

const stock = (): Fact[] => [
  ['Sheet', `${SAMPLE_SIZE.width} × ${SAMPLE_SIZE.height} mm`],
  ['Paper', PAPER],
  ['Corner cut away', `${CUT_CORNER.across} × ${CUT_CORNER.down} mm`],
];

function measures(): Fact[] {
  const [stem, leaves, petals] = [extentOf('stem'), extentOf('leaves'), extentOf('petals')];
  return [
    ['Sheet', `${SAMPLE_SIZE.width} × ${SAMPLE_SIZE.height} mm`],
    ['Stem', `${Math.round(stem.height)} mm`],
    ['Spread', `${Math.round(leaves.width)} mm`],
    ['Leaves, petals', `${leaves.count}, ${petals.count}`],
  ];
}

/**
 * What the commands do that have a word of a panel's name, and how often each was called: those of a menu of that name
 * first. Where they begin with that word, it goes without saying.
 */
function relatedTo(panel: Command, program: Program, called: readonly string[]): Fact[] {
  const wanted = new Set(splitName(panel.name).map(stemOf));
  const says = (name: string): boolean => splitName(name).some((word) => wanted.has(stemOf(word)));
  const related = program.commands.filter((one) => one.kind !== 'panel' && says(one.name));
  const own = related.filter((one) => says(one.path[0] ?? ''));
  return (own.length > 2 ? own : related)
    .map((one): Fact => {
      const times = called.filter((name) => name === one.name).length;
      return [withoutFirst(one.name, wanted), times > 0 ? `${times} ×` : '–'];
    })
    .sort((a, b) => Number(b[1] !== '–') - Number(a[1] !== '–'))
    .slice(0, MOST_LINES);
}

function withoutFirst(name: string, wanted: ReadonlySet<string>): string {
  const [first = '', ...rest] = name.split(' ');
  const left = rest.join(' ');
  return left && wanted.has(stemOf(splitName(first)[0] ?? '')) ? `${left[0]?.toUpperCase()}${left.slice(1)}` : name;
}
