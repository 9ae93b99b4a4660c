'use client';

import Button from '@mui/material/Button';
import { useEffect } from 'react';
import { historyOf } from '@/core/keymap/historyOf';
import type { Command } from '@/core/program/program';
import { ChangeLine } from '../../draft/ChangeLine';
import { Progress } from '../../kit/Progress';
import { Row } from '../../kit/Row';
import { ScreenDialog } from '../../parts/ScreenDialog';
import type { DialogProps } from './dialogProps';

const STATES = { applied: '', undone: 'undone', pulled: 'pulled out' } as const;

/** What happened to one command on the tape, the newest first. */
export function CommandHistory({ selected, draft, actions, onClose }: DialogProps & { selected: Command }) {
  const { cursor } = draft.state;
  useEffect(() => {
    if (draft.earlier > 0) void actions.whole();
  }, [draft.earlier, actions]);
  if (draft.earlier > 0)
    return (
      <ScreenDialog title={`What happened to ${selected.name}`} onClose={onClose}>
        <Progress label="Reading the whole tape" />
      </ScreenDialog>
    );
  const steps = historyOf(draft.tape, cursor, selected.id).reverse();
  return (
    <ScreenDialog title={`What happened to ${selected.name}`} onClose={onClose}>
      {steps.length === 0 ? (
        <p className="soft">No ticket of the tape touches it. Its keys are as this keymap began.</p>
      ) : (
        <ol className="ruled">
          {steps.map(({ position, ticket, change, state }) => (
            <li key={position}>
              <Row gap={3} wraps>
                <span className="soft">Ticket {position}</span> <strong>{ticket.title}</strong>
                <span className="soft">{STATES[state]}</span>
                <span className="push" />
                {position !== cursor && (
                  <Button variant="text" onClick={() => void actions.goTo(() => position)}>
                    {position > cursor ? 'Redo to here' : 'Back to here'}
                  </Button>
                )}
              </Row>
              <ul>
                <ChangeLine name={selected.name} change={change} />
              </ul>
            </li>
          ))}
        </ol>
      )}
    </ScreenDialog>
  );
}
