'use client';

import Alert from '@mui/material/Alert';
import Button from '@mui/material/Button';
import Stack from '@mui/material/Stack';
import { useState } from 'react';
import type { Row } from '@/core/keymap/keymap';
import type { Ticket } from '@/core/keymap/ticket';
import type { CommandId } from '@/core/program/program';
import { cutText } from '@/core/text/cutText';
import { counted } from '@/core/text/sentence';
import type { Derivation, MatchPlan } from '@/core/transfer/matchPlan';
import type { MatchAnswer } from '@/workers/matcher';
import { ChangeLine } from '../draft/ChangeLine';
import { ScreenDialog } from '../parts/ScreenDialog';

type Props = {
  readonly there: string;
  readonly again: NonNullable<MatchAnswer['again']>;
  readonly derivation: Derivation;
  /** Their keymap as it is now. */
  readonly theirs: readonly Row[];
  readonly plan: MatchPlan;
  readonly locked: boolean;
  readonly nameOf: (command: CommandId) => string;
  readonly onEdit: (ticket: Ticket) => Promise<boolean>;
  readonly onNote: (derivation: Derivation) => void;
};

/** Says of a derived keymap what is new where it came from, and derives it again. */
export function DerivedBanner({ there, again, derivation, theirs, plan, locked, nameOf, onEdit, onNote }: Props) {
  const [open, setOpen] = useState(false);
  const { ticket, corrected, changedThere } = again;
  const corrections = counted(corrected.length, 'correction');
  const note = (): void => {
    const stays = new Set(corrected);
    // What was corrected stays a correction: it is still told by what was derived before.
    const rows = [
      ...again.rows.filter(([id]) => !stays.has(id)),
      ...derivation.derived.filter(([id]) => stays.has(id)),
    ];
    onNote({ plan, derived: rows, theirs });
  };
  if (changedThere.length === 0)
    return (
      <Alert severity="info" role="note">
        Derived from {there}; nothing has changed there since.{' '}
        {corrected.length > 0 && <span className="soft">{corrections} of yours.</span>}
      </Alert>
    );
  return (
    <>
      <Alert
        severity="info"
        role="status"
        action={
          <Button variant="outlined" onClick={() => setOpen(true)}>
            See what is new
          </Button>
        }
      >
        <strong>{counted(changedThere.length, 'thing is', 'things are')} new</strong> in {there}, which this keymap was
        derived from. {corrected.length > 0 && `${corrections} of yours ${corrected.length === 1 ? 'stays' : 'stay'}.`}
      </Alert>
      {open && (
        <ScreenDialog
          title={`New from ${there}`}
          onClose={() => setOpen(false)}
          actions={
            ticket ? (
              <Button
                variant="contained"
                disabled={locked}
                onClick={async () => {
                  if (!(await onEdit({ ...ticket, title: cutText(`Derived again: ${ticket.title}`, 200) }))) return;
                  note();
                  setOpen(false);
                }}
              >
                Put {counted(ticket.changes.length, 'change')} on the tape
              </Button>
            ) : (
              <Button
                variant="contained"
                onClick={() => {
                  note();
                  setOpen(false);
                }}
              >
                Seen
              </Button>
            )
          }
        >
          <Stack spacing={3}>
            <p>
              {ticket
                ? 'This is what deriving again changes; everything else stays.'
                : 'What is new there changes nothing here.'}
            </p>
            <ul>
              {ticket?.changes.map((change) => (
                <ChangeLine key={change.command} name={nameOf(change.command)} change={change} />
              ))}
            </ul>
            {corrected.length > 0 && <p className="soft">Your corrections stay: {corrected.map(nameOf).join(', ')}.</p>}
          </Stack>
        </ScreenDialog>
      )}
    </>
  );
}
