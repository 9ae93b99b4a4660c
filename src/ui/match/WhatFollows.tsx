import Button from '@mui/material/Button';
import Paper from '@mui/material/Paper';
import { useRouter } from 'next/navigation';
import { useState } from 'react';
import type { DraftState, KeymapView } from '@/core/keymap/keymapView';
import type { Ticket } from '@/core/keymap/ticket';
import type { CommandId } from '@/core/program/program';
import type { MatchAnswer } from '@/workers/matcher';
import { NameDialog } from '../parts/NameDialog';
import { ask } from '../shell/api';
import { useNotice } from '../shell/Notices';
import { KnockOns } from './KnockOns';
import { likeAddress } from './likeAddress';
import { RulesCard } from './RulesCard';
import type { useSettled } from './useSettled';

type Props = {
  readonly state: DraftState;
  readonly programSlug: string;
  readonly theirs: KeymapView;
  readonly their: DraftState;
  /** What the keymap that is to be felt like is called. */
  readonly there: string;
  readonly answer: MatchAnswer | null;
  readonly fresh: boolean;
  readonly settled: ReturnType<typeof useSettled>;
  readonly ticket: Ticket | null;
  readonly nameOf: (command: CommandId) => string;
};

/** What goes for all lines, who has to give way, and a new keymap of it all. */
export function WhatFollows({
  state,
  programSlug,
  theirs,
  their,
  there,
  answer,
  fresh,
  settled,
  ticket,
  nameOf,
}: Props) {
  const [naming, setNaming] = useState(false);
  const tell = useNotice();
  const router = useRouter();
  const derive = async (name: string, owner: string): Promise<void> => {
    const made = await ask<DraftState>('POST', `/api/keymaps/${state.id}/derive`, {
      name,
      owner,
      source: their.id,
      ticket,
      plan: settled.plan,
    });
    tell(`“${made.name}” is derived from ${there}. Correct what you like; it can be derived again.`);
    router.push(likeAddress(programSlug, made.slug, theirs.programSlug, their.slug));
  };
  return (
    <>
      <Paper component="aside" variant="side" aria-label="What follows">
        <RulesCard plan={settled.plan} there={theirs.program.name} onChange={settled.editPlan} />
        {answer && (
          <KnockOns
            knockOns={answer.transfer.knockOns}
            lostAnswers={answer.transfer.lostAnswers}
            answered={new Set(settled.plan.instead.map(([id]) => id))}
            nameOf={nameOf}
            onInstead={settled.answerFor}
          />
        )}
        <Button variant="outlined" disabled={!fresh || answer === null} onClick={() => setNaming(true)}>
          Derive a new keymap…
        </Button>
      </Paper>
      {naming && (
        <NameDialog
          title="Derive a new keymap"
          action="Derive it"
          name={`Feels like ${theirs.program.name}`}
          owner={state.owner}
          hint={`It begins as “${state.name}” with what is settled here, and stays joined to ${there}: when that changes, it can be derived again, and your corrections stay.`}
          onClose={() => setNaming(false)}
          onDone={derive}
        />
      )}
    </>
  );
}
