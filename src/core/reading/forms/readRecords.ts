import { readsAsKeys } from '../columnRoles';
import { keysApart, keysTogether, tellsHeld } from '../heldColumns';
import { MOST_COLUMNS, MOST_ROWS, type RawRow, type RawTable, type Span, tidyCell, UnreadableList } from '../tables';
import { tooMany } from './tooMany';
import { DEEPEST_TREE, type Entry, type Tree } from './tree';

type Field = { readonly name: string; readonly text: string; readonly span: Span };
type Line = (at: number) => number;

/**
 * The lists in a structured file: records in a list become a table with a column for each of their fields; a map of texts
 * one of two columns, names and values; a map of records one whose first column is their names. What they lie in gives
 * their place.
 * @param lineAt the number of the line a place of the text is in.
 * @throws UnreadableList past 20,000 rows.
 */
export function readRecords(tree: Tree, lineAt: Line): RawTable[] {
  const tables: RawTable[] = [];
  let all = 0;
  const add = (table: RawTable): void => {
    all += table.rows.length;
    if (all > MOST_ROWS) throw new UnreadableList(tooMany);
    if (table.rows.length > 0) tables.push(table);
  };
  /** The lists in a record; what stands in its own row is none beside it. */
  const beside = (record: Tree, place: readonly string[], depth: number): void => {
    if (record.kind !== 'map') return;
    for (const { name, value: one } of record.entries)
      if (
        one.kind === 'map'
          ? (one.entries.length > (isFlat(one) ? 2 : 1) && !saysHeld(one)) || listsIn(one).some(areCommands)
          : one.kind === 'list' && one.items.length > 1 && textsOf(one) === null && repeatedTexts(one) === null
      )
        walk(one, [...place, holdsCommands(record) ? labelOf(record, name) : tidyCell(name)], depth + 1);
  };
  const walk = (value: Tree, place: readonly string[], depth: number): void => {
    if (value.kind === 'text' || depth > DEEPEST_TREE) return;
    if (value.kind === 'list') {
      const records = value.items.filter((one) => one.kind === 'map');
      // What has no keys but a list of commands is what these live in.
      const own = records.filter((one) => !holdsCommands(one));
      if (records.length >= 2)
        add(
          tableOf(
            place,
            own.map((one) => ({ at: one.span[0], whole: one.span, fields: fieldsOf(one) })),
            lineAt,
          ),
        );
      // A list of short lists is one of records without names.
      const rows = value.items.filter(
        (one) => one.kind === 'list' && one.items.length > 1 && one.items.every((cell) => cell.kind === 'text'),
      );
      if (rows.length >= 2)
        add(
          tableOf(
            place,
            rows.map((one) => ({
              at: one.span[0],
              whole: one.span,
              fields:
                one.kind === 'list'
                  ? one.items.flatMap((cell, i) =>
                      cell.kind === 'text' ? [{ name: `${i + 1}`, text: cell.text, span: cell.span }] : [],
                    )
                  : [],
            })),
            lineAt,
          ),
        );
      for (const item of value.items) {
        if (records.length >= 2 && item.kind === 'map') beside(item, place, depth);
        else walk(item, place, depth + 1);
      }
      return;
    }
    const simple = value.entries.filter(({ value: one }) => textsOf(one) !== null);
    const records = value.entries.filter(({ value: one }) => one.kind === 'map' && isRecord(one));
    const asRecords =
      records.length >= 2 && records.length >= value.entries.length * 0.6 && alike(records.map((one) => one.value));
    if (asRecords) {
      add(
        tableOf(
          place,
          records.map(({ name, nameSpan, value: one }) => ({
            at: nameSpan[0],
            whole: [nameSpan[0], one.span[1]],
            fields: [{ name: 'Name', text: name, span: nameSpan }, ...fieldsOf(one)],
          })),
          lineAt,
        ),
      );
    } else if (simple.length >= 2 || (simple.length === 1 && value.entries.length === 1)) {
      add({
        headings: place,
        rows: simple.map(({ name, nameSpan, value: one }): RawRow => {
          const [text, span] = textsOf(one) ?? ['', nameSpan];
          return {
            line: lineAt(nameSpan[0]),
            cells: [tidyCell(name), tidyCell(text)],
            spans: [nameSpan, span],
            whole: [nameSpan[0], one.span[1]],
            heading: false,
          };
        }),
      });
    }
    for (const { name, value: one } of value.entries) {
      const inside = name === '' ? place : [...place, tidyCell(name)];
      if (asRecords && isRecord(one)) beside(one, inside, depth);
      else walk(one, inside, depth + 1);
    }
  };
  walk(tree, [], 0);
  return tables;
}

/** Whether a record says by itself which modifiers are held with its key. */
const saysHeld = (value: Tree): boolean =>
  value.kind === 'map' && value.entries.some(({ name, value: one }) => tellsHeld(name) && one.kind !== 'map');

/** A text, or several in a list, one under the other; null for anything else. */
function textsOf(value: Tree): readonly [string, Span] | null {
  if (value.kind === 'text') return [value.text, value.span];
  if (value.kind !== 'list' || value.items.length > 12) return null;
  const texts = value.items.flatMap((one) => (one.kind === 'text' ? [one] : []));
  if (texts.length < value.items.length) return null;
  const [first, last] = [texts[0], texts.at(-1)];
  return [texts.map((one) => one.text).join('\n'), first && last ? [first.span[0], last.span[1]] : value.span];
}

/** Whether nothing lies in it but texts. */
const isFlat = (value: Tree): boolean =>
  value.kind !== 'map' || value.entries.every((one) => textsOf(one.value) !== null);
const isRecord = (value: Tree): boolean =>
  value.kind === 'map' &&
  value.entries.some(({ value: one }) => textsOf(one) !== null || (one.kind === 'list' && areFlat(one.items)));
/** Whether these are small maps of texts, such as several keys of one command, and no commands of their own. */
const areFlat = (items: readonly Tree[]): boolean =>
  items.length > 0 &&
  items.length <= 12 &&
  items.every((one) => one.kind === 'map' && one.entries.length <= 3 && isFlat(one)) &&
  !areCommands(items);

/** Whether records have a field in common, most of them. */
function alike(records: readonly Tree[]): boolean {
  const counts = new Map<string, number>();
  for (const one of records)
    if (one.kind === 'map')
      for (const name of new Set(one.entries.map((entry) => entry.name))) counts.set(name, (counts.get(name) ?? 0) + 1);
  const all = [...counts.values()].reduce((sum, count) => sum + count, 0);
  // Maps of many things of their own are no records, though some of these have one name.
  return Math.max(0, ...counts.values()) >= 0.6 * records.length && counts.size <= 3 + (2.5 * all) / records.length;
}

/** The fields of a record, those of what lies in it as `outer inner`. */
function fieldsOf(record: Tree, before = '', depth = 0): Field[] {
  if (record.kind !== 'map' || depth > 4) return [];
  return inTurn(record.entries).flatMap(({ name, value }): Field[] => {
    const full = [before, name].filter((one) => one !== '').join(' ');
    const texts = textsOf(value);
    if (texts) return [{ name: full, text: texts[0], span: texts[1] }];
    if (value.kind === 'map') return fieldsOf(value, full, depth + 1);
    const repeated = repeatedTexts(value);
    if (repeated)
      return repeated.map((one) => ({ ...one, name: [full, one.name].filter((part) => part !== '').join(' ') }));
    const [first] = value.kind === 'list' ? value.items : [];
    return first && value.kind === 'list' && value.items.length === 1 ? fieldsOf(first, full, depth + 1) : [];
  });
}

/** What commands, and what they live in, are mostly called by. */
const CALLED = /^(?:name|label|title|command|action|text|caption|menu|id)$/iu;
/** Whether it is a list of records with a name and keys each, which are commands of their own. */
function areCommands(items: readonly Tree[]): boolean {
  const named = items.filter(
    (one) =>
      one.kind === 'map' && one.entries.some(({ name, value: text }) => CALLED.test(name) && text.kind === 'text'),
  );
  return (
    named.length === items.length &&
    named.some(
      (one) =>
        one.kind === 'map' &&
        one.entries.some(
          ({ name, value: text }) => !CALLED.test(name) && text.kind === 'text' && readsAsKeys(text.text),
        ),
    )
  );
}
/** The lists in a record, also where only what they are of stands between, as in `<Press><Binding/><Binding/></Press>`. */
function listsIn(record: Tree, depth = 0): readonly (readonly Tree[])[] {
  if (record.kind !== 'map' || depth > 3) return [];
  return record.entries.flatMap(({ value }) =>
    value.kind === 'list'
      ? [value.items]
      : value.kind === 'map' && value.entries.every((one) => one.value.kind !== 'text')
        ? listsIn(value, depth + 1)
        : [],
  );
}
const holdsCommands = (record: Tree): boolean =>
  record.kind === 'map' &&
  listsIn(record).some(areCommands) &&
  !record.entries.some(({ name, value }) => !CALLED.test(name) && value.kind === 'text' && readsAsKeys(value.text));
/** What a record is called; else what its list is. */
function labelOf(record: Tree, list: string): string {
  const called = record.kind === 'map' ? record.entries.find(({ name }) => CALLED.test(name))?.value : undefined;
  return tidyCell(called?.kind === 'text' && called.text !== '' ? called.text : list);
}

/** The fields of flat records in a list, such as several keys of one command: the texts of each one under the other. */
function repeatedTexts(value: Tree): readonly Field[] | null {
  if (value.kind !== 'list' || value.items.length < 2 || !areFlat(value.items)) return null;
  const fields = new Map<string, Field>();
  for (const { name, text, span } of value.items.flatMap((one) => fieldsOf(one))) {
    const before = fields.get(name);
    fields.set(
      name,
      before ? { name, text: `${before.text}\n${text}`, span: [before.span[0], span[1]] } : { name, text, span },
    );
  }
  return [...fields.values()];
}

const FIRST = /^first[-_ ]?(?:key[-_ ]?stroke|key|stroke|chord)$/iu;
const SECOND = /^second[-_ ]?(?:key[-_ ]?stroke|key|stroke|chord)$/iu;

/** Entries in which a first and a second stroke are one. */
function inTurn(entries: readonly Entry[]): readonly Entry[] {
  const second = entries.find(({ name }) => SECOND.test(name));
  const first = entries.find(({ name }) => FIRST.test(name));
  if (first?.value.kind !== 'text' || second?.value.kind !== 'text' || second.value.text.trim() === '') return entries;
  const both = { ...first.value, text: `${first.value.text} then ${second.value.text}` };
  return entries.flatMap((one) => (one === second ? [] : one === first ? [{ ...one, value: both }] : [one]));
}

/** Records with the keys of each in one field, where modifiers and key stand in several. */
function together(records: readonly (readonly Field[])[]): readonly (readonly Field[])[] | null {
  const names = [...new Set(records.flatMap((one) => one.map((field) => field.name)))];
  if (!names.some(tellsHeld)) return null;
  const cells = records.map((one) => names.map((name) => one.find((field) => field.name === name)?.text));
  const apart = keysApart(names, cells);
  if (!apart) return null;
  const key = names[apart.key];
  const taken = new Set([...apart.ones.map(([column]) => column), apart.all ?? -1].map((column) => names[column]));
  return records.map((fields, i) =>
    fields.flatMap((one) =>
      taken.has(one.name) ? [] : one.name === key ? [{ ...one, text: keysTogether(apart, cells[i] ?? []) }] : [one],
    ),
  );
}

/** Codes of D-Bus for what is a number or a switch, as schemas of settings have them: such a default is no key. */
const SCALAR = /^[bynqiuxtd]$/u;
const isSetting = (fields: ReadonlyMap<string, Field>): boolean =>
  fields.has('default') && SCALAR.test(fields.get('type')?.text ?? '');

function tableOf(
  place: readonly string[],
  records: readonly { at: number; whole: Span; fields: readonly Field[] }[],
  lineAt: Line,
): RawTable {
  const written = records.map((one) => one.fields);
  const joined = together(written);
  const all = joined ?? written;
  const names = [...new Set(all.flatMap((fields) => fields.map((field) => field.name)))].slice(0, MOST_COLUMNS);
  const rows = records.flatMap(({ at, whole }, i): RawRow[] => {
    const fields = all[i] ?? [];
    if (fields.length === 0) return [];
    const byName = new Map<string, Field>();
    for (const field of fields) if (!byName.has(field.name)) byName.set(field.name, field);
    const cells: string[] = [];
    const spans: Span[] = [];
    for (const name of names) {
      const one = byName.get(name);
      cells.push(tidyCell(one?.text ?? ''));
      spans.push(one?.span ?? [at, at]);
    }
    const row = { line: lineAt(at), cells, spans, whole, heading: false };
    if (!joined && !isSetting(byName)) return [row];
    const left = isSetting(byName) ? { left: 'A setting that is a number or a switch.' } : {};
    return [{ ...row, ...left, ...(joined ? { apart: true as const } : {}) }];
  });
  return { headings: place, header: names, rows };
}
