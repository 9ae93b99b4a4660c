import { CUT_CORNER, PAPER, type Part, SAMPLE_SIZE, type SampleShape, samplePicture } from './samplePicture';

type Point = readonly [x: number, y: number];
type Outline = Pick<SampleShape, 'part' | 'fill'> & { readonly points: readonly Point[] };

/** So many straight pieces stand for a curve. */
const PIECES = 8;
/** Between the points that are looked at for tones and colors, in millimeters. */
const STEP = 3;
export const TONES = 32;

let outlines: readonly Outline[] | undefined;
const known = (): readonly Outline[] => {
  outlines ??= samplePicture().map(({ part, fill, path }) => ({ part, fill, points: flatten(path) }));
  return outlines;
};

/** The color of the sample picture at a point, in millimeters from the top left; null where there is no sheet. */
export function colorAt(x: number, y: number, shown: ReadonlySet<Part>): string | null {
  const { width, height } = SAMPLE_SIZE;
  if (x < 0 || y < 0 || x >= width || y >= height) return null;
  const { across, down } = CUT_CORNER;
  if ((x - (width - across)) / across > y / down) return null;
  const top = known().findLast((one) => shown.has(one.part) && isInside(one.points, x, y));
  return top?.fill ?? PAPER;
}

/** How light a color is, from 0 to 1: the mean of its parts, weighed as the eye does. Source: ITU-R BT.709, 3.2. */
export function grayOf(color: string): number {
  const [red = 0, green = 0, blue = 0] = [1, 3, 5].map((at) => Number.parseInt(color.slice(at, at + 2), 16) / 255);
  return 0.2126 * red + 0.7152 * green + 0.0722 * blue;
}

/** Of the plant and its sheet, how much is of each tone, the darkest first: parts of the most frequent but the paper. */
export function tonesOf(shown: ReadonlySet<Part>): readonly number[] {
  const counts = new Array<number>(TONES).fill(0);
  for (const [color, count] of colorCounts(shown)) {
    // What was pressed is not of one tone: light falls off from the middle of a leaf to its rim.
    const middle = grayOf(color) * (TONES - 1);
    const wide = color === PAPER ? 0.8 : 2.4;
    for (let tone = 0; tone < TONES; tone++)
      counts[tone] = (counts[tone] ?? 0) + count * Math.exp(-(((tone - middle) / wide) ** 2));
  }
  const most = [...counts].sort((a, b) => b - a)[2] || 1;
  return counts.map((one) => Math.min(1, one / most));
}

/** The colors there is most of in the picture, the paper first. */
export function mainColors(shown: ReadonlySet<Part>, most: number): readonly string[] {
  return [...colorCounts(shown)]
    .sort((a, b) => b[1] - a[1])
    .slice(0, most)
    .map(([color]) => color);
}

/** How far the parts reach, in millimeters. */
export function extentOf(part: Part): { readonly width: number; readonly height: number; readonly count: number } {
  const own = known().filter((one) => one.part === part);
  const points = own.flatMap((one) => one.points);
  const span = (at: 0 | 1): number =>
    Math.max(...points.map((one) => one[at])) - Math.min(...points.map((one) => one[at]));
  return { width: span(0), height: span(1), count: own.length };
}

const remembered = new Map<string, ReadonlyMap<string, number>>();
function colorCounts(shown: ReadonlySet<Part>): ReadonlyMap<string, number> {
  const key = [...shown].sort().join();
  const before = remembered.get(key);
  if (before) return before;
  const counts = new Map<string, number>();
  for (let y = STEP / 2; y < SAMPLE_SIZE.height; y += STEP)
    for (let x = STEP / 2; x < SAMPLE_SIZE.width; x += STEP) {
      const color = colorAt(x, y, shown);
      if (color !== null) counts.set(color, (counts.get(color) ?? 0) + 1);
    }
  remembered.set(key, counts);
  return counts;
}

/** The corners of an outline whose curves are made straight. */
function flatten(path: string): readonly Point[] {
  const points: Point[] = [];
  for (const [, command = '', given = ''] of path.matchAll(/([MLQZ])([^MLQZ]*)/g)) {
    const numbers = given.split(/[ ,]/).filter(Boolean).map(Number);
    if (command === 'Q') {
      const [cx = 0, cy = 0, x = 0, y = 0] = numbers;
      const [fromX, fromY] = points.at(-1) ?? [0, 0];
      for (let i = 1; i <= PIECES; i++) {
        const t = i / PIECES;
        const along = (from: number, by: number, to: number): number =>
          (1 - t) ** 2 * from + 2 * t * (1 - t) * by + t ** 2 * to;
        points.push([along(fromX, cx, x), along(fromY, cy, y)]);
      }
    } else for (let i = 0; i + 1 < numbers.length; i += 2) points.push([numbers[i] ?? 0, numbers[i + 1] ?? 0]);
  }
  return points;
}

/** Whether a point is inside an outline: a ray from it crosses the rim an odd number of times. */
function isInside(points: readonly Point[], x: number, y: number): boolean {
  let inside = false;
  for (let i = 0, j = points.length - 1; i < points.length; j = i++) {
    const [[ax, ay], [bx, by]] = [points[i] ?? [0, 0], points[j] ?? [0, 0]];
    if (ay > y !== by > y && x < ((bx - ax) * (y - ay)) / (by - ay) + ax) inside = !inside;
  }
  return inside;
}
