import type { Key, Part } from '../keyboard/keyboard';
import { bindingsOf } from '../keymap/keymap';
import type { CommandId } from '../program/program';
import { layOutSheet } from './layOutSheet';
import { widthOf } from './measure';
import { type PageBox, pageNumber } from './pageBox';
import { shorten, text } from './setLine';
import type { Block, Item, Page } from './sheet';
import { chosenCommands, sheetContents } from './sheetContents';
import type { SheetRequest } from './sheetRequest';

/** The size of what is printed on a key, in points, and the room between the edge of a key and what is on it. */
export const LEGEND = 7;
export const PAD = 2.6;
export const LEADING = 1.12;

/** The parts of the keyboard that have to be drawn: the main block, and those on which something is. */
export function drawnKeys(keys: readonly Key[], used: readonly Key[]): readonly Key[] {
  const parts = new Set<Part>(['main block', ...used.map((key) => key.part)]);
  return keys.filter((key) => parts.has(key.part));
}

/** Where drawn keys begin and how far they reach, in units of a key. */
export function boundsOf(keys: readonly Key[]): { left: number; top: number; wide: number; high: number } {
  const left = Math.min(...keys.map((key) => key.x));
  const top = Math.min(...keys.map((key) => key.y));
  return {
    left,
    top,
    wide: Math.max(1, Math.max(...keys.map((key) => key.x + key.width)) - left),
    high: Math.max(1, Math.max(...keys.map((key) => key.y + key.height)) - top),
  };
}

/** The title of a poster, whole on its first page. */
export function titleOf(title: string, box: PageBox, first: boolean): Block {
  const size = first ? box.title : 9;
  const words = shorten(title, 'bold', size, box.width - 2 * box.margin);
  return {
    role: first ? 'title' : 'note',
    items: text(words, 'bold', size, box.margin, box.margin + size * 0.95),
  };
}

/**
 * The chosen commands that don't stand on a poster in full: that have keys on none of its pictures, or whose names were
 * shortened or left out.
 * @param shown the command of each name on a key, as often as it stands there.
 */
export function restOf(
  request: SheetRequest,
  shown: Iterable<CommandId>,
  cut: ReadonlySet<CommandId>,
): readonly CommandId[] {
  const seen = new Map<CommandId, number>();
  for (const id of shown) seen.set(id, (seen.get(id) ?? 0) + 1);
  return chosenCommands(request)
    .map((one) => one.id)
    .filter((id) => cut.has(id) || (seen.get(id) ?? 0) < bindingsOf(request.keymap, id).length);
}

/** Pages of a poster with their feet, and what is on no key as lines on pages that follow. */
export function withRest(
  request: SheetRequest,
  pages: readonly (readonly Block[])[],
  rest: readonly CommandId[],
  box: PageBox,
  date: string,
): Page[] {
  const { spec } = request;
  const more =
    rest.length === 0
      ? []
      : layOutSheet(
          sheetContents({ ...request, spec: { ...spec, form: 'desk', contents: 'picked', picked: rest } }),
          { ...spec, form: 'desk', pages: 0 },
          date,
        ).pages;
  const count = pages.length + more.length;
  const footed = pages.map((blocks, page): Page => {
    const items = footerOf(pageNumber(date, page, count), request.footer, box);
    return { blocks: [...blocks, { role: 'footer', items }] };
  });
  return [...footed, ...more];
}

function footerOf(right: string, owner: string, { width, height, margin }: PageBox): Item[] {
  const y = height - margin + 4;
  return [
    ...text(shorten(owner, 'words', 7.5, width / 2), 'words', 7.5, margin, y, true),
    ...text(right, 'words', 7.5, width - margin - widthOf(right, 'words') * 7.5, y, true),
  ];
}
