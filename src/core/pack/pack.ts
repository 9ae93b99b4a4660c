import type { ChordText } from '../chord/chord';
import type { Desktop } from '../desktop/desktopKeys';
import { type FileBinding, toFileBinding } from '../file/keymapFile';
import type { KeyboardChoice } from '../keyboard/keyboard';
import { bindingsOf, type Keymap } from '../keymap/keymap';
import { goneFrom } from '../keymap/pullTicket';
import type { Ticket } from '../keymap/ticket';
import type { Command, CommandId, Program } from '../program/program';

/** A few changes as a file, to be put on somebody else's keymap. Described in docs/pack-file.schema.json. */
export type Pack = {
  readonly format: 'gray-pin-pack';
  readonly formatVersion: 1;
  readonly name: string;
  /** What it is for. */
  readonly note: string;
  readonly owner: string;
  readonly program: { readonly name: string; readonly version: string };
  /** The keyboard and desktop it was made on. */
  readonly madeOn: KeyboardChoice & { readonly desktop: Desktop };
  readonly lines: readonly PackLine[];
};
/** A command, where it lives, and the keys it is to have; none, to have none. */
export type PackLine = {
  readonly command: Omit<Command, 'id' | 'context'>;
  /** The factory's keys, by which it is known in other programs as well. */
  readonly factory: readonly ChordText[];
  readonly keys: readonly FileBinding[];
};

/** So many changes are still a few. */
export const MOST_LINES = 500;

/** Makes a pack of the keys that some commands have in a keymap. */
export function makePack(
  given: Pick<Pack, 'name' | 'note' | 'owner' | 'madeOn'>,
  { name, version, commands }: Program,
  factory: Keymap,
  keymap: Keymap,
  chosen: readonly CommandId[],
): Pack {
  const wanted = new Set(chosen);
  return {
    format: 'gray-pin-pack',
    formatVersion: 1,
    ...given,
    program: { name, version },
    lines: commands
      .filter((one) => wanted.has(one.id))
      .map(({ id, name: called, kind, path }) => ({
        command: { name: called, kind, path },
        factory: bindingsOf(factory, id).map((one) => one.chord),
        keys: bindingsOf(keymap, id).map(toFileBinding),
      })),
  };
}

const BEFORE = 'Pack “';
/** The title of the ticket that puts a pack on, by which it is known on the tape. */
export const packTitle = (name: string): string => `${BEFORE}${name}”`;

/**
 * The packs on a tape, by their places counted from 1, without those that were pulled out.
 * @param earlier so many tickets came before these.
 */
export function packsOn(
  tape: readonly Ticket[],
  earlier = 0,
): readonly { readonly name: string; readonly position: number; readonly commands: number }[] {
  const gone = goneFrom(tape);
  return tape.flatMap(({ title, changes }, i) => {
    const position = earlier + i + 1;
    return title.startsWith(BEFORE) && title.endsWith('”') && !gone.has(position)
      ? [{ name: title.slice(BEFORE.length, -1), position, commands: changes.length }]
      : [];
  });
}
