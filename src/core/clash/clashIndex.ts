import type { ChordText } from '../chord/chord';
import type { Place } from '../keyboard/placeOf';
import type { Keymap } from '../keymap/keymap';
import { contextsAround, contextsOverlap } from '../program/contextsOverlap';
import type { Command, CommandId, ContextId, Program } from '../program/program';
import { turnArea } from '../program/turnArea';

/** One binding as the index keeps it: who holds the chord, the text it is written as, and how dear it is. */
export type Holder = {
  readonly command: Command;
  readonly chord: ChordText;
  readonly keeper: boolean;
  readonly spare: boolean;
};

/** What a program says about every keymap of its own: worked out once. */
export type ProgramFacts = {
  readonly program: Program;
  readonly commands: ReadonlyMap<CommandId, Command>;
  readonly overlap: (a: ContextId, b: ContextId) => boolean;
  /** Every context with all those whose presses it hears, or that hear its own: itself, those around and inside it. */
  readonly meets: ReadonlyMap<ContextId, ReadonlySet<ContextId>>;
  /** Every context with all those that contain it. */
  readonly around: ReadonlyMap<ContextId, ReadonlySet<ContextId>>;
  readonly areaOf: ReadonlyMap<CommandId, number>;
  readonly fixed: ReadonlyMap<ChordText, string>;
  /** The menu that each letter opens together with Alt, by the letter in upper case. */
  readonly menuOf: ReadonlyMap<string, string>;
};

/** Who holds which chord, for one state of a keymap. */
export type ClashIndex = {
  readonly facts: ProgramFacts;
  readonly keymap: Keymap;
  readonly holders: ReadonlyMap<ChordText, readonly Holder[]>;
  /** Sequences by their first stroke. */
  readonly sequences: ReadonlyMap<ChordText, readonly Holder[]>;
};

/** Works out what verdicts need to know of a program. */
export function programFacts(program: Program): ProgramFacts {
  const { rules, contexts } = program;
  const overlap = contextsOverlap(contexts);
  return {
    program,
    commands: new Map(program.commands.map((command) => [command.id, command])),
    overlap,
    meets: new Map(
      contexts.map(({ id }) => [id, new Set(contexts.map((one) => one.id).filter((one) => overlap(id, one)))]),
    ),
    around: contextsAround(contexts),
    areaOf: new Map(program.commands.map((command) => [command.id, turnArea(command, rules)])),
    fixed: new Map(rules.fixed.map(({ chord, why }) => [chord, why])),
    menuOf: new Map(Object.entries(rules.menuLetters).map(([menu, letter]) => [letter.toUpperCase(), menu])),
  };
}

/** Builds the index of a keymap in one pass over its bindings. */
export function buildClashIndex(facts: ProgramFacts, keymap: Keymap, place: Place): ClashIndex {
  const holders = new Map<ChordText, Holder[]>();
  const sequences = new Map<ChordText, Holder[]>();
  const add = (to: Map<ChordText, Holder[]>, at: ChordText, holder: Holder): void => {
    const list = to.get(at);
    if (list) list.push(holder);
    else to.set(at, [holder]);
  };
  for (const [id, bindings] of keymap.bindings) {
    const command = facts.commands.get(id);
    if (!command) continue;
    const spare = keymap.spares.has(id);
    for (const { chord, keeper } of bindings) {
      const at = place(chord);
      const holder = { command, chord, keeper: keeper ?? false, spare };
      add(holders, at, holder);
      const second = at.indexOf(' ');
      if (second > 0) add(sequences, at.slice(0, second), holder);
    }
  }
  return { facts, keymap, holders, sequences };
}

/** How two commands on one chord get along: contexts that never meet, in turns, the narrower over the wider, or not. */
export type Relation = 'apart' | 'turns' | 'shadow' | 'clash';
export function relation(facts: ProgramFacts, a: Command, b: Command): Relation {
  if (!facts.overlap(a.context, b.context)) return 'apart';
  const area = facts.areaOf.get(a.id) ?? -1;
  if (area >= 0 && area === facts.areaOf.get(b.id)) return 'turns';
  return facts.program.rules.shadow && a.context !== b.context ? 'shadow' : 'clash';
}

/** Holders who get along with anybody alike, since they are listened for in one context and take turns in one area. */
export type Alike = { readonly command: Command; readonly commands: ReadonlySet<CommandId> };
const alike = new WeakMap<readonly Holder[], readonly Alike[]>();

/** The holders of a chord by how they get along with others: thousands on one chord are few kinds. Remembered. */
export function alikeOf(facts: ProgramFacts, holders: readonly Holder[]): readonly Alike[] {
  const before = alike.get(holders);
  if (before) return before;
  const kinds = new Map<string, { readonly command: Command; readonly commands: Set<CommandId> }>();
  for (const { command } of holders) {
    const kind = `${facts.areaOf.get(command.id) ?? -1} ${command.context}`;
    const found = kinds.get(kind);
    if (found) found.commands.add(command.id);
    else kinds.set(kind, { command, commands: new Set([command.id]) });
  }
  const made = [...kinds.values()];
  alike.set(holders, made);
  return made;
}

/** From so many holders on they are looked at by kinds. */
export const MANY_HOLDERS = 12;

/** Whether some two of these holders clash. */
export function anyClash(facts: ProgramFacts, holders: readonly Holder[]): boolean {
  if (holders.length >= MANY_HOLDERS) {
    const kinds = alikeOf(facts, holders);
    return kinds.some(
      (a, i) =>
        (a.commands.size > 1 && relation(facts, a.command, a.command) === 'clash') ||
        kinds.slice(i + 1).some((b) => relation(facts, a.command, b.command) === 'clash'),
    );
  }
  return holders.some((a, i) =>
    holders
      .slice(i + 1)
      .some((b) => a.command.id !== b.command.id && relation(facts, a.command, b.command) === 'clash'),
  );
}

/** Every chord of a keymap on which two of its commands clash, with all who hold it. */
export function findClashes(index: ClashIndex): { chord: ChordText; holders: readonly Holder[] }[] {
  return [...index.holders]
    .filter(([, holders]) => holders.length > 1 && anyClash(index.facts, holders))
    .map(([chord, holders]) => ({ chord, holders }));
}
