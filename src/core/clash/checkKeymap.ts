import type { ChordText } from '../chord/chord';
import type { Where } from '../keyboard/where';
import { dropKeys, giveKeys } from '../keymap/changeKeys';
import { bindingsOf, type Keymap } from '../keymap/keymap';
import type { Change, Ticket } from '../keymap/ticket';
import type { Command } from '../program/program';
import type { Sentence } from '../text/sentence';
import { anyClash, type ClashIndex, type Holder, relation } from './clashIndex';
import { describeFinding } from './describeFinding';
import { freeNear } from './freeNear';
import { type Finding, findingsFor, weightOf } from './verdict';

/** Wrong: it can't work as it is. Risky: it may not be heard, or something dear is lost. Known: shared on purpose. */
export const GRAVITIES = ['wrong', 'risky', 'known'] as const;
export type Gravity = (typeof GRAVITIES)[number];

/** One thing a check of a whole keymap has found. */
export type Trouble = {
  readonly gravity: Gravity;
  readonly command: Command;
  readonly chord: ChordText;
  readonly finding: Finding | { readonly kind: 'keeper lost'; readonly to: readonly Holder[] };
};
export type Fix = { readonly label: string; readonly keys?: ChordText; readonly ticket: Ticket };

/**
 * Everything that is wrong, risky or worth knowing in a keymap, the gravest first, else in the program's own order.
 * What several commands have together, such as a clash, is one entry.
 */
export function checkKeymap(index: ClashIndex, where: Where, factory: Keymap): Trouble[] {
  return [...troublesOf(index, where, factory)]
    .flat()
    .sort((a, b) => GRAVITIES.indexOf(a.gravity) - GRAVITIES.indexOf(b.gravity));
}

/** The same bit by bit: what is found at each command, in the program's own order. */
export function* troublesOf(index: ClashIndex, where: Where, factory: Keymap): Generator<readonly Trouble[], void> {
  const together = new Set<string>();
  for (const command of index.facts.program.commands) {
    yield [...ownTroubles(index, where, factory, command, together), ...lostKeepers(index, where, factory, command)];
  }
}

function ownTroubles(
  index: ClashIndex,
  where: Where,
  factory: Keymap,
  command: Command,
  together: Set<string>,
): Trouble[] {
  const { facts, keymap } = index;
  const troubles: Trouble[] = [];
  for (const { chord } of bindingsOf(keymap, command.id)) {
    for (const finding of findingsFor(index, where, command, chord)) {
      // A fixed chord that the program itself came with is as it should be.
      const own = finding.kind === 'fixed by the program' && hasKeys(factory, command, chord);
      const gravity = own ? null : gravityOf(finding);
      if (gravity === null) continue;
      if (SHARED.has(finding.kind)) {
        const at = where.place(chord);
        const holders = index.holders.get(at) ?? [];
        const id = finding.kind === 'held by' ? `clash ${at}` : `${finding.kind} ${at} ${area(index, command)}`;
        if (together.has(id)) continue;
        together.add(id);
        if (finding.kind === 'held by' && !anyClash(facts, holders)) continue;
      }
      troubles.push({ gravity, command, chord, finding });
    }
  }
  return troubles;
}

function lostKeepers(index: ClashIndex, where: Where, factory: Keymap, command: Command): Trouble[] {
  return bindingsOf(factory, command.id)
    .filter(({ chord, keeper }) => keeper && !hasKeys(index.keymap, command, chord, where))
    .map(({ chord }) => {
      const to = (index.holders.get(where.place(chord)) ?? []).filter(
        (holder) => relation(index.facts, holder.command, command) !== 'apart',
      );
      return { gravity: 'risky', command, chord, finding: { kind: 'keeper lost', to } };
    });
}

const SHARED: ReadonlySet<string> = new Set(['held by', 'takes turns with']);
const area = (index: ClashIndex, command: Command): number => index.facts.areaOf.get(command.id) ?? -1;

function hasKeys(keymap: Keymap, command: Command, chord: ChordText, where?: Where): boolean {
  const at = where?.place(chord);
  return bindingsOf(keymap, command.id).some((one) => one.chord === chord || where?.place(one.chord) === at);
}

function gravityOf(finding: Finding): Gravity | null {
  const weight = weightOf(finding);
  if (weight === 'stops' || weight === 'asks') return 'wrong';
  if (finding.kind === 'no such key') return 'wrong';
  return weight === 'warns' ? 'risky' : weight === 'tells' ? 'known' : null;
}

/** A trouble as one sentence, the command it is about first. */
export function describeTrouble({ command, chord, finding }: Trouble, index: ClashIndex, where: Where): Sentence {
  if (finding.kind === 'keeper lost') {
    const [first] = finding.to;
    return [
      { strong: command.name },
      { text: ' no longer answers to ' },
      { keys: chord },
      { text: ', a keeper of the factory keys' },
      ...(first ? [{ text: '; ' }, { strong: first.command.name }, { text: ' has it now.' }] : [{ text: '.' }]),
    ];
  }
  const said = describeFinding(finding, chord, index.keymap, where);
  return [{ strong: command.name }, { text: ': ' }, ...said];
}

/** The ways to mend a trouble, each a ticket. Empty for what is shared on purpose. */
export function fixesFor(trouble: Trouble, index: ClashIndex, where: Where): Fix[] {
  const { command, chord, finding, gravity } = trouble;
  const { keymap } = index;
  if (gravity === 'known') return [];
  if (finding.kind === 'keeper lost') {
    const taken = finding.to.map((holder) => dropKeys(keymap, holder.command.id, [holder.chord]));
    const back = giveKeys(keymap, command.id, chord, () => true);
    const kept = {
      ...back,
      after: back.after.map((one) => (one.chord === chord ? { ...one, keeper: true as const } : one)),
    };
    const from = finding.to[0]?.command.name;
    return [
      {
        label: from ? `Give it back, from ${from}` : 'Give it back',
        ticket: titled(command, [kept, ...merged(taken)]),
      },
    ];
  }
  if (finding.kind === 'held by') {
    const holders = index.holders.get(where.place(chord)) ?? [];
    const clashing = holders.filter((a) =>
      holders.some((b) => a.command.id !== b.command.id && relation(index.facts, a.command, b.command) === 'clash'),
    );
    return clashing
      .slice(0, 4)
      .flatMap((holder) => [...moveFix(index, where, holder.command, holder.chord), dropFix(index, holder)]);
  }
  const holder = { command, chord };
  return [...moveFix(index, where, command, chord), dropFix(index, holder)];
}

const titled = (command: Command, changes: readonly Change[]): Ticket => ({ title: command.name, changes });

/** One change a command, where a command loses several chords. */
function merged(changes: readonly Change[]): Change[] {
  return [...new Map(changes.map((change) => [change.command, change])).values()];
}

function moveFix(index: ClashIndex, where: Where, command: Command, chord: ChordText): Fix[] {
  const [to] = freeNear(index, where, command, chord, 1);
  if (!to) return [];
  const before = bindingsOf(index.keymap, command.id);
  const after = before.map((one) => (one.chord === chord ? { ...one, chord: to.chord } : one));
  return [
    {
      label: `Move ${command.name} to`,
      keys: to.chord,
      ticket: titled(command, [{ command: command.id, before, after }]),
    },
  ];
}

function dropFix(index: ClashIndex, holder: Pick<Holder, 'command' | 'chord'>): Fix {
  const change = dropKeys(index.keymap, holder.command.id, [holder.chord]);
  return { label: `Take it from ${holder.command.name}`, ticket: titled(holder.command, [change]) };
}
