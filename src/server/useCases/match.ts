import { rowsOf } from '../../core/keymap/keymap';
import type { Ticket } from '../../core/keymap/ticket';
import type { Derivation, MatchPlan } from '../../core/transfer/matchPlan';
import type { DraftState, KeymapLink, MatchView, ProgramsView } from '../../core/view/views';
import { Problem } from '../../schemas/problem';
import { inTransaction, ofOneMoment } from '../database';
import { loadUses } from '../repositories/advice';
import { insertKeymap, keymapById, loadBindings } from '../repositories/keymaps';
import {
  lastSource,
  loadDerivation,
  loadPlan,
  loadSaid,
  writeDerivation,
  writePlan,
  writeSaid,
} from '../repositories/match';
import { findProgram, listPrograms } from '../repositories/programs';
import { change } from '../repositories/rows';
import { draftState, mustFit, refuseUnknown } from './editKeymap';
import { listLinks, loadKeymapView, loadKeymapViewById } from './screens';

const now = (): string => new Date().toISOString();

/**
 * Two keymaps to be matched, with all that is known of their programs and of the person. Without a source named it is the
 * one matched with last, else the one a keymap was derived from, else somebody's keymap of another program.
 * @returns null for the source where there is no other program. @throws Problem when there is no such keymap.
 */
export const loadMatch = ofOneMoment(async function loadMatch(
  programSlug: string,
  keymapSlug: string,
  like: { readonly program: string; readonly keymap: string } | null,
): Promise<MatchView> {
  const view = await loadKeymapView(programSlug, keymapSlug);
  const { id, owner } = view.draft;
  const came = await loadDerivation(id);
  const links = await listLinks();
  const source = like
    ? await loadKeymapView(like.program, like.keymap)
    : await usualSource(links, programSlug, owner, (await lastSource(id)) ?? came?.source ?? null);
  const programs = await listPrograms();
  const base = {
    view,
    said: await loadSaid(),
    programNames: Object.fromEntries(programs.map((one) => [one.slug, one.name])),
    uses: Object.fromEntries(await loadUses((await findProgram(programSlug)).id, owner)),
  };
  if (!source) return { ...base, theirs: null, usesThere: {}, plan: null, derivation: null };
  const there = await findProgram(source.programSlug);
  const told = await loadUses(there.id, source.draft.owner);
  const plan = await loadPlan(id, source.draft.id);
  return {
    ...base,
    theirs: source,
    usesThere: Object.fromEntries(told.size > 0 ? told : await loadUses(there.id, owner)),
    plan: plan === null ? null : (JSON.parse(plan) as MatchPlan),
    derivation: came?.source === source.draft.id ? (JSON.parse(came.contents) as Derivation) : null,
  };
});

async function usualSource(links: readonly KeymapLink[], program: string, owner: string, last: number | null) {
  if (last !== null) {
    try {
      const view = await loadKeymapViewById(last);
      if (links.some((one) => one.program === view.programSlug && one.keymap === view.draft.slug)) return view;
    } catch (error) {
      // What it was matched with may be gone.
      if (!(error instanceof Problem && error.code === 'not found')) throw error;
    }
  }
  const others = links.filter((one) => one.program !== program);
  const best = others.find((one) => one.owner === owner && !one.factory) ?? others.find((one) => !one.factory);
  const chosen = best ?? others[0];
  return chosen ? loadKeymapView(chosen.program, chosen.keymap) : null;
}

/** Stores what was settled of making one keymap feel like another. */
export async function savePlan(keymapId: number, source: number, plan: MatchPlan): Promise<void> {
  await keymapById(keymapId);
  await keymapById(source);
  await inTransaction((transaction) => writePlan(keymapId, source, JSON.stringify(plan), now(), transaction));
}

/** Stores, or forgets, what a person says of a command's counterpart in another program. */
export async function sayCounterpart(
  programSlug: string,
  command: string,
  otherSlug: string,
  counterpart: string | null | undefined,
): Promise<void> {
  const [program, other] = await Promise.all([findProgram(programSlug), findProgram(otherSlug)]);
  if (program.id === other.id) throw new Problem('not valid', 'A command has its counterpart in another program.');
  await inTransaction((transaction) => writeSaid(program.id, command, other.id, counterpart, now(), transaction));
}

/** Makes a new keymap from another as its draft stands and one ticket, and remembers where it came from. */
export function deriveKeymap(
  baseId: number,
  given: { readonly name: string; readonly owner: string; readonly source: number; readonly ticket: Ticket | null },
  plan: MatchPlan,
): Promise<DraftState> {
  return inTransaction(async (transaction) => {
    const base = await keymapById(baseId, transaction);
    await keymapById(given.source, transaction);
    const keymap = await loadBindings(baseId, transaction);
    if (given.ticket) await refuseUnknown(base, given.ticket, transaction);
    const derived = given.ticket ? mustFit(base, keymap, given.ticket) : keymap;
    const made = await insertKeymap(
      {
        programId: base.program_id,
        versionId: base.version_id,
        name: given.name,
        owner: given.owner,
        keymap: derived,
        tape: given.ticket ? [given.ticket] : [],
      },
      now(),
      transaction,
    );
    const theirs = await loadBindings(given.source, transaction);
    const derivation: Derivation = { plan, derived: rowsOf(derived), theirs: rowsOf(theirs) };
    await writeDerivation(made.id, given.source, JSON.stringify(derivation), transaction);
    await change('UPDATE keymaps SET last_used_at = :now WHERE id = :id', { now: now(), id: made.id }, transaction);
    return draftState(made, made.cursor, []);
  });
}

/** Remembers that a keymap was derived again: what it was derived to, and what the source was then. */
export async function saveDerivation(keymapId: number, derivation: Derivation): Promise<void> {
  const came = await loadDerivation(keymapId);
  if (!came) throw new Problem('not found', 'This keymap was not derived from another.');
  await inTransaction((transaction) => writeDerivation(keymapId, came.source, JSON.stringify(derivation), transaction));
}

/** The keymaps asked for, else the one used last of every program on the Shelf, to be compared all at once. */
export const loadPrograms = ofOneMoment(async function loadPrograms(asked: readonly string[]): Promise<ProgramsView> {
  const links = await listLinks();
  const chosen = [...new Set(asked)].flatMap(
    (address) => links.find((one) => `${one.program}/${one.keymap}` === address) ?? [],
  );
  const usual = (await listPrograms())
    .filter((one) => one.put_away_at === null)
    .flatMap((program) => {
      const own = links.filter((one) => one.program === program.slug);
      return own.find((one) => !one.factory) ?? own[0] ?? [];
    });
  const list = chosen.length > 1 ? chosen : usual;
  const views = await Promise.all(list.map((one) => loadKeymapView(one.program, one.keymap)));
  const uses = await Promise.all(
    views.map(async ({ programSlug, draft }) =>
      Object.fromEntries(await loadUses((await findProgram(programSlug)).id, draft.owner)),
    ),
  );
  const programNames = Object.fromEntries(views.map((one) => [one.programSlug, one.program.name]));
  return { views, uses, said: await loadSaid(), programNames };
});
