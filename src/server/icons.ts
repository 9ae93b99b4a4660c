import shapes from 'lucide-static/icon-nodes.json';
import tags from 'lucide-static/tags.json';
import { entryOf } from '../core/text/entryOf';
import type { IconShapes, Icons } from '../core/workspace/roomView';

/** An open icon set (Lucide, ISC license): the shapes of each icon, and the words it is found by. */
const SHAPES = shapes as unknown as Readonly<Record<string, IconShapes>>;
const TAGS = tags as Readonly<Record<string, readonly string[]>>;
const MOST_FOUND = 60;

type Filed = { readonly name: string; readonly own: readonly string[]; readonly filed: readonly string[] };
let filed: readonly Filed[] | null = null;

/** The words of the names of icons, and those they are filed under; made when it is first asked for. */
function allFiled(): readonly Filed[] {
  filed ??= Object.keys(SHAPES).map((name) => ({
    name,
    own: name.split('-'),
    filed: (entryOf(TAGS, name) ?? []).flatMap((tag) => tag.toLowerCase().split(/[^a-z0-9]+/)),
  }));
  return filed;
}

/** The shapes of icons by their names; names that the set doesn't have are left out. */
export function iconsNamed(names: Iterable<string>): Icons {
  return Object.fromEntries(
    [...new Set(names)].flatMap((name) => {
      const shapes = entryOf(SHAPES, name);
      return shapes ? [[name, shapes] as const] : [];
    }),
  );
}

/** Icons for some words, the best first: by the words of their names, then by those they are filed under. */
export function findIcons(words: string): Icons {
  const wanted = words.toLowerCase().match(/[a-z0-9]+/g) ?? [];
  if (wanted.length === 0) return {};
  const found = allFiled().flatMap(({ name, own, filed }) => {
    const points = wanted.map((word) => {
      if (own.includes(word)) return 8 / own.length + 4;
      if (own.some((one) => one.startsWith(word))) return 3;
      if (filed.includes(word)) return 2;
      return filed.some((one) => one.startsWith(word)) ? 1 : 0;
    });
    return points.includes(0) ? [] : [{ name, points: points.reduce((sum, one) => sum + one, 0) }];
  });
  found.sort((a, b) => b.points - a.points || a.name.localeCompare(b.name));
  return iconsNamed(found.slice(0, MOST_FOUND).map((one) => one.name));
}
