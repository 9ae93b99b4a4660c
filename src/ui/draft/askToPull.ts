import type { Place } from '@/core/keyboard/placeOf';
import type { Draft } from '@/core/keymap/draft';
import { pullTicket, restingOn } from '@/core/keymap/pullTicket';
import type { Ticket } from '@/core/keymap/ticket';
import { counted } from '@/core/text/sentence';
import type { Question } from '../parts/ConfirmDialog';

type Asking = {
  /** The draft with all of its tape; null where it can't be read, which has been told. */
  readonly whole: () => Promise<Draft | null>;
  readonly place: Place;
  readonly edit: (ticket: Ticket) => void;
  readonly ask: (question: Question) => void;
  readonly tell: (words: string) => void;
};

/** Pulls a ticket out of the middle of the tape; where later ones rest on it they are named first. */
export async function askToPull(position: number, { whole, place, edit, ask, tell }: Asking): Promise<void> {
  const draft = await whole();
  if (!draft) return;
  const tape = draft.tape.slice(0, draft.state.cursor);
  const resting = restingOn(tape, position, place);
  const ticket = pullTicket(draft.keymap, tape, [position, ...resting]);
  if (!ticket) {
    tell('Pulling this ticket out would change nothing.');
    return;
  }
  const pull = (number: number): void => {
    edit(ticket);
    tell(
      `${number === 1 ? `“${tape[position - 1]?.title}” is` : `${number} tickets are`} pulled out. Undo puts ${number === 1 ? 'it' : 'them'} back.`,
    );
  };
  if (resting.length === 0) {
    pull(1);
    return;
  }
  ask({
    title: `Pull out ${tape[position - 1]?.title}`,
    sentences: [
      [
        {
          text: `${counted(resting.length, 'later ticket rests', 'later tickets rest')} on it and would be pulled out with it:`,
        },
      ],
      ...resting.slice(0, 10).map((one) => [{ strong: tape[one - 1]?.title ?? '' }]),
    ],
    action: `Pull out all ${resting.length + 1}`,
    run: () => pull(resting.length + 1),
  });
}
