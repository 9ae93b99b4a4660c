import { useMemo, useState } from 'react';
import type { ChordText } from '@/core/chord/chord';
import { saidOf } from '@/core/counterpart/knownPairs';
import type { KeymapView } from '@/core/keymap/keymapView';
import type { CommandId } from '@/core/program/program';
import { EMPTY_PLAN, type MatchPlan } from '@/core/transfer/matchPlan';
import type { MatchView } from '@/core/transfer/matchView';
import type { ChoiceKind } from '@/core/transfer/transferTypes';
import { useStable } from '../kit/useStable';
import { useNotice } from '../shell/Notices';
import { useKept } from '../sync/useKept';
import { useOfKeymap } from '../sync/useOfKeymap';
import { derivationWay, planWay, saidWay } from '../sync/ways';

/** What is settled between two keymaps: counterparts that were said, the plan, where one was derived from the other. */
export function useSettled(match: MatchView & { readonly theirs: KeymapView }, keymapId: number, sourceId: number) {
  const { view, theirs } = match;
  const tell = useNotice();
  const [said, editSaid] = useKept('counterparts', match.said, saidWay);
  const [start] = useState<MatchPlan>(() => match.derivation.value?.plan ?? EMPTY_PLAN);
  const [given, editPlan] = useOfKeymap(`match ${sourceId}`, keymapId, match.plan, (id) =>
    planWay(id, sourceId, start),
  );
  const plan = given ?? start;
  const [derivation, noteDerived] = useKept(
    `derivation ${keymapId} ${sourceId}`,
    match.derivation,
    useMemo(() => derivationWay(keymapId), [keymapId]),
  );
  const choose = useStable((mine: CommandId, kind: ChoiceKind | null, chord?: ChordText): void => {
    const left = plan.choices.filter(([id]) => id !== mine);
    if (kind === null) editPlan({ choices: left });
    else if (kind === 'other')
      editPlan({ choices: [...left, [mine, { kind, chords: chord === undefined ? [] : [chord] }]] });
    else editPlan({ choices: [...left, [mine, { kind }]] });
  });
  const answerFor = (command: CommandId, chord: ChordText | null | undefined): void => {
    const left = plan.instead.filter(([id]) => id !== command);
    editPlan({ instead: chord === undefined ? left : [...left, [command, chord]] });
  };
  /** Says, of a command there, what it is here: nothing, or forgets what was said. It can be taken back. */
  const say = useStable((of: CommandId, mine: CommandId | null | undefined): void => {
    const subject = { program: theirs.programSlug, command: of, other: view.programSlug };
    const before = saidOf(said, subject);
    if (before === mine) return;
    editSaid({ ...subject, counterpart: mine });
    const name = theirs.program.commands.find((one) => one.id === of)?.name ?? of;
    tell(mine === undefined ? `What was said of ${name} is forgotten.` : `Noted of ${name}.`, {
      words: 'Take it back',
      run: () => void editSaid({ ...subject, counterpart: before }),
    });
  });
  /** Says, of a command here, what it is there, or nothing. It can be taken back. */
  const sayMine = useStable((mine: CommandId, counterpart: CommandId | null): void => {
    const subject = { program: view.programSlug, command: mine, other: theirs.programSlug };
    const before = saidOf(said, subject);
    editSaid({ ...subject, counterpart });
    const name = view.program.commands.find((one) => one.id === mine)?.name ?? mine;
    tell(`Noted of ${name}.`, {
      words: 'Take it back',
      run: () => void editSaid({ ...subject, counterpart: before }),
    });
  });
  return { said, plan, derivation, noteDerived, editPlan, choose, answerFor, say, sayMine };
}
