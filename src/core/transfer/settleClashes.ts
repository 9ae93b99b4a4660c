import type { Advisor } from '../advice/advisor';
import type { ChordText } from '../chord/chord';
import { type ClashIndex, findClashes, type Holder, relation } from '../clash/clashIndex';
import { compareKeymaps } from '../keymap/compareKeymaps';
import { type Binding, bindingsOf, type Keymap } from '../keymap/keymap';
import type { Ticket } from '../keymap/ticket';
import type { Command } from '../program/program';
import { counted, type Sentence } from '../text/sentence';
import { type Loser, planKnockOns } from './planKnockOns';

/** What becomes of a command that leaves keys to somebody else. */
export type ClashLine = {
  readonly command: Command;
  readonly lost: readonly ChordText[];
  /** Who has these keys alone now. */
  readonly to: readonly Command[];
  /** What it gets; null where it has other keys, needs none, or nothing is free. */
  readonly instead: ChordText | null;
  readonly reason: 'closest' | 'has others' | 'spare' | 'none free';
};

/** A plan that settles all clashes of a keymap. */
export type Settlement = {
  readonly lines: readonly ClashLine[];
  /** Chords on which keepers clash with each other; these are for a person to settle. */
  readonly left: readonly ChordText[];
  /** Null where nothing can be done. */
  readonly ticket: Ticket | null;
};

/**
 * Settles all clashes of a keymap at once: on each chord whoever is a keeper stays, else whoever is used most, with those
 * who get along with it; the others get the closest free keys, planned together. Keepers and what the program fixes are
 * never touched, so that only keepers may still clash then.
 */
export function settleClashes(advisor: Advisor, index: ClashIndex, usesOf: (command: Command) => number): Settlement {
  const { keymap, facts } = index;
  const order = new Map(facts.program.commands.map((command, i) => [command.id, i]));
  const held = ({ keeper, chord }: Holder): boolean => keeper || facts.fixed.has(chord);
  const dearest = (a: Holder, b: Holder): number =>
    Number(held(b)) - Number(held(a)) ||
    Number(a.spare) - Number(b.spare) ||
    usesOf(b.command) - usesOf(a.command) ||
    (order.get(a.command.id) ?? 0) - (order.get(b.command.id) ?? 0);
  const falls = new Map<Command, { lost: ChordText[]; to: Set<Command> }>();
  const left = new Set<ChordText>();
  for (const { chord, holders } of findClashes(index)) {
    const stay: Holder[] = [];
    for (const holder of [...holders].sort(dearest)) {
      const over = stay.filter((one) => relation(facts, one.command, holder.command) === 'clash');
      if (over.length === 0 || held(holder)) {
        stay.push(holder);
        if (over.length > 0) left.add(chord);
        continue;
      }
      const fall = falls.get(holder.command) ?? { lost: [], to: new Set() };
      fall.lost.push(holder.chord);
      for (const one of over) fall.to.add(one.command);
      falls.set(holder.command, fall);
    }
  }
  const bindings = new Map(keymap.bindings);
  const put = ({ id }: Command, list: readonly Binding[]): void => {
    if (list.length === 0) bindings.delete(id);
    else bindings.set(id, list);
  };
  const keeps = (command: Command): readonly Binding[] =>
    bindingsOf(keymap, command.id).filter((one) => !falls.get(command)?.lost.includes(one.chord));
  for (const command of falls.keys()) put(command, keeps(command));
  const losers = [...falls].flatMap(([command, { lost }]): Loser[] =>
    keeps(command).length > 0 || keymap.spares.has(command.id)
      ? []
      : [{ command, lost: lost[0] as ChordText, uses: usesOf(command) }],
  );
  const between: Keymap = { bindings: new Map(bindings), spares: keymap.spares };
  const { given } = planKnockOns(advisor, between, losers, new Map());
  for (const { command } of losers) {
    const chord = given.get(command.id);
    if (chord !== undefined) put(command, [{ chord }]);
  }
  const changes = compareKeymaps(keymap, { bindings, spares: keymap.spares });
  const lines = [...falls].map(([command, { lost, to }]): ClashLine => {
    const instead = given.get(command.id) ?? null;
    const others = keeps(command).length > 0 ? 'has others' : keymap.spares.has(command.id) ? 'spare' : 'none free';
    return { command, lost, to: [...to], instead, reason: instead === null ? others : 'closest' };
  });
  const clashes = new Set([...falls.values()].flatMap(({ lost }) => lost)).size;
  const title = `Settle ${counted(clashes, 'clash', 'clashes')}`;
  return { lines, left: [...left], ticket: changes.length === 0 ? null : { title, changes } };
}

/** What becomes of a command, after its name. */
export function describeClashLine({ lost, to, instead, reason }: ClashLine): Sentence {
  const taker = to.map(({ name }) => name).join(' and ');
  const keys: Sentence = lost.flatMap((chord, i) => [...(i > 0 ? [{ text: ' and ' }] : []), { keys: chord }]);
  const then: Readonly<Record<ClashLine['reason'], Sentence>> = {
    closest: [{ text: ' and gets ' }, { keys: instead ?? '' }, { text: ', the closest free.' }],
    'has others': [{ text: ' and keeps its others.' }],
    spare: [{ text: '; it is a spare.' }],
    'none free': [{ text: '. No other keys are free for it.' }],
  };
  return [{ text: ' leaves ' }, ...keys, { text: ' to ' }, { strong: taker }, ...then[reason]];
}
