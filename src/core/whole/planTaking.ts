import { dequal } from 'dequal';
import { addBelongings } from './belongings';
import { keymapStanding, programStanding, type Standing, wishesNothing, workspaceStanding } from './standing';
import {
  type As,
  besideName,
  type Fate,
  factsOf,
  familiar,
  KEPT_ROOM,
  stateOf,
  type Taken,
  type Taking,
  translator,
} from './taking';
import type { Uid, WholeContents, WholeKeymap, WholeProgram, WholeWorkspace } from './whole';

export type TakingWish = {
  /** What the things of the file are called after where one of the name is here. */
  readonly label: string;
  /** The keymaps that go on here as the file has them, where it only went further; others stand here twice. */
  readonly goOn: ReadonlySet<Uid>;
  /** The programs that stand here twice where the file's only went further; others go on here. */
  readonly apart: ReadonlySet<Uid>;
  /** The uids of all that is here, also of what is not looked at. */
  readonly taken: Iterable<Uid>;
  /** A uid that nothing has. */
  readonly newUid: () => Uid;
};

/**
 * What it takes to have all of a file beside all that is here: nothing here is changed, what is the same does not come in
 * again, and what was changed on both sides stands here twice, under names that say so. Done once more, it does nothing.
 */
export function planTaking(here: readonly WholeProgram[], there: readonly WholeProgram[], wish: TakingWish): Taking {
  const used = new Set(wish.taken);
  for (const one of here) for (const { uid } of [one, ...one.keymaps, ...one.workspaces]) used.add(uid);
  const naming: Naming = { wish, used };
  const paired = pairPrograms(here, there, naming);
  const withKeymaps = paired.map((one) => ({ ...one, keymaps: takeKeymaps(one, here, naming) }));
  const becomes = new Map(
    withKeymaps.flatMap((one) => [one, ...one.keymaps].map(({ thing, as }) => [thing.uid, as.uid] as const)),
  );
  const translated = translator(becomes);
  const alike = familiar(here, withKeymaps);
  const programs = withKeymaps.map((one) => ({
    ...one,
    workspaces: takeWorkspaces(one, here, naming, (contents) => alike(translated(contents)), alike),
  }));
  for (const { thing, as } of programs.flatMap((one) => one.workspaces)) becomes.set(thing.uid, as.uid);
  return { programs, belongings: addBelongings(programs, here, { becomes, alike, label: wish.label }) };
}

type Naming = { readonly wish: TakingWish; readonly used: Set<Uid> };

/** The marks of something that comes in: its own, unless they are taken here. */
function marks({ uid, kin }: { readonly uid: Uid; readonly kin: Uid }, { wish, used }: Naming): Omit<As, 'name'> {
  const own = used.has(uid) ? wish.newUid() : uid;
  used.add(own);
  return { uid: own, kin };
}

/** Of two that may be the same, what has its marks goes before what is only called so. */
const nearness = (a: As, b: As): number => (a.uid === b.uid ? 2 : a.kin === b.kin ? 1 : 0);

const BEST: readonly Standing[] = ['same', 'further here', 'further there', 'differs'];
/** Whether what is here lacks something of what a file has. */
const lacks = (standing: Standing): boolean => standing === 'further there' || standing === 'differs';
/** Of several here the one that has most of what a file has. */
function closest<Thing>(some: readonly Thing[], standingOf: (one: Thing) => Standing) {
  const all = some.map((one) => ({ one, standing: standingOf(one) }));
  return all.sort((a, b) => BEST.indexOf(a.standing) - BEST.indexOf(b.standing))[0];
}

type Pair = Taken<WholeProgram>;

function pairPrograms(here: readonly WholeProgram[], there: readonly WholeProgram[], naming: Naming): Pair[] {
  const named: Pick<WholeProgram, 'name' | 'version'>[] = [...here];
  const taken = new Set<Uid>();
  let now = here;
  return there.map((program): Pair => {
    const called = now.filter((one) => one.kin === program.kin || one.name === program.name);
    // One that nothing of the file is yet goes before, and of these the one that it was; then one with the very list.
    const free = called.filter((one) => !taken.has(one.uid));
    const alike = now.filter((one) => !taken.has(one.uid) && dequal(one.facts, program.facts));
    const order = [...new Set([...free.filter((one) => one.kin === program.kin), ...free, ...alike, ...called])];
    const found = closest(order, (one) => programStanding(one, program));
    const further = found?.standing === 'further there';
    if (found && found.standing !== 'differs' && !(further && naming.wish.apart.has(program.uid))) {
      taken.add(found.one.uid);
      const { uid, kin, name } = found.one;
      const fate = found.standing === 'further there' ? 'goes on' : found.standing;
      // The next of the file meets it as it is then.
      if (further) now = now.map((one) => (one.uid === uid ? { ...one, ...factsOf(program) } : one));
      return { thing: program, fate, here: uid, as: { uid, kin, name }, further };
    }
    const { name, version } = program;
    const names = new Set(named.filter((one) => one.version === version).map((one) => one.name));
    const as = { ...marks(program, naming), name: besideName(name, naming.wish.label, names) };
    named.push({ name: as.name, version });
    return {
      thing: program,
      fate: names.has(name) ? 'twice' : 'new',
      here: found?.one.uid ?? null,
      as,
      further,
    };
  });
}

/** The program here that a program of a file is; none where it comes in. */
const standsHere = ({ fate, here }: Pair, all: readonly WholeProgram[]): WholeProgram | undefined =>
  fate === 'new' || fate === 'twice' ? undefined : all.find((one) => one.uid === here);

function takeKeymaps(pair: Pair, all: readonly WholeProgram[], naming: Naming): Taken<WholeKeymap>[] {
  const home = standsHere(pair, all);
  return takeThings(pair.thing.keymaps, home?.keymaps ?? [], naming, {
    mayBe: (mine, theirs) => mine.factory === theirs.factory && (mine.factory || mayBeOne(mine, theirs)),
    // The factory's keymap is the program's own, which was compared with the list.
    standing: (mine, theirs) => (mine.factory ? 'same' : keymapStanding(mine, theirs)),
    hasAll: (mine, theirs) => wishesNothing(theirs.wishes) || dequal(mine.wishes, theirs.wishes),
    goesOn: (mine, theirs) => !mine.locked && naming.wish.goOn.has(theirs.uid),
    // A second one is held against what the first makes of the one here.
    joined: (mine, theirs, fate) => ({
      ...mine,
      ...(fate === 'goes on' ? stateOf(theirs) : {}),
      wishes: wishesNothing(mine.wishes) ? theirs.wishes : mine.wishes,
    }),
  });
}

function takeWorkspaces(
  pair: Pair,
  all: readonly WholeProgram[],
  naming: Naming,
  theirs: (contents: WholeContents) => WholeContents,
  mine: (contents: WholeContents) => WholeContents,
): Taken<WholeWorkspace>[] {
  const home = standsHere(pair, all);
  // How somebody's room stood that is that room here.
  const stands = ({ kin, owner, versions: [only] }: WholeWorkspace): boolean =>
    kin.startsWith(KEPT_ROOM) &&
    !!only &&
    (home?.rooms ?? []).some((room) => room.person === owner && dequal(mine(room.contents), theirs(only.contents)));
  const coming = pair.thing.workspaces.filter((one) => !stands(one));
  return takeThings(coming, home?.workspaces ?? [], naming, {
    mayBe: mayBeOne,
    standing: (one, other) => workspaceStanding(one, other, mine, theirs),
    hasAll: () => true,
    goesOn: () => false,
    joined: (mine) => mine,
  });
}

/** Whether two may be the same, or one somebody's second: by their marks, else by what they are called and whose they are. */
const mayBeOne = (mine: As & Owned, theirs: As & Owned): boolean =>
  mine.uid === theirs.uid || mine.kin === theirs.kin || (mine.name === theirs.name && mine.owner === theirs.owner);
type Owned = { readonly owner: string };

type Rules<Thing> = {
  readonly mayBe: (mine: Thing, theirs: Thing) => boolean;
  readonly standing: (mine: Thing, theirs: Thing) => Standing;
  /** Whether one that is the same need not get anything: of several, it goes before what would. */
  readonly hasAll: (mine: Thing, theirs: Thing) => boolean;
  readonly goesOn: (mine: Thing, theirs: Thing) => boolean;
  /** The one here with what one of the file that is the same brings. */
  readonly joined: (mine: Thing, theirs: Thing, fate: Fate) => Thing;
};

function takeThings<Thing extends As>(
  theirs: readonly Thing[],
  mine: readonly Thing[],
  naming: Naming,
  { mayBe, standing, hasAll, goesOn, joined }: Rules<Thing>,
): Taken<Thing>[] {
  const names = new Set(mine.map((one) => one.name));
  let now = mine;
  return theirs.map((thing): Taken<Thing> => {
    // Whatever has all of it already will do: of several that need not get anything, the one that it was.
    const [found] = now
      .filter((one) => mayBe(one, thing))
      .map((one) => ({ one, standing: standing(one, thing) }))
      .sort(
        (a, b) =>
          Number(lacks(a.standing)) - Number(lacks(b.standing)) ||
          Number(hasAll(b.one, thing)) - Number(hasAll(a.one, thing)) ||
          nearness(b.one, thing) - nearness(a.one, thing) ||
          BEST.indexOf(a.standing) - BEST.indexOf(b.standing),
      );
    const further = found?.standing === 'further there';
    const fate: Fate = !found
      ? 'new'
      : found.standing === 'same' || found.standing === 'further here'
        ? found.standing
        : further && goesOn(found.one, thing)
          ? 'goes on'
          : 'twice';
    if (found && fate !== 'twice' && fate !== 'new') {
      const { uid, kin, name } = found.one;
      now = now.map((one) => (one.uid === uid ? joined(one, thing, fate) : one));
      return { thing, fate, here: uid, as: { uid, kin, name }, further };
    }
    const name = besideName(thing.name, naming.wish.label, names);
    names.add(name);
    // What was made apart under one name is of one kin from now on.
    const known = mine.some((one) => one.uid === thing.uid || one.kin === thing.kin);
    const kin = known ? thing.kin : (found?.one.kin ?? thing.kin);
    const { uid } = marks(thing, naming);
    return { thing, fate, here: found?.one.uid ?? null, as: { uid, kin, name }, further };
  });
}
