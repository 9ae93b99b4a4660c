import type { EditMark, Versioned } from '../../core/sync/versioned';
import { changedElsewhere } from '../../schemas/problem';
import { inOneMoment, inTransaction, together } from '../database';
import { doneBefore, noteDone, revisionOf, writeRevision } from '../repositories/inStep';

type Work<Value> = {
  /** What is edited, told from all other things. */
  readonly thing: string;
  /** What people call it, at the beginning of a sentence. */
  readonly what: string;
  readonly read: () => Promise<Value>;
};

/** Something kept as it stands, with its revision. */
export function versioned<Value>({ thing, read }: Pick<Work<Value>, 'thing' | 'read'>): Promise<Versioned<Value>> {
  return inOneMoment(async () => ({ revision: await revisionOf(thing), value: await read() }));
}

/**
 * Does an edit of something kept if nobody has changed it since what the edit was made on, and once however often it is
 * sent. @returns how the thing stands then.
 * @throws Problem "changed elsewhere" with how it stands `now`.
 */
export function editInStep<Value>(
  { thing, what, read }: Work<Value>,
  { revision, key }: EditMark,
  write: Parameters<typeof inTransaction<void>>[0],
): Promise<Versioned<Value>> {
  return inTransaction(async (transaction) => {
    const [at, before] = await together(revisionOf(thing), doneBefore(key, transaction));
    if (before) return { revision: at, value: await read() };
    if (revision !== undefined && revision !== at)
      throw changedElsewhere(what, { now: { revision: at, value: await read() } });
    await together(write(transaction), writeRevision(thing, at + 1, transaction), noteDone(key, transaction));
    return { revision: at + 1, value: await read() };
  });
}
