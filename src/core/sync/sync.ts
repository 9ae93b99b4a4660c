import type { Versioned } from './versioned';

/**
 * How something kept on the server and what a window shows of it keep together. Edits are shown at once and sent one after
 * the other, each with a key of its own, so that one that is sent again is done once; what the server answers is what
 * stands. Pure: whoever holds the state sends what is first, and says what came of it.
 */
export type Sync<Value, Edit> = {
  /** As the server has it, by its last answer. */
  readonly stored: Versioned<Value>;
  /** Edits on their way, the first of them being sent; the key tells each from all others. */
  readonly pending: readonly Pending<Edit>[];
  readonly trouble: Trouble<Edit> | null;
};
export type Pending<Edit> = { readonly key: string; readonly edit: Edit };

/** What became of edits that can't be told by showing it, in a sentence. */
export type Trouble<Edit> =
  /** The server does not answer; what is on its way is sent again until it does. */
  | { readonly kind: 'unreachable'; readonly message: string }
  /** It was changed elsewhere or refused; with it goes what was still to be sent, which rested on it. */
  | { readonly kind: 'lost'; readonly message: string; readonly lost: readonly Edit[] };

/** How edits of one kind of thing change it. */
export type Edits<Value, Edit> = {
  readonly apply: (value: Value, edit: Edit) => Value;
  /** Whether an edit touches what somebody else has changed since: from `before` to `now`. */
  readonly meets: (edit: Edit, before: Value, now: Value) => boolean;
};

/** The state of a window that was just opened. */
export const startSync = <Value, Edit>(stored: Versioned<Value>): Sync<Value, Edit> => ({
  stored,
  pending: [],
  trouble: null,
});

/** What a window shows: what is stored, with what is on its way on top of it. */
export const shownOf = <Value, Edit>(
  { stored, pending }: Sync<Value, Edit>,
  apply: Edits<Value, Edit>['apply'],
): Value => pending.reduce((at, one) => apply(at, one.edit), stored.value);

/** An edit was made. */
export const begun = <Value, Edit>(sync: Sync<Value, Edit>, one: Pending<Edit>): Sync<Value, Edit> => ({
  ...sync,
  pending: [...sync.pending, one],
  trouble: sync.trouble?.kind === 'lost' ? null : sync.trouble,
});

/** The server did the first edit, now or when it was sent before, and this is what stands. */
export const confirmed = <Value, Edit>(sync: Sync<Value, Edit>, stored: Versioned<Value>): Sync<Value, Edit> => ({
  stored,
  pending: sync.pending.slice(1),
  trouble: null,
});

/** Nothing came back: whether the first edit was done is not known, so it is sent again with the same key. */
export const unanswered = <Value, Edit>(sync: Sync<Value, Edit>, message: string): Sync<Value, Edit> => ({
  ...sync,
  trouble: { kind: 'unreachable', message },
});

/** The server would not do the first edit, for what it says; what was still to be sent rested on it. */
export const refused = <Value, Edit>(sync: Sync<Value, Edit>, message: string): Sync<Value, Edit> => ({
  stored: sync.stored,
  pending: [],
  trouble: { kind: 'lost', message, lost: sync.pending.map((one) => one.edit) },
});

/**
 * It was changed in another window before the first edit came. What touches nothing that was changed there is sent again
 * on what stands now; with the first that does, everything after it goes.
 */
export function changedElsewhere<Value, Edit>(
  sync: Sync<Value, Edit>,
  now: Versioned<Value>,
  message: string,
  { meets }: Edits<Value, Edit>,
): Sync<Value, Edit> {
  // What would not be done though nothing has changed never will be.
  const same = now.revision === sync.stored.revision;
  const met = same ? 0 : sync.pending.findIndex((one) => meets(one.edit, sync.stored.value, now.value));
  if (met < 0) return { ...sync, stored: now };
  return {
    stored: now,
    pending: sync.pending.slice(0, met),
    trouble: { kind: 'lost', message, lost: sync.pending.slice(met).map((one) => one.edit) },
  };
}
