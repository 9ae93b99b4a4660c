import type { ChordText } from '../chord/chord';
import type { Keymap } from '../keymap/keymap';
import { contextsOverlap } from '../program/contextsOverlap';
import type { Command, CommandId, ContextId, Program } from '../program/program';
import { turnArea } from '../program/turnArea';

/** One binding as the index keeps it: who holds the chord, and the text it is written as in the keymap. */
export type Holder = { readonly command: Command; readonly chord: ChordText };

/** What a program says about every keymap of its own: worked out once. */
export type ProgramFacts = {
  readonly program: Program;
  readonly commands: ReadonlyMap<CommandId, Command>;
  readonly overlap: (a: ContextId, b: ContextId) => boolean;
  readonly areaOf: ReadonlyMap<CommandId, number>;
  readonly fixed: ReadonlyMap<ChordText, string>;
};

/** Who holds which chord, for one state of a keymap. */
export type ClashIndex = { readonly facts: ProgramFacts; readonly holders: ReadonlyMap<ChordText, readonly Holder[]> };

/** Where a chord is really pressed; two texts that give the same place are the same keys under the fingers. */
export type Place = (chord: ChordText) => ChordText;

/** Works out what verdicts need to know of a program. */
export function programFacts(program: Program): ProgramFacts {
  return {
    program,
    commands: new Map(program.commands.map((command) => [command.id, command])),
    overlap: contextsOverlap(program.contexts),
    areaOf: new Map(program.commands.map((command) => [command.id, turnArea(command, program.rules)])),
    fixed: new Map(program.rules.fixed.map(({ chord, why }) => [chord, why])),
  };
}

/** Builds the index of a keymap in one pass over its bindings. */
export function buildClashIndex(facts: ProgramFacts, keymap: Keymap, place: Place): ClashIndex {
  const holders = new Map<ChordText, Holder[]>();
  for (const [id, bindings] of keymap) {
    const command = facts.commands.get(id);
    if (!command) continue;
    for (const { chord } of bindings) {
      const at = place(chord);
      const list = holders.get(at);
      if (list) list.push({ command, chord });
      else holders.set(at, [{ command, chord }]);
    }
  }
  return { facts, holders };
}

/** How two commands on one chord get along: apart (contexts that never meet), in turns, or not. */
export function relation(facts: ProgramFacts, a: Command, b: Command): 'apart' | 'turns' | 'clash' {
  if (!facts.overlap(a.context, b.context)) return 'apart';
  const area = facts.areaOf.get(a.id) ?? -1;
  return area >= 0 && area === facts.areaOf.get(b.id) ? 'turns' : 'clash';
}

/** Every chord of a keymap on which two of its commands clash, with all who hold it. */
export function findClashes(index: ClashIndex): { chord: ChordText; holders: readonly Holder[] }[] {
  const clashes: { chord: ChordText; holders: readonly Holder[] }[] = [];
  for (const [chord, holders] of index.holders) {
    const clashing = holders.some((a, i) =>
      holders
        .slice(i + 1)
        .some((b) => a.command.id !== b.command.id && relation(index.facts, a.command, b.command) === 'clash'),
    );
    if (clashing) clashes.push({ chord, holders });
  }
  return clashes;
}
