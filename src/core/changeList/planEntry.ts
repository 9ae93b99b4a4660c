import type { ChordText } from '../chord/chord';
import { type ProgramFacts, relation } from '../clash/clashIndex';
import type { Place } from '../keyboard/placeOf';
import { bindingsOf, type Keymap } from '../keymap/keymap';
import type { Command, CommandId } from '../program/program';

/** One step by hand in the real program: the keys of one command, before and after. */
export type EntryStep = {
  /** `set` gives a command the keys it is to have; `free` takes keys off for now, so that another can have them. */
  readonly kind: 'set' | 'free';
  readonly command: CommandId;
  readonly before: readonly ChordText[];
  readonly after: readonly ChordText[];
  /** Who waits for the keys that are freed. */
  readonly waiting?: CommandId;
};

/** Keys that the program would not take whatever the order: somebody it clashes with keeps them in the wanted keymap, too. */
export type Refusal = { readonly command: CommandId; readonly chord: ChordText; readonly holder: CommandId };

export type EntryPlan = {
  readonly steps: readonly EntryStep[];
  /** How many rings of commands that wait for each other were broken by freeing a key first. */
  readonly rings: number;
  readonly refused: readonly Refusal[];
};

/**
 * The steps that carry a keymap into a program by hand where it refuses keys that somebody else has: one step a command,
 * whoever has to give up keys before whoever gets them, in the program's own order where that leaves a choice. Where
 * commands wait for each other in a ring, one of them gives up its keys first, in a step of its own. So there are at most
 * as many steps as commands that change, and one more for each ring.
 *
 * The order is Kahn's (A. B. Kahn, Topological sorting of large networks, CACM 5(11), 1962), always with the first in
 * the program's order; a ring is found by going from a command to one it waits for until one comes again.
 */
export function planEntry(facts: ProgramFacts, place: Place, from: Keymap, to: Keymap): EntryPlan {
  const { commands } = facts.program;
  const changed = commands.filter((one) => keysDiffer(from, to, one.id));
  const refused: Refusal[] = [];
  const targets = new Map<CommandId, readonly ChordText[]>();
  const heldNow = holdersBy(facts, place, from);
  const heldThen = holdersBy(facts, place, to);
  // First come, first served: of two that clash in the wanted keymap, who has the keys already or comes first gets them.
  const given = new Map<ChordText, Command[]>();
  for (const [at, list] of heldThen)
    for (const one of list) if (hasAt(heldNow, at, one)) given.set(at, [...(given.get(at) ?? []), one]);
  for (const command of changed) {
    const chords: ChordText[] = [];
    for (const { chord } of bindingsOf(to, command.id)) {
      const at = place(chord);
      const there = given.get(at) ?? [];
      const holder = there.find((one) => one.id !== command.id && relation(facts, one, command) === 'clash');
      if (holder && !hasAt(heldNow, at, command)) {
        refused.push({ command: command.id, chord, holder: holder.id });
        continue;
      }
      if (!there.includes(command)) given.set(at, [...there, command]);
      chords.push(chord);
    }
    targets.set(command.id, chords);
  }

  /** Who must give up a key before a command can have its own. */
  const waitsFor = new Map<CommandId, Set<CommandId>>();
  const blocks = new Map<CommandId, Set<CommandId>>();
  const todo = changed.filter((one) => !sameTexts(chordsOf(from, one.id), targets.get(one.id) ?? []));
  const pending = new Set(todo.map((one) => one.id));
  for (const command of todo)
    for (const chord of targets.get(command.id) ?? []) {
      const at = place(chord);
      for (const holder of heldNow.get(at) ?? []) {
        if (holder.id === command.id || !pending.has(holder.id) || relation(facts, holder, command) !== 'clash')
          continue;
        if ((targets.get(holder.id) ?? []).some((one) => place(one) === at)) continue;
        waitsFor.set(command.id, (waitsFor.get(command.id) ?? new Set()).add(holder.id));
        blocks.set(holder.id, (blocks.get(holder.id) ?? new Set()).add(command.id));
      }
    }

  const steps: EntryStep[] = [];
  const now = new Map<CommandId, readonly ChordText[]>();
  const keysNow = (id: CommandId): readonly ChordText[] => now.get(id) ?? chordsOf(from, id);
  const order = new Map(todo.map((one, i) => [one.id, i]));
  const ready = new Heap((a: CommandId, b: CommandId) => (order.get(a) ?? 0) - (order.get(b) ?? 0));
  for (const one of todo) if ((waitsFor.get(one.id)?.size ?? 0) === 0) ready.push(one.id);
  /** Nobody waits for this command any longer. */
  const release = (id: CommandId): void => {
    for (const other of blocks.get(id) ?? []) {
      const left = waitsFor.get(other);
      if (left?.delete(id) && left.size === 0 && pending.has(other)) ready.push(other);
    }
    blocks.delete(id);
  };
  let rings = 0;
  while (pending.size > 0) {
    const id = ready.pop();
    if (id !== undefined) {
      const after = targets.get(id) ?? [];
      pending.delete(id);
      steps.push({ kind: 'set', command: id, before: keysNow(id), after });
      now.set(id, after);
      release(id);
      continue;
    }
    const freed = ringBreaker(todo.find((one) => pending.has(one.id))?.id ?? '', waitsFor, blocks, order);
    const [waiting] = [...(blocks.get(freed) ?? [])].sort((a, b) => (order.get(a) ?? 0) - (order.get(b) ?? 0));
    const kept = new Set((targets.get(freed) ?? []).map(place));
    const after = keysNow(freed).filter((chord) => kept.has(place(chord)));
    steps.push({ kind: 'free', command: freed, before: keysNow(freed), after, ...(waiting ? { waiting } : {}) });
    now.set(freed, after);
    rings++;
    release(freed);
  }
  return { steps, rings, refused };
}

/** Of a ring of commands that wait for each other, the one that most others wait for; the first in order of those. */
function ringBreaker(
  start: CommandId,
  waitsFor: ReadonlyMap<CommandId, ReadonlySet<CommandId>>,
  blocks: ReadonlyMap<CommandId, ReadonlySet<CommandId>>,
  order: ReadonlyMap<CommandId, number>,
): CommandId {
  const path: CommandId[] = [];
  const seen = new Map<CommandId, number>();
  let at = start;
  while (!seen.has(at)) {
    seen.set(at, path.length);
    path.push(at);
    at = [...(waitsFor.get(at) ?? [])][0] ?? at;
  }
  const ring = path.slice(seen.get(at));
  const dear = (id: CommandId): number => blocks.get(id)?.size ?? 0;
  return ring.reduce((best, one) =>
    dear(one) > dear(best) || (dear(one) === dear(best) && (order.get(one) ?? 0) < (order.get(best) ?? 0)) ? one : best,
  );
}

function chordsOf(keymap: Keymap, id: CommandId): readonly ChordText[] {
  return bindingsOf(keymap, id).map((one) => one.chord);
}

function sameTexts(a: readonly string[], b: readonly string[]): boolean {
  return a.length === b.length && a.every((one, i) => one === b[i]);
}

function keysDiffer(a: Keymap, b: Keymap, id: CommandId): boolean {
  return !sameTexts(chordsOf(a, id), chordsOf(b, id));
}

function holdersBy(facts: ProgramFacts, place: Place, keymap: Keymap): Map<ChordText, Command[]> {
  const holders = new Map<ChordText, Command[]>();
  for (const command of facts.program.commands)
    for (const { chord } of bindingsOf(keymap, command.id)) {
      const at = place(chord);
      const list = holders.get(at);
      if (!list) holders.set(at, [command]);
      else if (!list.includes(command)) list.push(command);
    }
  return holders;
}

function hasAt(holders: ReadonlyMap<ChordText, readonly Command[]>, at: ChordText, command: Command): boolean {
  return holders.get(at)?.includes(command) ?? false;
}

/** A binary heap, the least first. */
class Heap<T> {
  private readonly items: T[] = [];
  constructor(private readonly compare: (a: T, b: T) => number) {}

  push(item: T): void {
    const { items, compare } = this;
    let at = items.push(item) - 1;
    while (at > 0) {
      const up = (at - 1) >> 1;
      if (compare(items[at] as T, items[up] as T) >= 0) return;
      [items[at], items[up]] = [items[up] as T, items[at] as T];
      at = up;
    }
  }

  pop(): T | undefined {
    const { items, compare } = this;
    const first = items[0];
    const last = items.pop();
    if (items.length === 0 || last === undefined) return first;
    items[0] = last;
    for (let at = 0; ; ) {
      const [left, right] = [2 * at + 1, 2 * at + 2];
      let least = at;
      if (left < items.length && compare(items[left] as T, items[least] as T) < 0) least = left;
      if (right < items.length && compare(items[right] as T, items[least] as T) < 0) least = right;
      if (least === at) return first;
      [items[at], items[least]] = [items[least] as T, items[at] as T];
      at = least;
    }
  }
}
