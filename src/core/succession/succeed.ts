import { buildAdvisor } from '../advice/advisor';
import type { ChordText } from '../chord/chord';
import { programFacts } from '../clash/clashIndex';
import type { Where } from '../keyboard/where';
import type { Keymap } from '../keymap/keymap';
import type { CommandId } from '../program/program';
import type { Hand } from '../reach/hand';
import { planKnockOns } from '../transfer/planKnockOns';
import type { VersionSide } from './findLinks';
import type { Link } from './link';
import { type Merge, type MergeChoice, mergeKeymap } from './mergeKeymap';

/** What was chosen where a keymap and the next version meet, by the commands of that version. */
export type Answers = readonly (readonly [command: CommandId, choice: MergeChoice])[];

/** What becomes of a keymap in the next version of its program. */
export type Succession = {
  readonly merge: Merge;
  /** The closest free keys for what would come without. */
  readonly closest: Readonly<Record<CommandId, ChordText>>;
};

/** What the links between two versions make of a keymap, and which keys are free for those who come without. */
export function succeed(
  before: VersionSide,
  after: VersionSide,
  links: readonly Link[],
  mine: Keymap,
  answers: Answers,
  { where, hand }: { readonly where: Where; readonly hand: Hand },
): Succession {
  const facts = programFacts(after.program);
  const merge = mergeKeymap({ before, after, facts, place: where.place, links, mine }, new Map(answers));
  const losers = merge.lines.flatMap(({ command, meets }) => {
    const met = meets.find((one) => one.kind === 'is mine' || one.kind === 'now clash');
    const own = facts.commands.get(command);
    return met && own ? [{ command: own, lost: met.chord, uses: 0 }] : [];
  });
  if (losers.length === 0) return { merge, closest: {} };
  const { given } = planKnockOns(buildAdvisor(facts, where, hand, []), merge.keymap, losers, new Map());
  return { merge, closest: Object.fromEntries(given) };
}
