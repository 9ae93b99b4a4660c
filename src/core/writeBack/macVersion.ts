import { listedKey } from './placesOf';
import { sameSet } from './planEdits';
import { readSource, type SourceText, spellingOf, type Wanted } from './sourceText';
import type { Said } from './spelling';
import { type Written, type WrittenCommand, writeBack } from './writeBack';

/** What words for a Mac are said by, before what they stand for. */
export const ON_MAC = 'Mac ';
/** The part of a file for the Mac, written as well. */
export type MacWritten = {
  readonly written: Written;
  /** Commands whose keys on a Mac are others, and stay. */
  readonly others: readonly WrittenCommand[];
};

/**
 * A file may hold keys for a Mac in a column of their own: that is another version of the same list, which is read, spelled
 * and proven by itself. Commands that had the same keys in both get the new ones in both.
 * @param changed the commands whose keys change.
 * @param encodes whether the encoding of the file has all signs of a text.
 * @returns null where a file holds no such column, or is a workbook.
 */
export function writeMacVersion(
  file: SourceText,
  wanted: readonly Wanted[],
  changed: ReadonlySet<string>,
  said: Said,
  encodes: (text: string) => boolean,
): MacWritten | null {
  const { reading, text, choices, corrections, pack } = file;
  if (pack || !reading.groups.some(({ roles }) => roles.includes('keys') && roles.includes('Mac keys'))) return null;
  const groups = reading.groups.map((group) => ({
    ...group,
    roles: group.roles.map((role) => (role === 'Mac keys' ? 'keys' : role === 'keys' ? 'ignore' : role)),
  }));
  const manner = { ...reading.manner, dialect: 'mac' as const };
  // What was said of keys was said of those beside them.
  const placed = Object.fromEntries(Object.entries(corrections).map(([row, { keys: _, ...rest }]) => [row, rest]));
  const mac = readSource(text, choices, placed, { ...file, reading: { ...reading, groups, manner } });
  const others: WrittenCommand[] = [];
  const onMac = wanted.map((one): Wanted => {
    const key = listedKey(one);
    const own = mac.places.listed.get(key)?.command.keys ?? [];
    const before = file.places.listed.get(key)?.command.keys ?? [];
    if (!changed.has(one.id) || sameSet(own, one.keys)) return { ...one, keys: own };
    if (sameSet(own, before)) return one;
    if (own.length > 0)
      others.push({
        id: one.id,
        did: 'nothing',
        words: [],
        why: { text: 'Its keys on a Mac were others before, and stay as they are in this file.', chord: null },
      });
    return { ...one, keys: own };
  });
  const saidOnMac = Object.fromEntries(
    Object.entries(said).flatMap(([what, word]) =>
      what.startsWith(ON_MAC) ? [[what.slice(ON_MAC.length), word]] : [],
    ),
  );
  return { written: writeBack(mac, spellingOf(mac), mac, onMac, saidOnMac, encodes), others };
}
