'use client';

import { ListX, type LucideIcon, Redo2, Undo2 } from 'lucide-react';
import dynamic from 'next/dynamic';
import { memo, useEffect, useMemo, useRef, useState } from 'react';
import { type Draft, tapeLengthOf } from '@/core/keymap/draft';
import { sameKeys } from '@/core/keymap/keymap';
import { goneFrom } from '@/core/keymap/pullTicket';
import type { Ticket } from '@/core/keymap/ticket';
import type { Command } from '@/core/program/program';
import { counted } from '@/core/text/sentence';
import { Column } from '../kit/Column';
import { KeyCaps } from '../parts/KeyCaps';
import { ChangeLine, markWords } from './ChangeLine';
import styles from './tape.module.css';

const ScreenDialog = dynamic(() => import('../parts/ScreenDialog').then((one) => one.ScreenDialog));

type Props = {
  readonly draft: Draft;
  readonly nameOf: (id: string) => string;
  readonly onOpen: (id: Command['id']) => void;
  readonly onGoTo: (cursor: number) => void;
  readonly onPull: (position: number) => void;
};
const MOST_SHOWN = 80;

/** The row of tickets: each change with what it did, the undone ones faded at the end. */
export const Tape = memo(function Tape({ draft, nameOf, onOpen, onGoTo, onPull }: Props) {
  const { tape, state, earlier } = draft;
  const length = tapeLengthOf(draft);
  const gone = useMemo(
    () => goneFrom(tape.slice(0, Math.max(0, state.cursor - earlier))),
    [tape, state.cursor, earlier],
  );
  // Of the tickets that are here, from which on they are shown.
  const from = Math.max(0, Math.min(state.cursor - earlier, tape.length) - MOST_SHOWN);
  const end = useRef<HTMLLIElement>(null);
  const [opened, setOpened] = useState<Ticket | null>(null);
  // biome-ignore lint/correctness/useExhaustiveDependencies: a new ticket is brought into view.
  useEffect(() => {
    const bring = (): void => end.current?.scrollIntoView({ block: 'nearest', inline: 'nearest' });
    bring();
    // With the fonts that come, tickets are wider.
    if (document.fonts?.status === 'loading') void document.fonts.ready.then(bring);
  }, [state.cursor, length]);
  return (
    <section className={`${styles.tape} no-print`} aria-label="Change tape">
      <Column gap={0} className={styles.tapeTitle}>
        <span>Change tape</span>
        <strong>{counted(state.cursor, 'ticket')}</strong>
        {length > state.cursor && <span className="soft small">{length - state.cursor} undone</span>}
      </Column>
      {length === 0 ? (
        <p className={styles.tapeEmpty}>
          Every change you make lands here as a ticket, stored at once. Undo takes the last one back.
        </p>
      ) : (
        <ol className={styles.tickets}>
          {earlier + from > 0 && (
            <li className={styles.ticket}>
              <span className="soft">{earlier + from} earlier</span>
            </li>
          )}
          {tape.slice(from, from + 2 * MOST_SHOWN).map((ticket, i) => {
            const position = earlier + from + i + 1;
            return (
              <li
                key={`${position} ${ticket.title}`}
                ref={position === state.cursor ? end : undefined}
                className={styles.ticket}
                data-undone={position > state.cursor || undefined}
                data-pulled={gone.has(position) || undefined}
                data-kept={position === state.keptCursor || undefined}
              >
                <TicketView ticket={ticket} nameOf={nameOf} onOpen={onOpen} onLines={setOpened} />
                <span className={styles.jumps}>
                  {position !== state.cursor && (
                    <Jump
                      icon={position > state.cursor ? Redo2 : Undo2}
                      label={`${position > state.cursor ? 'Redo to here' : 'Back to here'} (${ticket.title})`}
                      onClick={() => onGoTo(position)}
                    />
                  )}
                  {position <= state.cursor && !gone.has(position) && (
                    <Jump icon={ListX} label={`Pull out (${ticket.title})`} onClick={() => onPull(position)} />
                  )}
                </span>
              </li>
            );
          })}
        </ol>
      )}
      {opened && (
        <ScreenDialog title={opened.title} onClose={() => setOpened(null)}>
          <ul>
            {opened.changes.map((change) => (
              <ChangeLine key={change.command} name={nameOf(change.command)} change={change} />
            ))}
          </ul>
        </ScreenDialog>
      )}
    </section>
  );
});

/** A ticket of more changes than fit on it opens into its lines. */
const MANY = 3;

function TicketView({
  ticket,
  nameOf,
  onOpen,
  onLines,
}: {
  ticket: Ticket;
  nameOf: (id: string) => string;
  onOpen: (id: string) => void;
  onLines: (ticket: Ticket) => void;
}) {
  const [first, ...rest] = ticket.changes;
  if (!first) return null;
  if (ticket.changes.length >= MANY) {
    return (
      <>
        <button type="button" className={styles.ticketName} onClick={() => onLines(ticket)}>
          {ticket.title}
        </button>
        <span className={styles.ticketKeys}>
          <span className="soft">
            {nameOf(first.command)}, {rest[0] && nameOf(rest[0].command)} and {rest.length - 1} more
          </span>
        </span>
      </>
    );
  }
  return (
    <>
      <button type="button" className={styles.ticketName} onClick={() => onOpen(first.command)}>
        {ticket.title}
      </button>
      <span className={styles.ticketKeys}>
        {sameKeys(first.before, first.after) ? (
          <span className="soft">{markWords(first)}</span>
        ) : (
          <>
            {first.before.length > 0 ? (
              <KeyCaps chord={first.before[0]?.chord ?? ''} />
            ) : (
              <span className="soft">no key</span>
            )}
            <span aria-hidden="true">→</span>
            <span className="hidden">to</span>
            {first.after.length > 0 ? (
              first.after.slice(-1).map((b) => <KeyCaps key={b.chord} chord={b.chord} />)
            ) : (
              <span className="soft">no key</span>
            )}
          </>
        )}
        {rest.length > 0 && (
          <span className="soft" data-tip={rest.map((one) => nameOf(one.command)).join(', ')}>
            · {rest.length === 1 ? `from ${nameOf(rest[0]?.command ?? '')}` : `${rest.length} more`}
          </span>
        )}
      </span>
    </>
  );
}

/** A way along the tape, or out of it; there are many, so that they are as plain as the tape they are drawn on. */
export function Jump({ icon: Icon, label, onClick }: { icon: LucideIcon; label: string; onClick: () => void }) {
  return (
    <button type="button" className={styles.jump} aria-label={label} data-tip={label} onClick={onClick}>
      <Icon size={17} strokeWidth={1.75} aria-hidden />
    </button>
  );
}
