'use client';

import { Redo2, Undo2 } from 'lucide-react';
import { memo, useEffect, useRef } from 'react';
import { counted } from '@/core/text/sentence';
import type { RoomState } from '@/core/workspace/roomView';
import { Jump } from '../draft/Tape';
import tape from '../draft/tape.module.css';
import { Column } from '../kit/Column';

type Props = { readonly state: RoomState; readonly onGoTo: (cursor: number) => void };
const MOST_SHOWN = 60;

/** The steps that led to the room as it stands, the undone ones faded at the end. */
export const StepTape = memo(function StepTape({ state, onGoTo }: Props) {
  const { steps, cursor } = state;
  const end = useRef<HTMLLIElement>(null);
  const from = Math.max(0, Math.min(cursor, steps.length) - MOST_SHOWN);
  // biome-ignore lint/correctness/useExhaustiveDependencies: a new step is brought into view.
  useEffect(() => {
    end.current?.scrollIntoView({ block: 'nearest', inline: 'nearest' });
  }, [cursor, steps.length]);
  return (
    <section className={tape.tape} aria-label="Steps">
      <Column gap={0} className={tape.tapeTitle}>
        <span>Steps</span>
        <strong>{counted(cursor, 'step')}</strong>
        {steps.length > cursor && <span className="soft small">{steps.length - cursor} undone</span>}
      </Column>
      {steps.length === 0 ? (
        <p className={tape.tapeEmpty}>
          Every change you make here lands as a step, stored at once. Undo takes the last one back.
        </p>
      ) : (
        <ol className={tape.tickets}>
          {steps.slice(from, from + 2 * MOST_SHOWN).map((title, i) => {
            const position = from + i + 1;
            return (
              <li
                key={`${position} ${title}`}
                ref={position === cursor ? end : undefined}
                className={tape.ticket}
                data-undone={position > cursor || undefined}
              >
                <strong>{title}</strong>
                <span className={tape.jumps}>
                  {position !== cursor && (
                    <Jump
                      icon={position > cursor ? Redo2 : Undo2}
                      label={`${position > cursor ? 'Redo to here' : 'Back to here'} (${title})`}
                      onClick={() => onGoTo(position)}
                    />
                  )}
                </span>
              </li>
            );
          })}
        </ol>
      )}
    </section>
  );
});
