import type { ChordText } from '../chord/chord';
import type { ListedCommand, ReadRow } from './readTable';

/** Why a list was probably not understood as it is meant; null where nothing speaks for that. */
export function doubtOf(rows: readonly ReadRow[]): string | null {
  const commands = rows.flatMap((row) => row.command ?? []);
  if (commands.length < 4) return commands.length === 0 ? 'No row of it could be read as a command.' : null;
  const share = (test: (one: ListedCommand) => boolean): number => commands.filter(test).length / commands.length;
  if (share((one) => one.name.includes('=') && one.name.length > 2) > 0.2)
    return 'Signs of equality stand in the names of commands.';
  if (share((one) => /(?:^|\s)(?:ctrl|control|alt|shift|cmd|strg|⌘|⌃|⌥|⇧)\s?[+-]?\s?\S/iu.test(one.name)) > 0.2)
    return 'Keys stand in the names of commands.';
  if (commands.length >= 12 && share((one) => one.keys.length > 0) < 0.02)
    return 'Nearly none of its commands has keys.';
  const unread = rows.filter((row) => row.result === 'partly').length;
  return unread > 0.5 * commands.length ? 'Most of its keys could not be read.' : null;
}

/** On how many chords several commands of the list stand. */
export function clashesIn(rows: readonly ReadRow[]): number {
  const holders = new Map<ChordText, number>();
  for (const { command } of rows)
    for (const chord of new Set(command?.keys)) holders.set(chord, (holders.get(chord) ?? 0) + 1);
  return [...holders.values()].filter((count) => count > 1).length;
}
