import { createHash, randomUUID } from 'node:crypto';
import { planTaking } from '../../core/whole/planTaking';
import type { Taking } from '../../core/whole/taking';
import { type TakingView, takingView } from '../../core/whole/takingView';
import type { WholeProgram } from '../../core/whole/whole';
import { Problem } from '../../schemas/problem';
import type { TakingWishes } from '../../schemas/whole';
import { copyDatabase, database, inOneMoment, inTransaction, momentNow } from '../database';
import { models } from '../models/models';
import { readIncoming } from '../whole/incoming';
import { readWhole } from '../whole/readWhole';
import { writeTaking } from '../whole/writeTaking';

/** What taking a file in would do, and the mark of that, by which it is asked for. */
export type LookedAt = { readonly view: TakingView; readonly mark: string };

/** Says what taking everything in from a file would do beside what is here. Nothing is changed. */
export async function lookAtEverything(file: Blob, wishes: TakingWishes): Promise<LookedAt> {
  const there = await readIncoming(file);
  return inOneMoment(async () => lookedAt(await plan(there, wishes)));
}

/**
 * Takes everything in from a file beside what is here, after keeping a copy of what is here.
 * @throws Problem "changed elsewhere" where that would do something else than what was shown.
 */
export async function takeEverythingIn(file: Blob, wishes: TakingWishes, shown: string): Promise<LookedAt> {
  const there = await readIncoming(file);
  mustBe(lookedAt(await inOneMoment(() => plan(there, wishes))), shown);
  await copyDatabase(await database(), 'before-taking-in');
  return inTransaction(async (transaction) => {
    const taking = await plan(there, wishes);
    const now = mustBe(lookedAt(taking), shown);
    await writeTaking(await models(), taking, transaction);
    return now;
  });
}

/** @throws Problem where something else would happen than was shown. */
function mustBe(now: LookedAt, shown: string): LookedAt {
  if (now.mark === shown) return now;
  throw new Problem(
    'changed elsewhere',
    'What is here changed since you looked at this file, so nothing was taken in. It is shown as it would be now.',
    { now },
  );
}

const lookedAt = (taking: Taking): LookedAt => {
  const view = takingView(taking);
  return { view, mark: createHash('sha256').update(JSON.stringify(view)).digest('hex').slice(0, 32) };
};

async function plan(there: readonly WholeProgram[], { label, goOn, apart }: TakingWishes): Promise<Taking> {
  const all = await models();
  const from = { models: all, transaction: momentNow() };
  const here = await readWhole(from, {
    names: there.map((one) => one.name),
    kins: there.map((one) => one.kin),
    counts: there.map((one) => one.facts.commands.length),
  });
  const uids = { attributes: ['uid'], raw: true, transaction: momentNow() };
  const taken = [
    ...(await all.Program.findAll({ ...uids })),
    ...(await all.Keymap.findAll({ ...uids })),
    ...(await all.Workspace.findAll({ ...uids })),
  ].map((one) => one.uid);
  return planTaking(here, there, { label, goOn: new Set(goOn), apart: new Set(apart), taken, newUid: randomUUID });
}
