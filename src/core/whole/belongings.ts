import { dequal } from 'dequal';
import { wishesNothing } from './standing';
import {
  type Belongings,
  besideName,
  KEPT_ROOM,
  type Of,
  type Staying,
  type Taken,
  type TakenProgram,
  translator,
} from './taking';
import type { Uid, WholeContents, WholeKeymap, WholeProgram, WholeSaid, WholeSource } from './whole';

/** What the uids of a file are here, contents with what they are compared by, and what the file is called. */
type Ground = {
  readonly becomes: ReadonlyMap<Uid, Uid>;
  readonly alike: (contents: WholeContents) => WholeContents;
  readonly label: string;
  /** What is said of counterparts, by the sides it is said of. */
  readonly said: Map<string, string>;
};
type Draft = { -readonly [Key in keyof Omit<Belongings, 'stays'>]: Belongings[Key][number][] } & {
  stays: Record<Staying, number>;
};
const nothing = (): Draft => ({
  ...{ sheets: [], wishes: [], ticks: [], plans: [], derivations: [], moves: [], uses: [], chosen: [] },
  ...{ counterparts: [], forms: [], sources: [], rooms: [], stood: [], successions: [] },
  stays: { wishes: 0, ticks: 0, plans: 0, derivations: 0, uses: 0, chosen: 0, counterparts: 0, successions: 0 },
});

/** What belongs to programs and keymaps of a file and is not here yet. */
export function addBelongings(
  programs: readonly TakenProgram[],
  here: readonly WholeProgram[],
  given: Omit<Ground, 'said'>,
): Belongings {
  const all = nothing();
  const said = here.flatMap(({ uid, counterparts }) =>
    counterparts.flatMap((one) => sidesOf(uid, one).map((side) => [side, meaningOf(uid, one)] as const)),
  );
  const ground: Ground = { ...given, said: new Map(said) };
  const keymapsHere = new Map(here.flatMap((one) => one.keymaps.map((keymap) => [keymap.uid, keymap] as const)));
  const programsHere = new Map(here.map((one) => [one.uid, one]));
  for (const program of programs) {
    ofProgram(all, program, programsHere.get(program.as.uid), ground);
    for (const keymap of program.keymaps) ofKeymap(all, keymap, keymapsHere.get(keymap.as.uid), ground);
  }
  return all;
}

/**
 * Adds what is not there; what is there otherwise stays. @returns how much that is.
 * @param keyOf what tells one from the others of its sort. @param what it says.
 */
function add<Thing extends object>(
  all: Of<Thing>[],
  of: Uid,
  theirs: readonly Thing[],
  mine: readonly Thing[],
  keyOf: (thing: Thing) => string,
  what: (thing: Thing) => unknown,
): number {
  const there = new Map(mine.map((one) => [keyOf(one), one]));
  for (const one of all) if (one.of === of) there.set(keyOf(one), one);
  let stay = 0;
  for (const thing of theirs) {
    const [key, own] = [keyOf(thing), { ...thing, of }];
    const found = there.get(key);
    if (!found) {
      all.push(own);
      there.set(key, own);
    } else if (!dequal(what(found), what(thing))) stay++;
  }
  return stay;
}

function ofKeymap(
  all: Draft,
  { thing, as: { uid: of } }: Taken<WholeKeymap>,
  mine: WholeKeymap | undefined,
  ground: Ground,
): void {
  const { stays } = all;
  const now = (uid: Uid): Uid => ground.becomes.get(uid) ?? '';
  if (thing.wishes !== null && !wishesNothing(thing.wishes)) {
    if (wishesNothing(mine?.wishes ?? null)) all.wishes.push({ of, wishes: thing.wishes });
    else if (!dequal(mine?.wishes, thing.wishes)) stays.wishes++;
  }
  addSheets(all, of, thing, mine, ground);
  const ticks = thing.ticks.map((one) => ({ ...one, from: now(one.from) })).filter((one) => one.from !== '');
  stays.ticks += add(
    all.ticks,
    of,
    ticks,
    mine?.ticks ?? [],
    (one) => one.from,
    (one) => [...one.ticks].sort(),
  );
  const plans = thing.plans.map((one) => ({ ...one, source: now(one.source) })).filter((one) => one.source !== '');
  stays.plans += add(
    all.plans,
    of,
    plans,
    mine?.plans ?? [],
    (one) => one.source,
    (one) => one.contents,
  );
  const derived = [thing.derivation].flatMap((one) =>
    one && now(one.source) !== '' ? [{ ...one, source: now(one.source) }] : [],
  );
  const before = mine?.derivation ? [mine.derivation] : [];
  stays.derivations += add(
    all.derivations,
    of,
    derived,
    before,
    () => '',
    (one) => one,
  );
  const moves = thing.moves
    .map((one) => ({ ...one, to: now(one.to), made: one.made === null ? null : now(one.made) || null }))
    .filter((one) => one.to !== '');
  add(
    all.moves,
    of,
    moves,
    mine?.moves ?? [],
    (one) => one.to,
    () => null,
  );
}

/** Sheets come in unless one of the name is just so; else under a name that says where they are from. */
function addSheets(
  all: Draft,
  of: Uid,
  thing: WholeKeymap,
  mine: WholeKeymap | undefined,
  { becomes, label }: Ground,
): void {
  const there = [...(mine?.sheets ?? [])];
  for (const sheet of thing.sheets) {
    const { base, programs } = sheet.contents;
    const now = (uid: Uid): Uid[] => (becomes.has(uid) ? [becomes.get(uid) as Uid] : []);
    const contents = { ...sheet.contents, base: now(base)[0] ?? '', programs: programs.flatMap(now) };
    if ((mine?.sheets ?? []).some((one) => bare(one.name) === bare(sheet.name) && dequal(one.contents, contents)))
      continue;
    const name = besideName(sheet.name, label, new Set(there.map((one) => one.name)));
    const one = { ...sheet, name, contents };
    there.push(one);
    all.sheets.push({ ...one, of });
  }
}

/** A name without what says where it is from. */
const bare = (name: string): string => name.replace(/ \([^()]{1,60}\)$/u, '');

function ofProgram(
  all: Draft,
  { thing, as: { uid: of }, workspaces }: TakenProgram,
  mine: WholeProgram | undefined,
  ground: Ground,
): void {
  const { stays } = all;
  stays.uses += add(
    all.uses,
    of,
    thing.uses,
    mine?.uses ?? [],
    (one) => JSON.stringify([one.owner, one.command]),
    (one) => one.perDay,
  );
  stays.chosen += add(
    all.chosen,
    of,
    thing.chosen,
    mine?.chosen ?? [],
    (one) => JSON.stringify([one.person, one.words]),
    (one) => one.command,
  );
  addSaid(all, of, thing.counterparts, ground);
  add(
    all.forms,
    of,
    thing.forms,
    mine?.forms ?? [],
    (one) => JSON.stringify(one.form),
    () => null,
  );
  for (const source of thing.sources)
    if (
      ![...(mine?.sources ?? []), ...all.sources.filter((one) => one.of === of)].some((one) => sameSource(one, source))
    )
      all.sources.push({ ...source, of });
  addRooms(all, of, { thing, workspaces }, mine, ground);
  const from = thing.succession && ground.becomes.get(thing.succession.from);
  if (!thing.succession || !from || from === of) return;
  if (!mine?.succession) all.successions.push({ ...thing.succession, from, of });
  else if (mine.succession.from !== from || !dequal(mine.succession.said, thing.succession.said)) stays.successions++;
}

/** What was said of counterparts, which may have been said from either side. */
function addSaid(all: Draft, of: Uid, theirs: readonly WholeSaid[], { becomes, said }: Ground): void {
  for (const one of theirs) {
    const other = becomes.get(one.other);
    if (other === undefined) continue;
    const own = { ...one, other, of };
    const [sides, meaning] = [sidesOf(of, own), meaningOf(of, own)];
    const found = sides.flatMap((side) => said.get(side) ?? []);
    if (found.length === 0) {
      all.counterparts.push(own);
      for (const side of sides) said.set(side, meaning);
    } else if (found.some((before) => before !== meaning)) all.stays.counterparts++;
  }
}
/** Of which commands, toward which programs, something is said. */
const sidesOf = (program: Uid, { command, other, counterpart }: WholeSaid): string[] => [
  JSON.stringify([program, command, other]),
  ...(counterpart === null ? [] : [JSON.stringify([other, counterpart, program])]),
];
const meaningOf = (program: Uid, { command, other, counterpart }: WholeSaid): string =>
  JSON.stringify(
    counterpart === null
      ? [program, command, other]
      : [
          [program, command],
          [other, counterpart],
        ].sort(),
  );

const sameSource = (a: WholeSource, b: WholeSource): boolean =>
  a.name === b.name &&
  dequal(a.bytes, b.bytes) &&
  dequal([a.choices, a.corrections, a.said], [b.choices, b.corrections, b.said]);

/** Rooms of people who have none here; those that stand otherwise are kept as workspaces. */
function addRooms(
  all: Draft,
  of: Uid,
  { thing, workspaces }: Pick<TakenProgram, 'thing' | 'workspaces'>,
  mine: WholeProgram | undefined,
  { becomes, alike, label }: Ground,
): void {
  const translated = translator(becomes);
  const stands = (a: WholeContents, b: WholeContents): boolean => dequal(alike(a), alike(b));
  const workspace = (uid: Uid | null): Uid | null => (uid === null ? null : (becomes.get(uid) ?? null));
  const names = new Set([...(mine?.workspaces ?? []).map((one) => one.name), ...workspaces.map((one) => one.as.name)]);
  for (const room of thing.rooms) {
    const own = mine?.rooms.find((one) => one.person === room.person);
    const contents = translated(room.contents);
    if (!own) {
      const steps = room.steps.map(({ before, after, workspaces: [was, is], ...rest }) => {
        return {
          ...rest,
          before: translated(before),
          after: translated(after),
          workspaces: [workspace(was), workspace(is)] as const,
        };
      });
      all.rooms.push({ ...room, of, contents, workspace: workspace(room.workspace), steps });
      continue;
    }
    const kept = (mine?.workspaces ?? []).some(
      (one) => one.owner === room.person && one.versions.some((version) => stands(version.contents, contents)),
    );
    const comes = workspaces.some(({ thing: one, fate }) => {
      const last = one.versions.at(-1);
      return fate !== 'same' && one.owner === room.person && last && stands(translated(last.contents), contents);
    });
    if (stands(own.contents, contents) || kept || comes) continue;
    const name = besideName(`As it stood on ${label}`, label, names);
    names.add(name);
    all.stood.push({ of, kin: `${KEPT_ROOM} ${of}`, name, person: room.person, contents });
  }
}
