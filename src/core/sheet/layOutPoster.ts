import type { Modifier } from '../chord/chord';
import { modifierLabel, type Notation } from '../chord/writeChord';
import { buildClashIndex, type ClashIndex, programFacts } from '../clash/clashIndex';
import type { Key, Part } from '../keyboard/keyboard';
import type { Where } from '../keyboard/where';
import { isModifierKey, type KeyFace, keyFaceLabel, layerFaces, layersFor } from '../layer/layer';
import type { CommandId } from '../program/program';
import { counted } from '../text/sentence';
import { layOutSheet } from './layOutSheet';
import { widthOf } from './measure';
import { HARD_TO_READ, type PageBox, pageBox, pageNumber } from './pageBox';
import { shorten, text } from './setLine';
import type { Block, Item, Page, SheetLayout } from './sheet';
import { chosenCommands, sheetContents } from './sheetContents';
import type { SheetRequest } from './sheetRequest';
import { wrapText } from './wrapText';

const LARGEST_NAME = 9;
const LEGEND = 7;
const LEADING = 1.12;
/** Room between the edge of a key and what is on it, in points. */
const PAD = 2.6;
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
  const shown = drawnParts(layers);
  const keys = where.keyboard.keys.filter((key) => shown.has(key.part));
  const left = Math.min(...keys.map((key) => key.x));
  const top = Math.min(...keys.map((key) => key.y));
  const unit = (box.width - 2 * box.margin) / Math.max(1, Math.max(...keys.map((key) => key.x + key.width)) - left);
  const high = (Math.max(0, ...keys.map((key) => key.y + key.height)) - top) * unit;
  const size = nameSize(layers, unit);
  const contents = sheetContents(request);

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
    page.push(headingOf(layer.modifiers, notation, box, y));
    page.push(...keysOf({ layer, shown, left, top, unit, size, notation, box, y: y + HEADING, short }));
    y += HEADING + high + LAYER_GAP;
  }
  const rest = restOf(request, layers, short);
  const more =
    rest.length === 0
      ? []
      : layOutSheet(
          sheetContents({ ...request, spec: { ...spec, form: 'desk', contents: 'picked', picked: rest } }),
          { ...spec, form: 'desk', pages: 0 },
          date,
        ).pages;
  const all: Page[] = [...pages.map((blocks) => ({ blocks })), ...more];
  const right = (page: number): string => pageNumber(date, page, all.length);
  return {
    width: box.width,
    height: box.height,
    columns: 1,
    size,
    lines: layers.reduce((sum, layer) => sum + layer.keys.reduce((n, one) => n + one.names.length, 0), 0),
    pages: all.map(({ blocks }, page) =>
      page >= pages.length
        ? { blocks }
        : { blocks: [...blocks, { role: 'footer', items: footerOf(right(page), contents.footer, box) }] },
    ),
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

/** The parts of the keyboard that have to be drawn: the main block, and those on which something is. */
function drawnParts(layers: readonly Layer[]): ReadonlySet<Part> {
  const parts = layers.flatMap((layer) =>
    layer.keys.flatMap((one) => (one.names.length > 0 ? [one.face.key.part] : [])),
  );
  return new Set<Part>(['main block', ...parts]);
}

/** The largest type in which every name fits its key; never under what can be read, where some are shortened instead. */
function nameSize(layers: readonly Layer[], unit: number): number {
  for (let size = LARGEST_NAME; size > HARD_TO_READ; size -= 0.25)
    if (layers.every((layer) => layer.keys.every((one) => fits(one, unit, size)))) return size;
  return HARD_TO_READ;
}

/** Words are never broken inside on a key: a name that would need it doesn't fit. */
function fits({ face, names }: Named, unit: number, size: number): boolean {
  if (names.length === 0) return true;
  const [width, height] = roomOn(face.key, unit);
  const whole = names
    .join(' ')
    .split(' ')
    .every((word) => widthOf(word, 'words') * size <= width);
  return whole && linesOf(names, width, size).length * size * LEADING <= height;
}

function roomOn(key: Key, unit: number): readonly [width: number, height: number] {
  return [key.width * unit - 2 * PAD - 2, key.height * unit - LEGEND - 3 * PAD];
}

function linesOf(names: readonly string[], width: number, size: number): string[] {
  return names.flatMap((name) => wrapText(name, 'words', width / size));
}

function titleOf(title: string, box: PageBox, first: boolean): Block {
  const size = first ? box.title : 9;
  const words = shorten(title, 'bold', size, box.width - 2 * box.margin);
  return {
    role: first ? 'title' : 'note',
    items: text(words, 'bold', size, box.margin, box.margin + size * 0.95),
  };
}

function headingOf(modifiers: readonly Modifier[], notation: Notation, box: PageBox, y: number): Block {
  const words =
    modifiers.length === 0
      ? 'Without a modifier'
      : `With ${modifiers.map((one) => modifierLabel(one, notation)).join(' + ')}`;
  return { role: 'heading', items: text(words, 'bold', 11, box.margin, y + 12) };
}

type Drawing = {
  readonly layer: Layer;
  readonly shown: ReadonlySet<Part>;
  readonly left: number;
  readonly top: number;
  readonly unit: number;
  readonly size: number;
  readonly notation: Notation;
  readonly box: PageBox;
  readonly y: number;
  /** Takes in the commands whose names are shortened. */
  readonly short: Set<CommandId>;
};

function keysOf({ layer, shown, left, top, unit, size, notation, box, y, short }: Drawing): Block[] {
  const drawn: Block[] = [];
  const others: Item[] = [];
  for (const { face, names } of layer.keys) {
    const { key } = face;
    if (!shown.has(key.part)) continue;
    const x = box.margin + (key.x - left) * unit;
    const at = y + (key.y - top) * unit;
    const wide = key.width * unit - 2 * PAD - 2;
    const held = isModifierKey(key) && (layer.modifiers as readonly string[]).includes(key.name);
    const used = names.length > 0 || held;
    const cap: Item = {
      kind: 'cap',
      x: x + 1,
      y: at + 1,
      width: key.width * unit - 2,
      height: key.height * unit - 2,
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

/** The chosen commands that have keys on no picture, and those whose names were shortened. */
function restOf(request: SheetRequest, layers: readonly Layer[], short: ReadonlySet<CommandId>): CommandId[] {
  const seen = new Map<CommandId, number>();
  for (const layer of layers)
    for (const { face } of layer.keys)
      for (const one of face.holders) seen.set(one.command.id, (seen.get(one.command.id) ?? 0) + 1);
  return chosenCommands(request)
    .filter(({ id }) => short.has(id) || (seen.get(id) ?? 0) < (request.keymap.bindings.get(id)?.length ?? 0))
    .map((one) => one.id);
}

function footerOf(right: string, owner: string, { width, height, margin }: PageBox): Item[] {
  const y = height - margin + 4;
  return [
    ...text(shorten(owner, 'words', 7.5, width / 2), 'words', 7.5, margin, y, true),
    ...text(right, 'words', 7.5, width - margin - widthOf(right, 'words') * 7.5, y, true),
  ];
}
