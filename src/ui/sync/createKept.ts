import { createStore } from 'zustand/vanilla';
import {
  begun,
  changedElsewhere,
  confirmed,
  type Edits,
  refused,
  type Sync,
  shownOf,
  startSync,
  unanswered,
} from '@/core/sync/sync';
import type { EditMark, Versioned } from '@/core/sync/versioned';
import { messageOf, Refused } from '../shell/api';

/** How one kind of thing is edited and stored. */
export type Way<Value, Edit> = Edits<Value, Edit> & {
  /** @param next what the edit makes of what is stored. */
  readonly send: (edit: Edit, next: Value, mark: EditMark) => Promise<Versioned<Value>>;
};

/** How long is waited before an edit that was not answered is sent again, in ms: longer each time. */
const PAUSES = [300, 1000, 3000, 10_000];

const NOT_YET = 'Gray Pin does not answer, so what you did is not stored yet. It is sent again by itself until it is.';

type State<Value, Edit> = { readonly sync: Sync<Value, Edit>; readonly shown: Value };

/**
 * Something kept, as this window has it. Edits are shown at once; they are sent even when nothing shows the thing any more.
 * @param tell says what became of edits that were not stored.
 */
export function createKept<Value, Edit>(
  initial: Versioned<Value>,
  way: Way<Value, Edit>,
  tell: (message: string) => void,
  pause: (ms: number) => Promise<void> = untilLater,
) {
  const store = createStore<State<Value, Edit>>(() => ({ sync: startSync(initial), shown: initial.value }));
  const show = (sync: Sync<Value, Edit>): void => store.setState({ sync, shown: shownOf(sync, way.apply) });
  const now = () => store.getState().sync;
  let sending: Promise<void> | null = null;
  let tries = 0;

  const sendFirst = async (): Promise<void> => {
    const { stored, pending } = now();
    const [first] = pending;
    if (!first) return;
    try {
      const answer = await way.send(first.edit, way.apply(stored.value, first.edit), {
        revision: stored.revision,
        key: first.key,
      });
      tries = 0;
      if (now().trouble?.kind === 'unreachable') tell('It is stored now.');
      show(confirmed(now(), answer));
    } catch (error) {
      const elsewhere = error instanceof Refused ? (error.details.now as Versioned<Value> | undefined) : undefined;
      if (elsewhere) {
        show(changedElsewhere(now(), elsewhere, messageOf(error), way));
      } else if (error instanceof Refused && (error.code === 'unreachable' || error.code === 'busy')) {
        if (now().trouble?.kind !== 'unreachable') tell(NOT_YET);
        show(unanswered(now(), NOT_YET));
        await pause(PAUSES[Math.min(tries++, PAUSES.length - 1)] ?? 0);
      } else {
        show(refused(now(), messageOf(error)));
      }
      const { trouble } = now();
      if (trouble?.kind === 'lost') tell(trouble.message);
    }
  };
  const pump = async (): Promise<void> => {
    while (now().pending.length > 0) await sendFirst();
    sending = null;
  };
  return {
    store,
    edit: (edit: Edit): void => {
      show(begun(now(), { key: crypto.randomUUID(), edit }));
      sending ??= pump();
    },
    /** Kept once everything that was edited is stored or refused. */
    settled: (): Promise<void> => sending ?? Promise.resolve(),
    /** Whether more is on its way than what is being sent. */
    waits: (): boolean => now().pending.length > 1 || now().trouble?.kind === 'unreachable',
  };
}
export type KeptStore<Value, Edit> = ReturnType<typeof createKept<Value, Edit>>;

/** Some time later, or as soon as the machine says that it is online again. */
const untilLater = (ms: number): Promise<void> =>
  new Promise((done) => {
    const go = (): void => {
      window.clearTimeout(timer);
      window.removeEventListener('online', go);
      done();
    };
    const timer = window.setTimeout(go, ms);
    window.addEventListener('online', go);
  });
