import type { ChordText } from '../chord/chord';
import type { Where } from '../keyboard/where';
import type { Command } from '../program/program';
import type { Sentence } from '../text/sentence';
import type { ClashIndex } from './clashIndex';
import { describeFinding } from './describeFinding';
import { type Finding, type Verdict, verdict, verdictWeight, type Weight, weightOf } from './verdict';

/** A verdict with its sentences, as the bench shows it. */
export type Judged = {
  readonly chord: ChordText;
  readonly verdict: Verdict;
  readonly weight: Weight;
  readonly sentences: readonly {
    readonly weight: Weight;
    readonly kind: Finding['kind'];
    readonly sentence: Sentence;
  }[];
  /** Somebody who holds the keys, to go to. */
  readonly holder: Command | null;
};

/** Judges a chord for a command in one go. */
export function judge(index: ClashIndex, where: Where, command: Command, chord: ChordText): Judged {
  const said = verdict(index, where, command, chord);
  const holder = said.findings.flatMap((one) => ('holders' in one ? one.holders : []))[0]?.command;
  return {
    chord,
    verdict: said,
    weight: verdictWeight(said),
    sentences: said.findings.map((one) => ({
      weight: weightOf(one),
      kind: one.kind,
      sentence: describeFinding(one, chord, index.keymap, where),
    })),
    holder: holder ?? null,
  };
}
