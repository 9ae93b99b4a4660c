import type { ChordText } from '../chord/chord';
import { readsAsKeys } from './columnRoles';
import type { ListedCommand, ReadRow } from './readTable';

/** Why a list was probably not understood as it is meant; null where nothing speaks for that. */
export function doubtOf(rows: readonly ReadRow[]): string | null {
  const commands = rows.flatMap((row) => row.command ?? []);
  const again = rows.filter((row) => row.result === 'again').length;
  if (again > 3 && again > commands.length) return 'Most of its rows have a name that another row has.';
  // Words that bind here and there may be words of sentences, or of a program.
  if (commands.length < 4 && rows.filter((row) => row.why === 'Binds no keys.').length > 20)
    return 'Hardly any of its lines was read.';
  if (commands.length < 4) return commands.length === 0 ? 'No row of it could be read as a command.' : null;
  const share = (test: (one: ListedCommand) => boolean): number => commands.filter(test).length / commands.length;
  if (share((one) => /^[^\s=]+ ?=/u.test(one.name) && one.name.length > 2) > 0.2)
    return 'Signs of equality stand in the names of commands.';
  if (share((one) => WITH_HELD.test(one.name)) > 0.2 || share((one) => QUOTED.test(one.name)) > 0.1)
    return 'Keys stand in the names of commands.';
  const alike = beginsMost(commands);
  if (alike !== null) return `Nearly all names begin with “${alike}”.`;
  if (share((one) => one.keys.length > 0) === 0) return 'None of its commands has keys.';
  if (commands.length >= 12 && share((one) => one.keys.length > 0) < 0.02)
    return 'Nearly none of its commands has keys.';
  const words = commands.filter((one) => one.keys.some((chord) => SPELLED.test(chord))).length;
  if (words > 2 && words > 0.05 * commands.length) return 'Words of sentences stand where keys should be.';
  if (holdMost(commands)) return 'Most of its commands that have keys have the same keys.';
  if (leftKeys(rows) > Math.max(LEFT_KEYS, commands.length))
    return 'More lines that begin with keys were left out than were taken for commands.';
  // A name that was cut says nothing against its keys.
  const unread = rows.filter((row) => row.result === 'partly' && !ONLY_CUT.test(row.why ?? '')).length;
  return unread > 0.5 * commands.length ? 'Most of its keys could not be read.' : null;
}

const ONLY_CUT = /^Its name is longer than [^.]*\.$/u;
const WITH_HELD = /(?:^|[\s([{<"'`])(?:ctrl|control|alt|shift|cmd|strg|⌘|⌃|⌥|⇧)\s?[+-]?\s?\S/iu;
/** A sign or a key with Ctrl in quotes, behind what it does. */
const QUOTED = /\p{L} (?:'(?:\^?[^\s']|<\p{L}+>)'|‘(?:\^?[^\s’]|<\p{L}+>)’|`(?:\^?[^\s`]|<\p{L}+>)`)(?:$|,? )/u;

/** The words that most sentences have, as keys one after the other. */
const SPELLED =
  /^(?:T H E|A N D|T O|O F|I N|I S|I T|O N|O R|A S|A T|B E|B Y|N O T|F O R|D E R|D I E|U N D|L E S|L O S|L A S)$/u;

const [LEFT_KEYS, LOOKED_AT] = [12, 1000];
/** How many of the lines that were left out begin with keys and go on with words. */
function leftKeys(rows: readonly ReadRow[]): number {
  const left = rows.filter(({ result, cells }) => result === 'unused' && cells.length > 1).slice(0, LOOKED_AT);
  return left.filter(({ cells: [first = '', ...rest] }) => first.length < 20 && rest.some(isSaid) && readsAsKeys(first))
    .length;
}
const isSaid = (cell: string): boolean => /\p{L}{2} \p{L}{2}/u.test(cell);

/** The two words that nearly all names of a list begin with; null where there are none. */
function beginsMost(commands: readonly ListedCommand[]): string | null {
  if (commands.length < 8) return null;
  const counts = new Map<string, number>();
  for (const { name } of commands) {
    const words = /^\S+ \S+(?= \S)/u.exec(name)?.[0];
    if (words !== undefined) counts.set(words, (counts.get(words) ?? 0) + 1);
  }
  return [...counts].find(([, count]) => count > 0.8 * commands.length)?.[0] ?? null;
}

/** Whether most of many commands with keys have the same chord, as where a sign of a form is taken for a key. */
function holdMost(commands: readonly ListedCommand[]): boolean {
  const counts = new Map<string, number>();
  const withKeys = commands.filter((one) => one.keys.length > 0);
  for (const { keys } of withKeys) counts.set(keys.join(' '), (counts.get(keys.join(' ')) ?? 0) + 1);
  return withKeys.length >= 8 && Math.max(...counts.values()) > 0.6 * withKeys.length;
}

/** On how many chords several commands of the list stand. */
export function clashesIn(rows: readonly ReadRow[]): number {
  const [once, several] = [new Set<ChordText>(), new Set<ChordText>()];
  for (const { command } of rows) {
    const keys = command?.keys ?? [];
    // One command is no clash, however often it says a chord.
    for (const chord of keys.length > 1 ? new Set(keys) : keys) (once.has(chord) ? several : once).add(chord);
  }
  return several.size;
}
