'use client';

import Button from '@mui/material/Button';
import { useMemo } from 'react';
import { sharersOnTape } from '@/core/clash/sharersOnTape';
import type { LeftAside } from '@/core/keymap/keymapView';
import { putBack } from '@/core/keymap/putBack';
import { applyTicket, type Ticket } from '@/core/keymap/ticket';
import { counted } from '@/core/text/sentence';
import { ChangeLine } from '../../draft/ChangeLine';
import { Disclosure } from '../../kit/Disclosure';
import { Row } from '../../kit/Row';
import { useSettings } from '../../shell/SettingsContext';
import type { DialogProps } from './dialogProps';

type Props = Pick<DialogProps, 'index' | 'draft' | 'onTicket'> & { readonly asides: readonly LeftAside[] };

/** Tickets that were undone and then passed over, to be put back on the tape one by one or those of one time together. */
export function LeftAsideList({ asides, ...props }: Props) {
  if (asides.length === 0) return null;
  return (
    <section aria-label="Left aside">
      <h3>Left aside</h3>
      <p className="soft">Undone, then passed over by another step. They stay here until the keymap is kept.</p>
      <ul className="ruled">
        {asides.map(({ tickets, leftAt }, lot) => (
          <li key={`${leftAt} ${lot}`}>
            {tickets.length > 1 && <Lot {...props} title={`All ${tickets.length} together`} tickets={tickets} />}
            {tickets.map((ticket, i) => (
              <Lot key={`${i} ${ticket.title}`} {...props} title={ticket.title} tickets={[ticket]} />
            ))}
          </li>
        ))}
      </ul>
    </section>
  );
}

function Lot({
  index,
  draft,
  onTicket,
  title,
  tickets,
}: Omit<Props, 'asides'> & { readonly title: string; readonly tickets: readonly Ticket[] }) {
  const { place } = useSettings().where;
  const { facts } = index;
  const [ticket, sharers] = useMemo(() => {
    const one = putBack(draft.keymap, tickets);
    return [one, one ? sharersOnTape(facts, place, applyTicket(draft.keymap, one), [one], 1)[0] : undefined];
  }, [draft.keymap, tickets, facts, place]);
  return (
    <>
      <Row gap={3} wraps>
        <strong>{title}</strong>
        <span className="push" />
        {ticket ? (
          <Button
            variant="outlined"
            aria-label={`Put back ${title}`}
            disabled={draft.state.locked}
            onClick={() => void onTicket(ticket)}
          >
            Put back
          </Button>
        ) : (
          <span className="soft">as it is now</span>
        )}
      </Row>
      {ticket && (
        <Disclosure title={`${counted(ticket.changes.length, 'change')} now`}>
          <ul>
            {ticket.changes.map((change) => (
              <ChangeLine
                key={change.command}
                name={facts.commands.get(change.command)?.name ?? change.command}
                change={change}
                sharers={sharers}
              />
            ))}
          </ul>
        </Disclosure>
      )}
    </>
  );
}
