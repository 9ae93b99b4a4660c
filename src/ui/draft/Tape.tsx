'use client';

import Button from '@mui/material/Button';
import { ListX, type LucideIcon, Redo2, Undo2 } from 'lucide-react';
import dynamic from 'next/dynamic';
import { type MouseEvent, memo, useCallback, useEffect, useMemo, useRef, useState } from 'react';
import type { ProgramFacts } from '@/core/clash/clashIndex';
import { describeTicket } from '@/core/clash/describeTicket';
import { type Sharers, sharersOnTape } from '@/core/clash/sharersOnTape';
import type { Place } from '@/core/keyboard/placeOf';
import { type Draft, tapeLengthOf } from '@/core/keymap/draft';
import { goneFrom } from '@/core/keymap/pullTicket';
import type { Ticket } from '@/core/keymap/ticket';
import type { CommandId } from '@/core/program/program';
import { counted } from '@/core/text/sentence';
import { Column } from '../kit/Column';
import { SentenceView } from '../parts/SentenceView';
import { useSettings } from '../shell/SettingsContext';
import { ChangeLine } from './ChangeLine';
import styles from './tape.module.css';

const ScreenDialog = dynamic(() => import('../parts/ScreenDialog').then((one) => one.ScreenDialog));

type Props = {
  readonly draft: Draft;
  readonly facts: ProgramFacts;
  readonly onOpen: (id: CommandId) => void;
  readonly onGoTo: (cursor: number) => void;
  readonly onPull: (position: number) => void;
  /** Shows what was left aside. */
  readonly onHistory: () => void;
};
const MOST_SHOWN = 80;

/** The row of tickets: each change with what it did, the undone ones faded at the end. */
export const Tape = memo(function Tape({ draft, facts, onOpen, onGoTo, onPull, onHistory }: Props) {
  const { place } = useSettings().where;
  const nameOf = useCallback((id: CommandId) => facts.commands.get(id)?.name ?? id, [facts]);
  const { tape, state, earlier } = draft;
  const length = tapeLengthOf(draft);
  const gone = useMemo(
    () => goneFrom(tape.slice(0, Math.max(0, state.cursor - earlier))),
    [tape, state.cursor, earlier],
  );
  // Of the tickets that are here, from which on they are shown.
  const from = Math.max(0, Math.min(state.cursor - earlier, tape.length) - MOST_SHOWN);
  const shown = useMemo(() => tape.slice(from, from + 2 * MOST_SHOWN), [tape, from]);
  const sharers = useMemo(
    () => sharersOnTape(facts, place, draft.keymap, shown, Math.max(0, state.cursor - earlier - from)),
    [facts, place, draft.keymap, shown, state.cursor, earlier, from],
  );
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
        {state.leftAside > 0 && (
          <Button variant="text" sx={{ px: 0, justifyContent: 'start' }} onClick={onHistory}>
            {state.leftAside} left aside
          </Button>
        )}
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
          {shown.map((ticket, i) => {
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
                <TicketView {...{ ticket, nameOf, place, onOpen }} sharers={sharers[i]} onLines={setOpened} />
                <span className={styles.jumps}>
                  {position !== state.cursor && (
                    <Jump
                      icon={position > state.cursor ? Redo2 : Undo2}
                      label={`${position > state.cursor ? 'Redo to here' : 'Back to here'} (${ticket.title})`}
                      onClick={() => onGoTo(position)}
                    />
                  )}
                  {position <= state.cursor && !gone.has(position) && (
                    <Jump
                      icon={ListX}
                      label={`Pull out (${ticket.title})`}
                      onClick={(event) => {
                        // The way out goes away with what it pulls; one goes on from the ticket itself.
                        event.currentTarget.closest('li')?.querySelector('button')?.focus();
                        onPull(position);
                      }}
                    />
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
  place,
  sharers,
  onOpen,
  onLines,
}: {
  ticket: Ticket;
  nameOf: (id: string) => string;
  place: Place;
  sharers: Sharers | undefined;
  onOpen: (id: string) => void;
  onLines: (ticket: Ticket) => void;
}) {
  const [first, ...rest] = ticket.changes;
  if (!first) return null;
  const many = ticket.changes.length >= MANY;
  return (
    <>
      <button
        type="button"
        className={styles.ticketName}
        onClick={() => (many ? onLines(ticket) : onOpen(first.command))}
      >
        {ticket.title}
      </button>
      <p className={styles.ticketDeeds}>
        {many ? (
          <span className="soft">
            {nameOf(first.command)}, {rest[0] && nameOf(rest[0].command)} and {rest.length - 1} more
          </span>
        ) : (
          <SentenceView sentence={describeTicket(ticket, nameOf, place, sharers)} />
        )}
      </p>
    </>
  );
}

/** A way along the tape, or out of it; there are many, so that they are as plain as the tape they are drawn on. */
export function Jump({
  icon: Icon,
  label,
  onClick,
}: {
  icon: LucideIcon;
  label: string;
  onClick: (event: MouseEvent<HTMLButtonElement>) => void;
}) {
  return (
    <button type="button" className={styles.jump} aria-label={label} data-tip={label} onClick={onClick}>
      <Icon size={17} strokeWidth={1.75} aria-hidden />
    </button>
  );
}
