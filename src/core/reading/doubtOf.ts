import type { ChordText } from '../chord/chord';
import type { ListedCommand, ReadRow } from './readTable';

/** Why a list was probably not understood as it is meant; null where nothing speaks for that. */
export function doubtOf(rows: readonly ReadRow[]): string | null {
  const commands = rows.flatMap((row) => row.command ?? []);
  if (commands.length < 4) return commands.length === 0 ? 'No row of it could be read as a command.' : null;
  const share = (test: (one: ListedCommand) => boolean): number => commands.filter(test).length / commands.length;
  if (share((one) => /^[^\s=]+ ?=/u.test(one.name) && one.name.length > 2) > 0.2)
    return 'Signs of equality stand in the names of commands.';
  if (share((one) => /(?:^|\s)(?:ctrl|control|alt|shift|cmd|strg|⌘|⌃|⌥|⇧)\s?[+-]?\s?\S/iu.test(one.name)) > 0.2)
    return 'Keys stand in the names of commands.';
  const alike = beginsMost(commands);
  if (alike !== null) return `Nearly all names begin with “${alike}”.`;
  if (share((one) => one.keys.length > 0) === 0) return 'None of its commands has keys.';
  if (commands.length >= 12 && share((one) => one.keys.length > 0) < 0.02)
    return 'Nearly none of its commands has keys.';
  const again = rows.filter((row) => row.result === 'again').length;
  if (again > 3 && again > commands.length) return 'Most of its rows have a name that another row has.';
  const unread = rows.filter((row) => row.result === 'partly').length;
  return unread > 0.5 * commands.length ? 'Most of its keys could not be read.' : null;
}

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
