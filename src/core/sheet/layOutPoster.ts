import type { Modifier } from '../chord/chord';
import { modifierLabel, type Notation } from '../chord/writeChord';
import { buildClashIndex, type ClashIndex, programFacts } from '../clash/clashIndex';
import type { Key } from '../keyboard/keyboard';
import type { Where } from '../keyboard/where';
import { isModifierKey, type KeyFace, keyFaceLabel, layerFaces, layersFor } from '../layer/layer';
import type { CommandId } from '../program/program';
import { counted } from '../text/sentence';
import { widthOf } from './measure';
import { HARD_TO_READ, type PageBox, pageBox } from './pageBox';
import { boundsOf, drawnKeys, LEADING, LEGEND, PAD, restOf, titleOf, withRest } from './posterParts';
import { shorten, text } from './setLine';
import type { Block, Item, SheetLayout } from './sheet';
import { chosenCommands, sheetContents } from './sheetContents';
import type { SheetRequest } from './sheetRequest';
import { wrapText } from './wrapText';

const LARGEST_NAME = 9;
const HEADING = 20;
const LAYER_GAP = 14;

/** A key with what it does on a layer: the names of its commands. */
type Named = { readonly face: KeyFace; readonly names: readonly string[] };
type Layer = { readonly modifiers: readonly Modifier[]; readonly keys: readonly Named[] };

/**
 * The key poster: the drawn keyboard, true to the one chosen, with the names of its commands on the keys, one picture a
 * layer that has any. What is on no single key (sequences, held keys, keys this keyboard lacks) follows as lines, and so
 * do names that had to be shortened to fit.
 */
export function layOutPoster(request: SheetRequest, where: Where, date: string): SheetLayout {
  const { spec, program } = request;
  const notation: Notation = spec.notation === 'both' ? 'windows' : spec.notation;
  const chosen = new Set(chosenCommands(request).map((one) => one.id));
  const index = buildClashIndex(programFacts(program), request.keymap, where.place);
  const layers = layersFor(where.desktop).flatMap((modifiers): Layer[] => {
    const keys = namedKeys(where, modifiers, index, chosen);
    return keys.some((one) => one.names.length > 0) ? [{ modifiers, keys }] : [];
  });
  const box: PageBox = { ...pageBox(spec), columns: { least: 1, most: 1 } };
  const used = layers.flatMap((layer) => layer.keys.flatMap((one) => (one.names.length > 0 ? [one.face.key] : [])));
  const shown = new Set(drawnKeys(where.keyboard.keys, used));
  const { left, top, wide, high: rows } = boundsOf([...shown]);
  const unit = unitFor(layers, box, wide, rows);
  const high = rows * unit.high;
  const size = nameSize(layers, unit);
  const contents = sheetContents(request);
  // Where it is narrower than the page it stands in its middle.
  const inset = (box.width - 2 * box.margin - wide * unit.wide) / 2;

  const pages: Block[][] = [];
  const short = new Set<CommandId>();
  let y = Number.POSITIVE_INFINITY;
  for (const layer of layers) {
    if (y + HEADING + high > box.height - box.margin - 18) {
      const first = pages.length === 0;
      pages.push([titleOf(contents.title, box, first)]);
      y = box.margin + (first ? box.title * 1.9 : 20);
    }
    const page = pages.at(-1) as Block[];
    page.push(headingOf(layer.modifiers, notation, box.margin + inset, y));
    page.push(
      ...keysOf({ layer, shown, left, top, unit, size, notation, x: box.margin + inset, y: y + HEADING, short }),
    );
    y += HEADING + high + LAYER_GAP;
  }
  const onKeys = layers.flatMap((layer) => layer.keys.flatMap(({ face }) => face.holders.map((one) => one.command.id)));
  const rest = restOf(request, onKeys, short);
  return {
    width: box.width,
    height: box.height,
    columns: 1,
    size,
    lines: layers.reduce((sum, layer) => sum + layer.keys.reduce((n, one) => n + one.names.length, 0), 0),
    pages: withRest(request, pages, rest, box, date),
    warnings: [
      ...(size < HARD_TO_READ
        ? [`Names of ${size.toFixed(1)} pt are hard to read; a larger paper makes them larger.`]
        : []),
      ...(short.size > 0
        ? [`${counted(short.size, 'name is', 'names are')} shortened on the keys and stand in full on the last page.`]
        : []),
    ],
  };
}

function namedKeys(
  where: Where,
  modifiers: readonly Modifier[],
  index: ClashIndex,
  chosen: ReadonlySet<CommandId>,
): readonly Named[] {
  return layerFaces(where, modifiers, index).map((face) => ({
    face,
    names: face.holders.filter((one) => chosen.has(one.command.id)).map((one) => one.command.name),
  }));
}

/** A key as it is drawn, in points. */
type Unit = { readonly wide: number; readonly high: number };
/** So many pictures go on a page at most, and keys are drawn so much lower for it at most. */
const MOST_A_PAGE = 3;
const LOWEST = 0.7;
/** For half as many pages so large a part of the keys may have shortened names, which stand in full at the end. */
const SOME = 0.05;

/** How large keys are drawn: as wide as the page, or less, or lower, where more pictures then fit on it and hardly a name suffers. */
function unitFor(layers: readonly Layer[], box: PageBox, wide: number, rows: number): Unit {
  const widest = (box.width - 2 * box.margin) / wide;
  const room = box.height - 2 * box.margin - 18 - box.title * 1.9;
  const cutAt = (unit: Unit): number => {
    const size = nameSize(layers, unit);
    return layers.reduce((sum, layer) => sum + layer.keys.filter((one) => !fits(one, unit, size)).length, 0);
  };
  const whole = { wide: widest, high: widest };
  const named = layers.reduce((sum, layer) => sum + layer.keys.filter((one) => one.names.length > 0).length, 0);
  const most = cutAt(whole) + SOME * named;
  let best: Unit = whole;
  for (let each = 2; each <= Math.min(MOST_A_PAGE, layers.length); each++) {
    const high = Math.min(widest, ((room - (each - 1) * LAYER_GAP) / each - HEADING) / rows);
    const lower = { wide: Math.min(widest, high / LOWEST), high };
    for (const unit of [{ wide: high, high }, lower]) if (cutAt(unit) <= most) best = unit;
  }
  return best;
}

/** The largest type in which every name fits its key; never under what can be read, where some are shortened instead. */
function nameSize(layers: readonly Layer[], unit: Unit): number {
  for (let size = LARGEST_NAME; size > HARD_TO_READ; size -= 0.25)
    if (layers.every((layer) => layer.keys.every((one) => fits(one, unit, size)))) return size;
  return HARD_TO_READ;
}

/** Words are never broken inside on a key: a name that would need it doesn't fit. */
function fits({ face, names }: Named, unit: Unit, size: number): boolean {
  if (names.length === 0) return true;
  const [width, height] = roomOn(face.key, unit);
  const whole = names
    .join(' ')
    .split(' ')
    .every((word) => widthOf(word, 'words') * size <= width);
  return whole && linesOf(names, width, size).length * size * LEADING <= height;
}

function roomOn(key: Key, unit: Unit): readonly [width: number, height: number] {
  return [key.width * unit.wide - 2 * PAD - 2, key.height * unit.high - LEGEND - 3 * PAD];
}

function linesOf(names: readonly string[], width: number, size: number): string[] {
  return names.flatMap((name) => wrapText(name, 'words', width / size));
}

function headingOf(modifiers: readonly Modifier[], notation: Notation, x: number, y: number): Block {
  const words =
    modifiers.length === 0
      ? 'Without a modifier'
      : `With ${modifiers.map((one) => modifierLabel(one, notation)).join(' + ')}`;
  return { role: 'heading', items: text(words, 'bold', 11, x, y + 12) };
}

type Drawing = {
  readonly layer: Layer;
  readonly shown: ReadonlySet<Key>;
  readonly left: number;
  readonly top: number;
  readonly unit: Unit;
  readonly size: number;
  readonly notation: Notation;
  readonly x: number;
  readonly y: number;
  /** Takes in the commands whose names are shortened. */
  readonly short: Set<CommandId>;
};

function keysOf({ layer, shown, left, top, unit, size, notation, x: from, y, short }: Drawing): Block[] {
  const drawn: Block[] = [];
  const others: Item[] = [];
  for (const { face, names } of layer.keys) {
    const { key } = face;
    if (!shown.has(key)) continue;
    const x = from + (key.x - left) * unit.wide;
    const at = y + (key.y - top) * unit.high;
    const wide = key.width * unit.wide - 2 * PAD - 2;
    const held = isModifierKey(key) && (layer.modifiers as readonly string[]).includes(key.name);
    const used = names.length > 0 || held;
    const cap: Item = {
      kind: 'cap',
      x: x + 1,
      y: at + 1,
      width: key.width * unit.wide - 2,
      height: key.height * unit.high - 2,
      ...(used ? { strong: true } : {}),
    };
    const label = shorten(keyFaceLabel(key, notation), 'keys', LEGEND, wide);
    const legend = text(label, 'keys', LEGEND, x + PAD + 1, at + PAD + LEGEND, !used);
    if (names.length === 0) {
      others.push(cap, ...legend);
      continue;
    }
    const [width, height] = roomOn(key, unit);
    const most = Math.max(1, Math.floor(height / (size * LEADING)));
    const whole = names.flatMap((name) => wrapText(name, 'words', width / size));
    const broken = names
      .join(' ')
      .split(' ')
      .some((word) => widthOf(word, 'words') * size > width);
    const lines = whole.length > most || broken ? cut(names, width, size, most) : whole;
    if (lines !== whole)
      for (const one of face.holders) if (names.includes(one.command.name)) short.add(one.command.id);
    const words = lines.flatMap((line, i) =>
      text(line, 'words', size, x + PAD + 1, at + PAD * 2 + LEGEND + size * (0.85 + i * LEADING)),
    );
    drawn.push({ role: 'line', items: [cap, ...legend, ...words] });
  }
  return [...drawn, { role: 'note', items: others }];
}

/** Names cut to the room of a key: each word shortened where it is too wide, the last line where there are too many. */
function cut(names: readonly string[], width: number, size: number, most: number): string[] {
  const lines = names.flatMap((name) =>
    wrapText(
      name
        .split(' ')
        .map((word) => shorten(word, 'words', size, width))
        .join(' '),
      'words',
      width / size,
    ),
  );
  if (lines.length <= most) return lines;
  const kept = lines.slice(0, most);
  const last = kept.pop() ?? '';
  return [...kept, shorten(`${last} ${lines.slice(most).join(' ')}`, 'words', size, width)];
}
