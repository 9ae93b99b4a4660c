import type { Said } from '../../core/counterpart/knownPairs';
import { type Lesson, lessonsOf } from '../../core/counterpart/lessons';
import { rowsOf } from '../../core/keymap/keymap';
import type { DraftState } from '../../core/keymap/keymapView';
import type { Ticket } from '../../core/keymap/ticket';
import type { CommandId } from '../../core/program/program';
import type { EditMark, Versioned } from '../../core/sync/versioned';
import type { Derivation, MatchPlan } from '../../core/transfer/matchPlan';
import type { MatchView, ProgramsView } from '../../core/transfer/matchView';
import type { KeymapLink } from '../../core/view/shelf';
import { Problem } from '../../schemas/problem';
import { now } from '../clock';
import { inTransaction, ofOneMoment } from '../database';
import { loadUses } from '../repositories/advice';
import { insertKeymap, keymapById, loadBindings, updateKeymap } from '../repositories/keymaps';
import {
  lastSource,
  loadDerivation,
  loadPlan,
  loadSaid,
  writeDerivation,
  writePlan,
  writeSaid,
} from '../repositories/match';
import { commandsNamed, findProgram, listPrograms } from '../repositories/programs';
import { draftState, mustFit, refuseUnknown } from './editKeymap';
import { editInStep, versioned } from './inStep';
import { listLinks, loadKeymapView, loadKeymapViewById } from './screens';

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
    : await usualSource(links, programSlug, owner, (await lastSource(id)) ?? came?.sourceId ?? null);
  const programs = await listPrograms();
  const said = await versioned(SAID);
  const base = {
    view,
    said,
    lessons: await lessonsFrom(said.value),
    programNames: Object.fromEntries(programs.map((one) => [one.slug, one.name])),
    uses: Object.fromEntries(await loadUses((await findProgram(programSlug)).id, owner)),
  };
  if (!source) return { ...base, theirs: null, usesThere: {}, plan: NONE, derivation: NONE };
  const there = await findProgram(source.programSlug);
  const told = await loadUses(there.id, source.draft.owner);
  return {
    ...base,
    theirs: source,
    usesThere: Object.fromEntries(told.size > 0 ? told : await loadUses(there.id, owner)),
    plan: await versioned(planOf(id, source.draft.id)),
    derivation: came?.sourceId === source.draft.id ? await versioned(derivationOf(id)) : NONE,
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
export async function savePlan(
  keymapId: number,
  source: number,
  plan: MatchPlan,
  mark: EditMark = {},
): Promise<Versioned<MatchPlan | null>> {
  await keymapById(keymapId);
  await keymapById(source);
  return editInStep(planOf(keymapId, source), mark, (transaction) => writePlan(keymapId, source, plan, transaction));
}

const planOf = (keymapId: number, source: number) => ({
  thing: `match ${keymapId} ${source}`,
  what: 'What is settled of this match was',
  read: () => loadPlan(keymapId, source),
});
/** What people said of counterparts, as a thing of one revision. */
export const SAID = { thing: 'counterparts', what: 'What was said of counterparts was', read: loadSaid };

/** What is learned of words from what was said of counterparts, in all programs. */
export async function lessonsFrom(said: readonly Said[]): Promise<readonly Lesson[]> {
  const pairs = said.filter((one) => one.counterpart !== null).slice(-MOST_LEARNED_FROM);
  if (pairs.length === 0) return [];
  const commandOf = await commandsNamed(
    pairs.flatMap(({ program, command, other, counterpart }) => [
      [program, command],
      [other, counterpart as CommandId],
    ]),
  );
  return lessonsOf(
    pairs.flatMap(({ program, command, other, counterpart }) => {
      const [one, two] = [commandOf(program, command), commandOf(other, counterpart as CommandId)];
      return one && two ? [[one, two] as const] : [];
    }),
  );
}
/** So much of what was said is learned from, the latest. */
const MOST_LEARNED_FROM = 2_000;

/** Stores, or forgets, what a person says of a command's counterpart in another program. */
export async function sayCounterpart(
  programSlug: string,
  command: string,
  otherSlug: string,
  counterpart: string | null | undefined,
  mark: EditMark = {},
): Promise<Versioned<readonly Said[]>> {
  const [program, other] = await Promise.all([findProgram(programSlug), findProgram(otherSlug)]);
  if (program.id === other.id) throw new Problem('not valid', 'A command has its counterpart in another program.');
  return editInStep(SAID, mark, (transaction) => writeSaid(program.id, command, other.id, counterpart, transaction));
}

const NONE = { revision: 0, value: null };
/** Where a keymap was derived from another. */
const derivationOf = (keymapId: number) => ({
  thing: `derivation ${keymapId}`,
  what: 'What this keymap was derived from was',
  read: async (): Promise<Derivation | null> => (await loadDerivation(keymapId))?.contents ?? null,
});

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
        programId: base.programId,
        versionId: base.versionId,
        name: given.name,
        owner: given.owner,
        keymap: derived,
        tape: given.ticket ? [given.ticket] : [],
      },
      transaction,
    );
    const theirs = await loadBindings(given.source, transaction);
    const derivation: Derivation = { plan, derived: rowsOf(derived), theirs: rowsOf(theirs) };
    await writeDerivation(made.id, given.source, derivation, transaction);
    await updateKeymap(made.id, { lastUsedAt: now() }, transaction);
    return draftState(made, made.cursor);
  });
}

/** Remembers that a keymap was derived again: what it was derived to, and what the source was then. */
export function saveDerivation(
  keymapId: number,
  derivation: Derivation,
  mark: EditMark = {},
): Promise<Versioned<Derivation | null>> {
  return editInStep(derivationOf(keymapId), mark, async (transaction) => {
    const came = await loadDerivation(keymapId);
    if (!came) throw new Problem('not found', 'This keymap was not derived from another.');
    await writeDerivation(keymapId, came.sourceId, derivation, transaction);
  });
}

/** The keymaps asked for, else the one used last of every program on the Shelf, to be compared all at once. */
export const loadPrograms = ofOneMoment(async function loadPrograms(asked: readonly string[]): Promise<ProgramsView> {
  const links = await listLinks();
  const chosen = [...new Set(asked)].flatMap(
    (address) => links.find((one) => `${one.program}/${one.keymap}` === address) ?? [],
  );
  const usual = (await listPrograms())
    .filter((one) => one.putAwayAt === null)
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
  const said = await versioned(SAID);
  return { views, uses, said, lessons: await lessonsFrom(said.value), programNames };
});
