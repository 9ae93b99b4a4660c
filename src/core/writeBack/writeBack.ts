import type { ChordText } from '../chord/chord';
import type { Corrections } from '../reading/correctRows';
import type { ReadRow } from '../reading/readTable';
import { placeOfKey, rowKey } from '../reading/rowKey';
import { type FormRead, UnreadableList } from '../reading/tables';
import { addMissing } from './addMissing';
import { edited, joined, type TextEdit } from './edits';
import { type Listed, listedKey, type Place, type SourcePlaces } from './placesOf';
import { type CommandPlan, planEdits, sameSet } from './planEdits';
import { readBook } from './readBook';
import { commasLeft } from './removeUnit';
import { correctedReading, type SourceText, type Wanted } from './sourceText';
import type { Said, SpelledWord, Spelling } from './spelling';
import type { Writing } from './writing';

/** What became of one command. */
export type WrittenCommand = {
  readonly id: string;
  readonly did: CommandPlan['did'];
  /** Why it can't be written, and for which keys; null where it stands in the file as wanted. */
  readonly why: CommandPlan['why'];
  readonly words: readonly SpelledWord[];
};
export type Written = {
  readonly text: string;
  readonly edits: readonly TextEdit[];
  readonly commands: readonly WrittenCommand[];
  /** How many commands have the keys wanted once the new file is read again, of those it holds. */
  readonly asWanted: number;
  readonly of: number;
};

/**
 * So often a file is read again to find what can't be written in it, a long one less often; what is left then is not
 * written.
 */
const [MOST_READ, LEAST_READ] = [40, 6];
const MOST_SIGNS = 2_000_000;
/** Forms in which keys may have to be put in quotes. */
const QUOTES: ReadonlySet<FormRead> = new Set(['table', 'YAML']);

type Planned = { readonly wanted: Wanted; readonly plan: CommandPlan };

/**
 * Writes keys into a file: exactly the places change that have to. The new file is read again by the same reading; what
 * does not come back as wanted is taken back and told, so that nothing wrong is ever written.
 * @param source the file that was brought in, by which keys are spelled.
 * @param into the file that is written into: the same, or a newer copy of it.
 * @param wanted all commands of the program, in its order.
 * @param encodes whether the encoding of the file has all signs of a text.
 */
export function writeBack(
  source: SourceText,
  spelling: Spelling,
  into: SourceText,
  wanted: readonly Wanted[],
  said: Said = {},
  encodes: (text: string) => boolean = () => true,
): Written {
  const writing: Writing = {
    text: into.text,
    format: into.reading.format,
    spelling,
    said,
    quoted: false,
    shared: sharedPlaces(into.places),
    pattern: patternIn(into.places, into),
  };
  const keyOf = new Map(wanted.map((one) => [one, listedKey(one)]));
  const key = (one: Wanted): string => keyOf.get(one) ?? '';
  const before = new Map([...into.places.listed].map(([own, { command }]) => [own, command.keys]));
  const planned = (one: Wanted, quoted: boolean): CommandPlan => {
    const listed = listedIn(into, key(one));
    const how = quoted ? { ...writing, quoted } : writing;
    const plan = listed
      ? planEdits(how, listed, listedIn(source, key(one)), one.keys)
      : addMissing(how, source, into.places.listed, wanted, one);
    return plan.edits.every((edit) => encodes(edit.text)) ? plan : NOT_ENCODED;
  };
  const ours = new Set(keyOf.values());
  const others = [...before.keys()].filter((own) => !ours.has(own));
  let reads = 0;
  const mayRead = Math.max(LEAST_READ, Math.min(MOST_READ, Math.floor(MOST_SIGNS / into.text.length)));
  /** What was read last of a file in which everything was as wanted. */
  let proven: { readonly changes: ReadonlySet<Wanted>; readonly now: KeysByCommand } = {
    changes: new Set(),
    now: before,
  };
  const plans = new Map(wanted.map((one) => [one, planned(one, false)]));
  const editsOf = (changes: ReadonlySet<Wanted>): readonly TextEdit[] | null => {
    const own = joined(wanted.flatMap((one) => (changes.has(one) ? (plans.get(one)?.edits ?? []) : [])));
    return own && joined([...own, ...commasLeft(writing, own)]);
  };
  /** What is wrong once some of the commands are written; everything where it can't be read any more, or others change. */
  const wrongWith = (changes: ReadonlySet<Wanted>): readonly Wanted[] => {
    reads++;
    const done = editsOf(changes);
    const now = done && readAgain(into, done, changes);
    if (!now || others.some((own) => !sameSet(now.get(own) ?? [], before.get(own) ?? []))) return wanted;
    const wrong = wanted.filter((one) => {
      const plan = changes.has(one) ? plans.get(one) : undefined;
      const stands = before.has(key(one)) && plan?.did !== 'line removed';
      const keys = now.get(key(one));
      return !sameSet(keys ?? [], plan?.keys ?? before.get(key(one)) ?? []) || (stands && !keys);
    });
    if (wrong.length === 0) proven = { changes, now };
    return wrong;
  };
  /** Those of some changes that come back as wanted, together with others that do. */
  const rightOf = (changes: readonly Wanted[], besides: readonly Wanted[]): readonly Wanted[] => {
    const wrong = reads < mayRead ? wrongWith(new Set([...besides, ...changes])) : changes;
    if (wrong.length === 0) return changes;
    const own = changes.filter((one) => wrong.includes(one));
    // Where only what was changed is wrong, each answers for itself.
    if (own.length < changes.length && own.length === wrong.length)
      return rightOf(
        changes.filter((one) => !own.includes(one)),
        besides,
      );
    if (changes.length === 1 || reads >= mayRead) return [];
    const half = changes.length >> 1;
    const left = rightOf(changes.slice(0, half), besides);
    return [...left, ...rightOf(changes.slice(half), [...besides, ...left])];
  };
  const changes = wanted.filter((one) => (plans.get(one)?.edits.length ?? 0) > 0);
  let right = rightOf(changes, []);
  if (right.length < changes.length && QUOTES.has(writing.format)) {
    const again = changes.filter((one) => !right.includes(one));
    for (const one of again) plans.set(one, planned(one, true));
    right = [...right, ...rightOf(again, right)];
  }
  const kept = new Set(right);
  const all = wanted.map((one): Planned => {
    const plan = plans.get(one) ?? NOT_READ;
    return { wanted: one, plan: plan.edits.length === 0 || kept.has(one) ? plan : NOT_READ };
  });
  const edits = editsOf(kept) ?? [];
  /** Whether the file is to hold a command's keys, as far as that is not told to be impossible. */
  const held = ({ wanted: one, plan }: Planned): boolean =>
    plan.why === null && (before.has(key(one)) || plan.edits.length > 0);
  // What was found to be right is what is written; should it not be, it is not said to be.
  const same = proven.changes.size === kept.size && [...kept].every((one) => proven.changes.has(one));
  const now = same ? proven.now : (readAgain(into, edits, kept) ?? new Map<string, readonly ChordText[]>());
  return {
    text: edited(into.text, edits),
    edits,
    commands: all.map(({ wanted: one, plan: { did, why, words } }) => ({ id: one.id, did, why, words })),
    asWanted: all.filter((one) => held(one) && sameSet(now.get(key(one.wanted)) ?? [], one.wanted.keys)).length,
    of: all.filter(held).length,
  };
}

/** The keys of each command of a file. */
type KeysByCommand = ReadonlyMap<string, readonly ChordText[]>;
/** What a file has of a command; a line that is out of use where it has no other. */
const listedIn = ({ places }: SourceText, key: string): Listed | undefined =>
  places.listed.get(key) ?? places.asleep.get(key);
const NOT_READ: CommandPlan = {
  edits: [],
  words: [],
  did: 'nothing',
  keys: [],
  why: { text: 'Read again, it would not have these keys.', chord: null },
};
const NOT_ENCODED: CommandPlan = {
  ...NOT_READ,
  why: { text: 'The encoding of this file has no sign for what would have to be written.', chord: null },
};
/** The commands of the file once edits are done; null where it can't be read any more. */
function readAgain(into: SourceText, edits: readonly TextEdit[], changes: ReadonlySet<Wanted>): KeysByCommand | null {
  const { choices } = into;
  if (into.pack) {
    const bytes = into.pack(edits);
    return bytes && keysByCommand(readBook(bytes, choices, correctionsLeft(into, changes), into).reading.rows);
  }
  const text = edited(into.text, edits);
  // Some read what is not quite JSON; others don't.
  if (into.reading.format === 'JSON' && isJson(into.text) && !isJson(text)) return null;
  const moved = movedBy(into.text, edits);
  const said = Object.entries(correctionsLeft(into, changes)).map(([key, one]) => [moved(key), one] as const);
  try {
    // Only what was said of rows asks where they stand.
    return keysByCommand(correctedReading(text, choices, Object.fromEntries(said), into, said.length > 0).rows);
  } catch (error) {
    if (error instanceof UnreadableList) return null;
    throw error;
  }
}

/** What was said of rows; of their keys it does not hold once these are written anew. */
function correctionsLeft({ corrections, places }: SourceText, changes: ReadonlySet<Wanted>): Corrections {
  if (Object.keys(corrections).length === 0) return corrections;
  const written = new Set(
    [...changes].flatMap((one) => places.listed.get(listedKey(one))?.places.map((place) => place.line) ?? []),
  );
  return Object.fromEntries(
    Object.entries(corrections).map(([key, { keys, ...rest }]) => [
      key,
      keys === undefined || written.has(placeOfKey(key).line) ? rest : { ...rest, keys },
    ]),
  );
}

const keysByCommand = (rows: readonly ReadRow[]): KeysByCommand =>
  new Map(rows.flatMap(({ command }) => (command ? [[listedKey(command), command.keys] as const] : [])));

function isJson(text: string): boolean {
  try {
    JSON.parse(text);
    return true;
  } catch {
    return false;
  }
}

/** Where rows are after edits, by the keys they are known by. */
function movedBy(text: string, edits: readonly TextEdit[]): (key: string) => string {
  const ends = (part: string): number => part.split(/\r\n|\r|\n/u).length - 1;
  const shifts = edits.map(({ from, to, text: written }) => ({
    from,
    along: written.length - (to - from),
    down: ends(written) - ends(text.slice(from, to)),
  }));
  return (key) => {
    const { line, at } = placeOfKey(key);
    const before = shifts.filter(({ from }) => from < at);
    const sum = (what: 'along' | 'down'): number => before.reduce((all, one) => all + one[what], 0);
    return rowKey(line + sum('down'), at + sum('along'));
  };
}

/** Where keys begin that stand for several commands. */
function sharedPlaces({ listed }: SourcePlaces): ReadonlySet<number> {
  const seen = new Set<number>();
  const shared = new Set<number>();
  for (const { places } of listed.values())
    for (const { keys, absent } of places) {
      if (absent) continue;
      if (seen.has(keys[0])) shared.add(keys[0]);
      seen.add(keys[0]);
    }
  return shared;
}

/** A place that shows where keys are, for those that have none: right behind the name, of a record or in a column. */
function patternIn({ listed }: SourcePlaces, { text, reading: { format } }: SourceText): Place | null {
  for (const { places } of listed.values())
    for (const place of places) {
      if (place.absent || place.commentedOut !== null || place.keys[0] < place.name[1]) continue;
      const between = text.slice(place.name[1], place.keys[0]);
      const shows =
        format === 'text in columns'
          ? /^ +$/u.test(between)
          : place.whole && (between.match(/[=:]/gu) ?? []).length <= 1;
      if (shows) return place;
    }
  return null;
}
