import { INK_COLORS } from '../workspace/appearance';
import { INK_SHAPES } from '../workspace/dressing';
import { FACES, type Face } from './measure';
import type { Item, Page, SheetLayout } from './sheet';
import { SIGN_SHAPES } from './signs';

const GAP = 12;
const safe = (text: string): string => text.replace(/[&<>"]/g, (one) => `&#${one.charCodeAt(0)};`);
const n4 = (value: number): string => String(Math.round(value * 10_000) / 10_000);
const n = (value: number): string => String(Math.round(value * 100) / 100);

/**
 * A layout as SVG, its pages below each other; lengths in points.
 * @param fonts the faces it uses as addresses of data, so that it looks the same anywhere.
 */
export function writeSvg(layout: SheetLayout, title: string, fonts: ReadonlyMap<Face, string>): string {
  const { width, height, pages } = layout;
  const high = pages.length * height + (pages.length - 1) * GAP;
  const used = facesOf(layout);
  const faces = FACES.filter((face) => used.has(face) && fonts.has(face)).map(
    (face) => `@font-face{font-family:"${face}";font-weight:100 900;src:url(${fonts.get(face)})}`,
  );
  const style: TextStyle = { family: (face) => face, held: true };
  const drawn = pages.map(
    (page, i) =>
      `<g transform="translate(0 ${n(i * (height + GAP))})" fill="#161616"><rect width="${n(width)}" height="${n(height)}" fill="#fff"/>${pageShapes(page, style)}</g>`,
  );
  return `<?xml version="1.0" encoding="UTF-8"?>
<svg xmlns="http://www.w3.org/2000/svg" width="${n(width)}pt" height="${n(high)}pt" viewBox="0 0 ${n(width)} ${n(high)}">
<title>${safe(title)}</title>
<style>text{font-kerning:none;font-variant-ligatures:none;white-space:pre}${faces.join('')}</style>
${drawn.join('\n')}
</svg>
`;
}

/** The faces that a layout has letters in. */
export function facesOf({ pages }: SheetLayout): ReadonlySet<Face> {
  return new Set(
    pages.flatMap((page) =>
      page.blocks.flatMap((block) => block.items.flatMap((item) => (item.kind === 'text' ? [item.face] : []))),
    ),
  );
}

/**
 * How texts are set: the family of each face; and whether they are held to the width the core measured, each a text of its
 * own, or all of a line are one text, which a browser sets sooner.
 */
export type TextStyle = { readonly family: (face: Face) => string; readonly held: boolean };

type TextItem = Extract<Item, { kind: 'text' }>;

/**
 * The shapes of a page, in points, as the inside of an SVG element. All rules of a weight are one shape and all key caps
 * are one: a page has hundreds of them, and each shape of its own takes its time.
 */
export function pageShapes(page: Page, style: TextStyle): string {
  const rules = new Map<string, string>();
  const caps = { usual: '', strong: '' };
  let others = '';
  for (const { items } of page.blocks) {
    const texts: TextItem[] = [];
    for (const item of items) {
      if (item.kind === 'rule') {
        const look = `stroke="${item.soft ? '#c4c4c4' : '#161616'}" stroke-width="${n(item.weight)}"`;
        rules.set(look, `${rules.get(look) ?? ''}M${n(item.x)} ${n(item.y)}h${n(item.width)}`);
      } else if (item.kind === 'cap') caps[item.strong ? 'strong' : 'usual'] += capOutline(item);
      else if (item.kind === 'text') texts.push(item);
      else others += shapeOf(item);
    }
    if (style.held) others += texts.map((item) => textOf('text', item, style)).join('');
    else if (texts.length > 0) others += `<text>${texts.map((item) => textOf('tspan', item, style)).join('')}</text>`;
  }
  const lines = [...rules].map(([look, d]) => `<path d="${d}" ${look}/>`).join('');
  const outlines = (d: string, look: string): string => (d === '' ? '' : `<path d="${d}" fill="none" ${look}/>`);
  const usual = outlines(caps.usual, 'stroke="#777" stroke-width="0.6"');
  const strong = outlines(caps.strong, 'stroke="#161616" stroke-width="0.9"');
  return `${lines}${usual}${strong}${others}`;
}

function textOf(tag: 'text' | 'tspan', item: TextItem, { family, held }: TextStyle): string {
  const weight = item.face.startsWith('bold') ? ' font-weight="700"' : '';
  const width = held ? ` textLength="${n(item.width)}"` : '';
  const fill = item.soft ? ' fill="#555"' : '';
  return `<${tag} x="${n(item.x)}" y="${n(item.y)}" font-size="${n(item.size)}" font-family="${safe(family(item.face))}"${weight}${width}${fill}>${safe(item.text)}</${tag}>`;
}

const CORNER = 2;
function capOutline({ x, y, width, height }: Extract<Item, { kind: 'cap' }>): string {
  const [w, h] = [n(width - 2 * CORNER), n(height - 2 * CORNER)];
  const turn = (dx: number, dy: number): string => `a2 2 0 0 1 ${dx} ${dy}`;
  return `M${n(x + CORNER)} ${n(y)}h${w}${turn(2, 2)}v${h}${turn(-2, 2)}h-${w}${turn(-2, -2)}v-${h}${turn(2, -2)}z`;
}

function shapeOf(item: Exclude<Item, { kind: 'rule' | 'cap' | 'text' }>): string {
  switch (item.kind) {
    case 'stroke':
      return `<path d="M${n(item.x)} ${n(item.y)}L${n(item.toX)} ${n(item.toY)}" stroke="#777" stroke-width="0.5"${item.dashed ? ' stroke-dasharray="3 3"' : ''}/>`;
    case 'dot':
      return `<circle cx="${n(item.x)}" cy="${n(item.y)}" r="${n(item.radius)}"/>`;
    case 'sign':
      return `<path d="${SIGN_SHAPES[item.sign]}" transform="translate(${n(item.x)} ${n(item.y)}) scale(${n4(item.side / 12)})" fill-rule="evenodd"/>`;
    case 'mark':
      return `<path d="${INK_SHAPES[item.ink]}" transform="translate(${n(item.x)} ${n(item.y)}) scale(${item.side / 12})" fill="${INK_COLORS[item.ink]}" fill-rule="evenodd"/>`;
  }
}
