import { indentOf, type Line } from './lines';
import type { Entry, Tree } from './tree';

const SECTION = /^\s*\[([^[\]/]{1,80})\]\s*$/u;
const CLOSED = /^\s*\[\/[^[\]]{1,80}\]\s*$/u;
const COMMENT = /^\s*(?:[#;]|\/\/)/u;
/** What counts on one system alone. */
const IF = /^\s*[#%]\s?(?:if|elif|else)/u;
const KEY = /^(?:keys?|hot ?key|shortcut|chord)$/iu;
const [FEWEST, MOSTLY] = [3, 0.6];

/** A record that is being read: its fields, what stands beside these, and all its lines. */
type Open = {
  readonly from: number;
  readonly entries: Entry[];
  readonly besides: string[];
  readonly lines: Line[];
};

/**
 * Settings in which one section stands many times, as `[hotkey]` with `command=…` and `key=…` in each: each is a record.
 * What is in one besides, such as a word that another file gives a meaning, is put before its keys, so that these are not
 * read without it; `unclear` has where such records begin, `rest` the lines that are in none. Null where sections are
 * mostly otherwise.
 */
export function sectionRecords(
  lines: readonly Line[],
): { readonly tree: Tree; readonly unclear: ReadonlySet<number>; readonly rest: readonly Line[] } | null {
  const counts = new Map<string, number>();
  for (const { text } of lines) {
    const name = SECTION.exec(text)?.[1]?.trim();
    if (name !== undefined) counts.set(name, (counts.get(name) ?? 0) + 1);
  }
  const all = [...counts.values()].reduce((sum, count) => sum + count, 0);
  const [often, count] = [...counts].sort((a, b) => b[1] - a[1])[0] ?? ['', 0];
  // Sections that stand once each are records, too, where most have their keys under the same word: they are the names.
  const named = count === 1 && all >= FEWEST && keyed(lines) >= MOSTLY * all;
  if (!named && (count < FEWEST || count < MOSTLY * all)) return null;
  const title = named ? '' : often;
  const items: Tree[] = [];
  const unclear = new Set<number>();
  const rest: Line[] = [];
  let open: Open | null = null;
  const close = (to: number): void => {
    if (open && open.entries.length > 1) {
      items.push({ kind: 'map', entries: withBesides(open), span: [open.from, to] });
      if (open.besides.length > 0) unclear.add(open.from);
    } else if (open) rest.push(...open.lines);
    open = null;
  };
  let to = 0;
  for (const line of lines) {
    const section = SECTION.exec(line.text)?.[1]?.trim();
    if (section !== undefined || CLOSED.test(line.text)) {
      close(section === undefined ? line.from + line.text.length : to);
      if (named ? section !== undefined : section === title) {
        const at = line.from + line.text.indexOf(section ?? '');
        const name: Entry = {
          name: 'Name',
          nameSpan: [at, at],
          value: { kind: 'text', text: section ?? '', span: [at, at + (section ?? '').length] },
        };
        open = { from: line.from + indentOf(line.text), entries: named ? [name] : [], besides: [], lines: [line] };
      } else if (section !== undefined) rest.push(line);
      continue;
    }
    if (line.text.trim() === '') continue;
    if (!open) {
      rest.push(line);
      continue;
    }
    open.lines.push(line);
    to = line.from + line.text.length;
    if (COMMENT.test(line.text)) {
      if (IF.test(line.text)) open.besides.push(line.text.trim());
      continue;
    }
    const entry = entryOf(line);
    if (entry) open.entries.push(entry);
    else open.besides.push(line.text.trim());
  }
  close(to);
  if (items.length < FEWEST) return null;
  const end = lines.at(-1);
  const span = [0, (end?.from ?? 0) + (end?.text.length ?? 0)] as const;
  const tree: Tree = {
    kind: 'map',
    entries: [{ name: title, nameSpan: [0, 0], value: { kind: 'list', items, span } }],
    span,
  };
  return { tree, unclear, rest };
}

/** How many sections have keys of their own. */
const keyed = (lines: readonly Line[]): number =>
  lines.filter((line) => !COMMENT.test(line.text) && KEY.test(entryOf(line)?.name ?? '')).length;

function entryOf({ text, from }: Line): Entry | null {
  const at = text.indexOf('=');
  if (at < 1) return null;
  const name = text.slice(0, at).trim();
  if (!/^[\w .-]{1,60}$/u.test(name)) return null;
  const begin = at + 1 + indentOf(text.slice(at + 1));
  const bare = text.trimEnd();
  const quoted = bare.length - begin > 1 && /^"[^"]*"$/u.test(bare.slice(begin)) ? 1 : 0;
  const nameAt = from + indentOf(text);
  return {
    name,
    nameSpan: [nameAt, nameAt + name.length],
    value: {
      kind: 'text',
      text: text.slice(begin + quoted, Math.max(begin, bare.length - quoted)),
      span: [from + begin + quoted, from + Math.max(begin, bare.length - quoted)],
    },
  };
}

function withBesides({ entries, besides }: Open): Entry[] {
  return entries.map((one) =>
    besides.length > 0 && KEY.test(one.name) && one.value.kind === 'text'
      ? { ...one, value: { ...one.value, text: `${besides.join(' ')}+${one.value.text}` } }
      : one,
  );
}
