import { type Belongings, factsOf, type Of, stateOf, type Taking, translator } from './taking';
import type { Uid, WholeProgram, WholeWorkspace } from './whole';

/** All that is here once a file is taken in; what is stored has to become the same. @param newUid for what had none. */
export function applyTaking(
  here: readonly WholeProgram[],
  { programs, belongings }: Taking,
  newUid: () => Uid,
): readonly WholeProgram[] {
  const all = new Map(here.map((one) => [one.uid, one]));
  const becomes = new Map(
    programs.flatMap((one) => one.workspaces.map(({ thing, as }) => [thing.uid, as.uid] as const)),
  );
  for (const one of programs) for (const { thing, as } of [one, ...one.keymaps]) becomes.set(thing.uid, as.uid);
  const translated = translator(becomes);
  for (const { thing, fate, as, keymaps, workspaces } of programs) {
    const comes = fate === 'new' || fate === 'twice';
    const home = all.get(as.uid) ?? { ...thing, ...as, keymaps: [], workspaces: [], ...NOTHING_OF_A_PROGRAM };
    const own = new Map((comes ? [] : home.keymaps).map((one) => [one.uid, one]));
    for (const taken of keymaps) {
      const { uid } = taken.as;
      const before = own.get(uid);
      if (taken.fate === 'goes on' && before) own.set(uid, { ...before, ...stateOf(taken.thing) });
      if (!before) own.set(uid, { ...taken.thing, ...taken.as, ...NOTHING_OF_A_KEYMAP });
    }
    const made = workspaces
      .filter((one) => one.fate === 'new' || one.fate === 'twice')
      .map((one): WholeWorkspace => {
        const versions = one.thing.versions.map((version) => ({ ...version, contents: translated(version.contents) }));
        return { ...one.thing, ...one.as, versions };
      });
    const facts = fate === 'goes on' ? factsOf(thing) : {};
    all.set(as.uid, { ...home, ...facts, keymaps: [...own.values()], workspaces: [...home.workspaces, ...made] });
  }
  return [...all.values()].map((one) => withBelongings(one, belongings, newUid));
}

const NOTHING_OF_A_PROGRAM = {
  ...{ rooms: [], uses: [], chosen: [], counterparts: [], forms: [], sources: [] },
  succession: null,
};
const NOTHING_OF_A_KEYMAP = { wishes: null, sheets: [], ticks: [], plans: [], derivation: null, moves: [] };

function withBelongings(program: WholeProgram, given: Belongings, newUid: () => Uid): WholeProgram {
  const stood = given.stood
    .filter((one) => one.of === program.uid)
    .map(({ kin, name, person, contents }): WholeWorkspace => {
      const times = { putAwayAt: null, lastUsedAt: null, createdAt: '' };
      return { uid: newUid(), kin, name, owner: person, ...times, versions: [{ contents, keptAt: '' }] };
    });
  return {
    ...program,
    uses: [...program.uses, ...of(given.uses, program.uid)],
    chosen: [...program.chosen, ...of(given.chosen, program.uid)],
    counterparts: [...program.counterparts, ...of(given.counterparts, program.uid)],
    forms: [...program.forms, ...of(given.forms, program.uid)],
    sources: [...program.sources, ...of(given.sources, program.uid)],
    rooms: [...program.rooms, ...of(given.rooms, program.uid)],
    workspaces: [...program.workspaces, ...stood],
    succession: of(given.successions, program.uid)[0] ?? program.succession,
    keymaps: program.keymaps.map((one) => ({
      ...one,
      wishes: of(given.wishes, one.uid)[0]?.wishes ?? one.wishes,
      sheets: [...one.sheets, ...of(given.sheets, one.uid)],
      ticks: [...one.ticks, ...of(given.ticks, one.uid)],
      plans: [...one.plans, ...of(given.plans, one.uid)],
      derivation: of(given.derivations, one.uid)[0] ?? one.derivation,
      moves: [...one.moves, ...of(given.moves, one.uid)],
    })),
  };
}

/** What belongs to one of them. */
const of = <Thing extends object>(all: readonly Of<Thing>[], uid: Uid): Thing[] =>
  all.filter((one) => one.of === uid).map(({ of: _, ...one }) => one as unknown as Thing);
