/** The parts of the plant, from the bottom up. */
export const PARTS = ['stem', 'leaves', 'petals'] as const;
export type Part = (typeof PARTS)[number];
/** One shape of the sample picture: a leaf or a stem as the outline of an SVG path, with its color. */
export type SampleShape = { readonly part: Part; readonly path: string; readonly fill: string };

/** The sample picture is as wide and as high as this, in millimeters of the sheet. */
export const SAMPLE_SIZE = { width: 420, height: 300 } as const;
export const PAPER = '#f4f2ea';
/** How much of the sheet's corner is cut away, across and down. */
export const CUT_CORNER = { across: 96, down: 84 } as const;

/** A pressed plant on its sheet, drawn by rule: a bent stem with leaves in pairs, smaller towards the tip. */
export function samplePicture(): SampleShape[] {
  const shapes: SampleShape[] = [];
  const stem = (t: number): readonly [x: number, y: number] => [210 + 34 * Math.sin(t * 2.4) * t, 282 - 250 * t];
  const points = Array.from({ length: 25 }, (_, i) => stem(i / 24));
  const side = (sign: number): string[] =>
    points.map(([x, y], i) => `${(x + sign * (3.2 - (2.4 * i) / 24)).toFixed(1)},${y.toFixed(1)}`);
  shapes.push({ part: 'stem', path: `M${side(-1).join('L')}L${side(1).reverse().join('L')}Z`, fill: '#6b6a45' });
  for (let i = 0; i < 9; i++) {
    const [x, y] = stem(0.16 + i * 0.095);
    for (const sign of [-1, 1])
      shapes.push({ part: 'leaves', path: leaf(x, y, sign, 74 - i * 6, i), fill: i % 2 === 0 ? '#7f8a55' : '#8e8a52' });
  }
  const [x, y] = stem(1);
  for (let i = 0; i < 6; i++) {
    const turn = (i * Math.PI) / 3;
    shapes.push({ part: 'petals', path: petal(x, y, turn), fill: i % 2 === 0 ? '#b08aa0' : '#a37c95' });
  }
  return shapes;
}

function leaf(x: number, y: number, sign: number, length: number, i: number): string {
  const lift = -length * (0.32 + 0.03 * i);
  const [tipX, tipY] = [x + sign * length, y + lift];
  const [midX, midY] = [(x + tipX) / 2, (y + tipY) / 2];
  const bulge = length * 0.2;
  const round = (value: number): string => value.toFixed(1);
  return `M${round(x)},${round(y)}Q${round(midX)},${round(midY - bulge)} ${round(tipX)},${round(tipY)}Q${round(midX + sign * 4)},${round(midY + bulge)} ${round(x)},${round(y)}Z`;
}

function petal(x: number, y: number, turn: number): string {
  const at = (angle: number, far: number): string =>
    `${(x + Math.cos(angle) * far).toFixed(1)},${(y + Math.sin(angle) * far).toFixed(1)}`;
  return `M${at(turn, 2)}Q${at(turn - 0.6, 17)} ${at(turn, 26)}Q${at(turn + 0.6, 17)} ${at(turn, 2)}Z`;
}
