import { createStore } from 'zustand/vanilla';
import {
  begun,
  changedElsewhere,
  confirmed,
  type Edits,
  type Pending,
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
  readonly send: (edit: Edit, next: Value, mark: EditMark, stored: Value) => Promise<Versioned<Value>>;
  /** How it stands on the server, where a refusal of an edit made on something older does not say so itself. */
  readonly now?: (stored: Value) => Promise<Versioned<Value>>;
  /** Whether two states are of the same thing, where an edit may begin another under the same name. */
  readonly same?: (one: Value, other: Value) => boolean;
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
  const now = () => store.getState().sync;
  let sending: Promise<void> | null = null;
  let tries = 0;
  const done = new Map<string, (stored: boolean) => void>();
  // What an edit makes of something is worked out once: what is sent is what is shown.
  const made = new WeakMap<Edit & object, { readonly of: Value; readonly is: Value }>();
  const apply = (value: Value, edit: Edit): Value => {
    const before = made.get(edit as Edit & object);
    if (before && before.of === value) return before.is;
    const is = way.apply(value, edit);
    made.set(edit as Edit & object, { of: value, is });
    return is;
  };
  const show = (sync: Sync<Value, Edit>): void => {
    store.setState({ sync, shown: shownOf(sync, apply) });
    const left = new Set(sync.pending.map((one) => one.key));
    for (const [key, say] of done)
      if (!left.has(key)) {
        done.delete(key);
        say(false);
      }
  };

  const sendFirst = async ({ edit, key }: Pending<Edit>): Promise<void> => {
    const { stored } = now();
    try {
      const mark = { revision: stored.revision, key };
      const answer = await way.send(edit, apply(stored.value, edit), mark, stored.value);
      tries = 0;
      if (now().trouble?.kind === 'unreachable') tell('It is stored now.');
      done.get(key)?.(true);
      done.delete(key);
      show(confirmed(now(), answer));
    } catch (error) {
      if (!(error instanceof Refused) || error.code !== 'changed elsewhere') throw error;
      const elsewhere = (error.details.now as Versioned<Value> | undefined) ?? (await way.now?.(stored.value));
      if (!elsewhere) throw error;
      show(changedElsewhere(now(), elsewhere, messageOf(error), way));
    }
  };
  const pump = async (): Promise<void> => {
    for (let [first] = now().pending; first; [first] = now().pending) {
      try {
        await sendFirst(first);
      } catch (error) {
        if (error instanceof Refused && (error.code === 'unreachable' || error.code === 'busy')) {
          if (now().trouble?.kind !== 'unreachable') tell(NOT_YET);
          show(unanswered(now(), NOT_YET));
          await pause(PAUSES[Math.min(tries++, PAUSES.length - 1)] ?? 0);
        } else {
          show(refused(now(), messageOf(error)));
        }
      }
      const { trouble } = now();
      if (trouble?.kind === 'lost') tell(trouble.message);
    }
    sending = null;
  };
  return {
    store,
    /** @returns whether it was stored, once that is known. */
    edit: (edit: Edit): Promise<boolean> => {
      const key = crypto.randomUUID();
      const stored = new Promise<boolean>((say) => done.set(key, say));
      show(begun(now(), { key, edit }));
      sending ??= pump();
      return stored;
    },
    /** What was read anew of how it stands, and is no older than what is known. */
    heard: (stored: Versioned<Value>): void => {
      if (stored.revision >= now().stored.revision) show({ ...now(), stored });
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
