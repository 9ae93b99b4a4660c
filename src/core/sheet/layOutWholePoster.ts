import { MODIFIERS, type Modifier } from '../chord/chord';
import { modifierLabel, type Notation } from '../chord/writeChord';
import { buildClashIndex, programFacts } from '../clash/clashIndex';
import type { Key } from '../keyboard/keyboard';
import type { Where } from '../keyboard/where';
import { keyFaceLabel, layerFaces, layersFor } from '../layer/layer';
import type { CommandId } from '../program/program';
import { counted } from '../text/sentence';
import { widthOf } from './measure';
import { HARD_TO_READ, pageBox } from './pageBox';
import { boundsOf, drawnKeys, LEADING, LEGEND, PAD, restOf, titleOf, withRest } from './posterParts';
import { shorten, text } from './setLine';
import type { Block, Item, SheetLayout } from './sheet';
import { chosenCommands, sheetContents } from './sheetContents';
import type { SheetRequest } from './sheetRequest';
import type { Sign } from './signs';

const LARGEST = 9;
/** What is set smaller than this can't be read from where a poster hangs. */
const LEAST = { A4: 5, Letter: 5, A3: 7 } as const;
/** Keys are drawn taller than wide, so that the page is used, but not more so than this. */
const TALLEST = 2.6;
const LEGEND_ROW = 18;
// In multiples of the type size.
const SIGN = 0.72;
const SIGN_GAP = 0.14;
const SIGN_ROOM = 0.3;

/** What one key does on one layer: the signs that stand before it, and whose it is. */
type Entry = { readonly signs: readonly Sign[]; readonly name: string; readonly command: CommandId };
type Full = { readonly key: Key; readonly entries: readonly Entry[] };
/** An entry broken to the room of its key. */
type Broken = { readonly entry: Entry; readonly lines: readonly string[]; readonly cut: boolean };

/**
 * The key poster with all layers on one page: on every key what it does on each of them, each with the signs of its
 * modifiers, in the largest type in which everything fits. Where that would be too small for the paper, names are
 * shortened and what is still too much is left out, which is said and follows as lines.
 */
export function layOutWholePoster(request: SheetRequest, where: Where, date: string): SheetLayout {
  const { spec } = request;
  const notation: Notation = spec.notation === 'both' ? 'windows' : spec.notation;
  const keys = fullKeys(request, where);
  const box = pageBox(spec);
  const drawn = drawnKeys(
    where.keyboard.keys,
    keys.filter((one) => one.entries.length > 0).map((one) => one.key),
  );
  const { left, wide } = boundsOf(drawn);
  const across = (box.width - 2 * box.margin) / wide;
  const from = box.margin + box.title * 1.9 + LEGEND_ROW;
  const { size, boxOf } = rowsIn({
    keys: keys.filter(({ key }) => drawn.includes(key)),
    across,
    high: box.height - box.margin - 14 - from,
    least: LEAST[spec.paper],
  });
  const out = new Set<CommandId>();
  const shortened = new Set<CommandId>();
  const blocks: Block[] = [];
  const others: Item[] = [];
  for (const { key, entries } of keys) {
    if (!drawn.includes(key)) continue;
    const x = box.margin + (key.x - left) * across + 1;
    const row = boxOf(key);
    const y = from + row.top + 1;
    const cap: Item = {
      kind: 'cap',
      ...{ x, y, width: key.width * across - 2, height: row.high - 2 },
      ...(entries.length > 0 ? { strong: true as const } : {}),
    };
    const [width, height] = [widthOn(key, across), row.high - FRAME];
    const label = shorten(keyFaceLabel(key, notation), 'keys', LEGEND, width);
    const items = [cap, ...text(label, 'keys', LEGEND, x + PAD, y + PAD + LEGEND - 1, entries.length === 0)];
    if (entries.length === 0) {
      others.push(...items);
      continue;
    }
    let at = 0;
    const put: Item[] = [];
    for (const { entry, lines, cut } of fitted(entries, width, height, size)) {
      if (lines.length === 0) {
        out.add(entry.command);
        continue;
      }
      if (cut) shortened.add(entry.command);
      put.push(...entryItems(entry, lines, x + PAD, y + 2 * PAD + LEGEND + at * size * LEADING, size));
      at += lines.length;
    }
    blocks.push({ role: 'line', items: [...items, ...put] });
  }
  const shown = keys.flatMap(({ key, entries }) => (drawn.includes(key) ? entries.map((one) => one.command) : []));
  const rest = restOf(request, shown, new Set([...out, ...shortened]));
  const used = keys.flatMap((one) => one.entries.flatMap((entry) => entry.signs));
  const contents = sheetContents(request);
  const page = [
    titleOf(contents.title, box, true),
    signsExplained(used, notation, box.margin, from - LEGEND_ROW),
    ...blocks,
    { role: 'note' as const, items: others },
  ];
  return {
    width: box.width,
    height: box.height,
    columns: 1,
    size,
    lines: keys.reduce((sum, one) => sum + one.entries.length, 0) - out.size,
    pages: withRest(request, [page], rest, box, date),
    warnings: [
      ...(size < HARD_TO_READ ? [`Names of ${size.toFixed(1)} pt are small; a larger paper makes them larger.`] : []),
      ...(shortened.size > 0 ? [`${counted(shortened.size, 'name is', 'names are')} shortened on the keys.`] : []),
      ...(out.size > 0
        ? [`${counted(out.size, 'command was', 'commands were')} left out, since their keys are full.`]
        : []),
      ...(rest.length > 0
        ? [`${counted(rest.length, 'command stands', 'commands stand')} in full on the page that follows.`]
        : []),
    ],
  };
}

/** Every key with what it does on all layers, from no modifier to many, what is held last. */
function fullKeys(request: SheetRequest, where: Where): Full[] {
  const chosen = new Set(chosenCommands(request).map((one) => one.id));
  const index = buildClashIndex(programFacts(request.program), request.keymap, where.place);
  const layers = layersFor(where.desktop).map((modifiers) => ({
    modifiers,
    faces: layerFaces(where, modifiers, index),
  }));
  return where.keyboard.keys.map((key, k) => {
    const entries = (held: boolean): Entry[] =>
      layers.flatMap(
        ({ modifiers, faces }) =>
          (held ? faces[k]?.held : faces[k]?.holders)?.flatMap(({ command }): Entry[] =>
            chosen.has(command.id)
              ? [
                  {
                    signs: [...inOrder(modifiers), ...(held ? ['hold' as const] : [])],
                    name: command.name,
                    command: command.id,
                  },
                ]
              : [],
          ) ?? [],
      );
    return { key, entries: [...entries(false), ...entries(true)] };
  });
}

const inOrder = (modifiers: readonly Modifier[]): Modifier[] => MODIFIERS.filter((one) => modifiers.includes(one));

/** What a key has on it and around its entries, from top to bottom, in points; and the least height of a row. */
const FRAME = LEGEND + 3 * PAD;
const LOWEST = FRAME + 14;
const widthOn = (key: Key, across: number): number => key.width * across - 2 * PAD - 2;

type Rows = { readonly keys: readonly Full[]; readonly across: number; readonly high: number; readonly least: number };

/**
 * The largest type in which everything is whole on its key, and how high the rows of the keyboard are then: each as high
 * as its fullest key needs, what is left shared out. Where even the least there may be is too large, each has its part.
 */
function rowsIn({ keys, across, high, least }: Rows): {
  readonly size: number;
  readonly boxOf: (key: Key) => { readonly top: number; readonly high: number };
} {
  const ys = [...new Set(keys.map(({ key }) => key.y))].sort((a, b) => a - b);
  const rowOf = (y: number): number => ys.findLastIndex((one) => one <= y + 1e-6);
  // Where rows lie apart on the keyboard they do so here, if by less.
  const apart = ys.map((y, r) => (r === 0 ? 0 : Math.max(0, y - (ys[r - 1] as number) - 1) * across * 0.4));
  const room = high - apart.reduce((sum, one) => sum + one, 0);
  const needs = (size: number): { readonly heights: number[]; readonly whole: boolean } => {
    const heights = ys.map(() => LOWEST);
    let whole = true;
    for (const { key, entries } of keys) {
      const broken = entries.map((entry) => wholeIn(entry, widthOn(key, across), size));
      if (broken.includes(null)) whole = false;
      const lines = broken.reduce((sum, one) => sum + (one?.length ?? 1), 0);
      const r = rowOf(key.y);
      heights[r] = Math.max(heights[r] as number, lines * size * LEADING + FRAME + 1);
    }
    return { heights, whole };
  };
  const sum = (heights: readonly number[]): number => heights.reduce((all, one) => all + one, 0);
  let size = LARGEST;
  let found = needs(size);
  while (size > least && !(found.whole && sum(found.heights) <= room)) {
    size = Math.max(least, size - 0.25);
    found = needs(size);
  }
  const left = room - sum(found.heights);
  const heights = found.heights.map((one) =>
    left >= 0 ? Math.min(Math.max(one, TALLEST * across), one + left / ys.length) : (one * room) / sum(found.heights),
  );
  const tops = heights.map((_, r) => sum(heights.slice(0, r)) + sum(apart.slice(0, r + 1)));
  return {
    size,
    boxOf: (key) => {
      const [first, last] = [rowOf(key.y), rowOf(key.y + key.height - 1)];
      const top = tops[first] as number;
      return { top, high: (tops[last] as number) + (heights[last] as number) - top };
    },
  };
}

const tall = (all: readonly (readonly string[])[]): number => all.reduce((sum, lines) => sum + lines.length, 0);

/** The entries of a key as they go into its room: whole, else each on a line of its own, else the first of them. */
function fitted(entries: readonly Entry[], width: number, height: number, size: number): Broken[] {
  const most = Math.max(1, Math.floor(height / (size * LEADING) + 1e-6));
  const whole = entries.map((entry) => wholeIn(entry, width, size));
  if (whole.every((one) => one !== null) && tall(whole as (readonly string[])[]) <= most)
    return entries.map((entry, i) => ({ entry, lines: whole[i] ?? [], cut: false }));
  let room = most;
  return entries.map((entry, i): Broken => {
    const left = entries.length - i - 1;
    const lines = whole[i];
    // Whoever comes after has a line at least.
    if (lines && lines.length <= room - left) {
      room -= lines.length;
      return { entry, lines, cut: false };
    }
    if (room <= 0) return { entry, lines: [], cut: false };
    room--;
    const line = shorten(entry.name, 'words', size, width - signsWide(entry.signs) * size);
    return { entry, lines: [line], cut: line !== entry.name };
  });
}

/** A name broken at its spaces beside its signs, the first line empty where they stand alone; or null where a word is wider than its key. */
function wholeIn({ signs, name }: Entry, width: number, size: number): string[] | null {
  const lines: string[] = [];
  let line = '';
  const room = (): number => (lines.length === 0 ? width / size - signsWide(signs) : width / size);
  for (const word of name.split(' ')) {
    const longer = line === '' ? word : `${line} ${word}`;
    if (widthOf(longer, 'words') <= room()) {
      line = longer;
      continue;
    }
    if (line !== '') lines.push(line);
    line = word;
    if (widthOf(word, 'words') <= room()) continue;
    // Too wide beside the signs: below them.
    if (lines.length > 0 || signs.length === 0) return null;
    lines.push('');
    if (widthOf(word, 'words') > room()) return null;
  }
  return [...lines, line];
}

const signsWide = (signs: readonly Sign[]): number =>
  signs.length === 0 ? 0 : signs.length * SIGN + (signs.length - 1) * SIGN_GAP + SIGN_ROOM;

function entryItems({ signs }: Entry, lines: readonly string[], x: number, top: number, size: number): Item[] {
  const side = SIGN * size;
  return lines.flatMap((line, i): Item[] => {
    const baseline = top + size * (0.85 + i * LEADING);
    if (i > 0) return text(line, 'words', size, x, baseline);
    const drawn = signs.map(
      (sign, s): Item => ({ kind: 'sign', x: x + s * (side + SIGN_GAP * size), y: baseline - side, side, sign }),
    );
    return [...drawn, ...text(line, 'words', size, x + signsWide(signs) * size, baseline)];
  });
}

/** Which sign stands for what. */
function signsExplained(used: readonly Sign[], notation: Notation, left: number, top: number): Block {
  const signs: readonly Sign[] = [...MODIFIERS, 'hold' as const].filter((one) => used.includes(one));
  const items: Item[] = [];
  let x = left;
  for (const sign of signs) {
    items.push({ kind: 'sign', x, y: top, side: 7, sign });
    const words = sign === 'hold' ? 'while held' : modifierLabel(sign, notation);
    items.push(...text(words, 'words', 9, x + 11, top + 7));
    x += 11 + widthOf(words, 'words') * 9 + 16;
  }
  return { role: 'note', items };
}
