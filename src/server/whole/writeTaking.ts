import type { Transaction } from 'sequelize';
import type { SheetSpec } from '../../core/sheet/sheetSpec';
import { slugs } from '../../core/text/slug';
import { type As, type Belongings, type Taking, translator } from '../../core/whole/taking';
import type { Uid, WholeContents, WholeKeymap, WholeProgram, WholeWorkspace } from '../../core/whole/whole';
import type { Workspace } from '../../core/workspace/room';
import { now } from '../clock';
import type { Models } from '../models/models';
import { revisionOf, writeRevision } from '../repositories/inStep';
import { advance, freeSlug, insertKeymapState, keymapById, ticketsAside } from '../repositories/keymaps';
import { insertCommands, writeFacts } from '../repositories/programs';
import { insertMany } from '../repositories/rows';

/** Where things are stored: their numbers by their uids. */
type Numbers = {
  readonly programs: Map<Uid, number>;
  readonly keymaps: Map<Uid, number>;
  readonly workspaces: Map<Uid, number>;
};
type Store = { readonly models: Models; readonly numbers: Numbers; readonly transaction: Transaction };
const OWN = { raw: true } as const;

/** Stores what a taking adds to what is here, within one transaction. */
export async function writeTaking(
  models: Models,
  { programs, belongings }: Taking,
  transaction: Transaction,
): Promise<void> {
  const numbered = async (kind: Models['Program'] | Models['Keymap'] | Models['Workspace']) =>
    new Map(
      (await (kind as Models['Program']).findAll({ attributes: ['id', 'uid'], ...OWN, transaction })).map(
        ({ id, uid }) => [uid, id],
      ),
    );
  const numbers: Numbers = {
    programs: await numbered(models.Program),
    keymaps: await numbered(models.Keymap),
    workspaces: await numbered(models.Workspace),
  };
  const store: Store = { models, numbers, transaction };
  // What workspaces of a file name as their keymap may be called otherwise here.
  const becomes = new Map<Uid, Uid>();
  for (const { thing, fate, as, keymaps } of programs) {
    const versionId =
      fate === 'new' || fate === 'twice' ? await insertProgram(store, thing, as) : await versionOf(store, as.uid);
    if (fate === 'goes on') await goOn(store, versionId, thing);
    for (const one of keymaps) {
      becomes.set(one.thing.uid, one.as.uid);
      if (one.fate === 'new' || one.fate === 'twice') await insertKeymap(store, as.uid, versionId, one.thing, one.as);
      else if (one.fate === 'goes on') await writeState(store, one.as.uid, one.thing);
    }
  }
  const renamed = translator(becomes);
  for (const { as, workspaces } of programs)
    for (const one of workspaces) {
      if (one.fate !== 'new' && one.fate !== 'twice') continue;
      const versions = one.thing.versions.map((version) => ({
        ...version,
        contents: renamed(version.contents),
      }));
      await insertWorkspace(store, as.uid, { ...one.thing, ...one.as, versions });
    }
  await writeBelongings(store, belongings);
}

const numberOf = (of: ReadonlyMap<Uid, number>, uid: Uid): number => of.get(uid) ?? 0;

async function insertProgram(
  { models, numbers, transaction }: Store,
  program: WholeProgram,
  { uid, kin, name }: As,
): Promise<number> {
  const taken = await models.Program.findAll({ attributes: ['slug'], ...OWN, transaction });
  const slug = slugs(taken.map((one) => one.slug))(name, program.version);
  const { putAwayAt, createdAt, version: label, facts, steps } = program;
  const { id } = await models.Program.create(
    { uid, kin: kinOf(uid, kin), slug, name, putAwayAt, createdAt },
    { transaction },
  );
  numbers.programs.set(uid, id);
  const { contexts, rules, commands } = facts;
  const version = await models.Version.create({ programId: id, label, contexts, rules, createdAt }, { transaction });
  await insertCommands(version.id, commands, transaction);
  await insertSteps({ models, numbers, transaction }, version.id, steps);
  return version.id;
}

/** Whose second it is; nobody's where that is itself. */
const kinOf = (uid: Uid, kin: Uid): Uid | null => (kin === uid ? null : kin);

async function insertSteps(
  { models, transaction }: Store,
  versionId: number,
  steps: WholeProgram['steps'],
): Promise<void> {
  await insertMany(
    models.ProgramStep,
    steps.map((one, i) => ({ ...one, versionId, number: i + 1 })),
    transaction,
  );
}

async function versionOf({ models, numbers, transaction }: Store, program: Uid): Promise<number> {
  const where = { programId: numberOf(numbers.programs, program), factory: true };
  const factory = await models.Keymap.findOne({ attributes: ['versionId'], where, transaction });
  return factory?.versionId ?? 0;
}

/** A list as the file has it, which only went further. */
async function goOn(store: Store, versionId: number, { facts, steps }: WholeProgram): Promise<void> {
  await writeFacts(versionId, facts, store.transaction);
  await store.models.ProgramStep.destroy({ where: { versionId }, transaction: store.transaction });
  await insertSteps(store, versionId, steps);
}

async function insertKeymap(
  store: Store,
  program: Uid,
  versionId: number,
  keymap: WholeKeymap,
  { uid, kin, name }: As,
): Promise<void> {
  const { models, numbers, transaction } = store;
  const programId = numberOf(numbers.programs, program);
  const { owner, factory, unnamed, locked, cursor, putAwayAt, lastUsedAt, createdAt } = keymap;
  const slug = await freeSlug(programId, name, transaction);
  const { id } = await models.Keymap.create(
    {
      ...{ uid, kin: kinOf(uid, kin), programId, versionId, slug, name, owner, factory, unnamed, locked, cursor },
      ...{ revision: 1, leftAside: ticketsAside(keymap), putAwayAt, lastUsedAt, createdAt },
    },
    { transaction },
  );
  numbers.keymaps.set(uid, id);
  await insertKeymapState(id, keymap, transaction);
}

/** A keymap as the file has it, which only went further. */
async function writeState(store: Store, uid: Uid, keymap: WholeKeymap): Promise<void> {
  const { models, numbers, transaction } = store;
  const row = await keymapById(numberOf(numbers.keymaps, uid), transaction);
  await advance(row, keymap.cursor, transaction, ticketsAside(keymap));
  const where = { keymapId: row.id };
  const { Binding, Spare, Ticket, Revision, LeftAside } = models;
  await Binding.destroy({ where, transaction });
  await Spare.destroy({ where, transaction });
  await Ticket.destroy({ where, transaction });
  await Revision.destroy({ where, transaction });
  await LeftAside.destroy({ where, transaction });
  await insertKeymapState(row.id, keymap, transaction);
}

/** A workspace's parts with the number of its keymap. */
function numbered({ keymap, ...rest }: WholeContents, { keymaps }: Numbers): Workspace {
  if (keymap === undefined) return rest;
  return { ...rest, keymap: keymap === null ? null : (keymaps.get(keymap) ?? null) };
}

async function insertWorkspace(
  { models, numbers, transaction }: Store,
  program: Uid,
  { uid, kin, name, owner, putAwayAt, lastUsedAt, createdAt, versions }: WholeWorkspace,
): Promise<void> {
  const programId = numberOf(numbers.programs, program);
  const taken = await models.Workspace.findAll({ attributes: ['slug'], where: { programId }, ...OWN, transaction });
  const slug = slugs(taken.map((one) => one.slug))(name);
  const { id } = await models.Workspace.create(
    { uid, kin: kinOf(uid, kin), programId, slug, name, owner, putAwayAt, lastUsedAt, createdAt },
    { transaction },
  );
  numbers.workspaces.set(uid, id);
  const rows = versions.map(({ contents, keptAt }, i) => {
    return { workspaceId: id, number: i + 1, contents: numbered(contents, numbers), keptAt };
  });
  await insertMany(models.WorkspaceVersion, rows, transaction);
}

/** Stores what belongs to programs and keymaps, and counts a change of each thing that windows may show. */
async function writeBelongings(store: Store, given: Belongings): Promise<void> {
  const { models, numbers, transaction } = store;
  const [program, keymap] = [
    (one: { of: Uid }) => numberOf(numbers.programs, one.of),
    (one: { of: Uid }) => numberOf(numbers.keymaps, one.of),
  ];
  const keymapOrNone = (uid: Uid): number => numberOf(numbers.keymaps, uid);
  const changed = new Set<string>();
  const note = <Row>(row: Row, thing: string): Row => {
    changed.add(thing);
    return row;
  };
  await insertSheets(store, given.sheets, changed);
  for (const { of, wishes: contents } of given.wishes) {
    const keymapId = keymap({ of });
    await models.WishList.upsert(note({ keymapId, contents }, `wishes ${keymapId}`), { transaction });
  }
  const ticks = given.ticks.map((one) => {
    const [keymapId, fromId] = [keymap(one), keymapOrNone(one.from)];
    return note({ keymapId, fromId, ticks: one.ticks }, `ticks ${keymapId} ${fromId}`);
  });
  await insertMany(models.EntryTicks, ticks, transaction);
  const plans = given.plans.map(({ contents, changedAt, ...one }) => {
    const [keymapId, sourceId] = [keymap(one), keymapOrNone(one.source)];
    return note({ keymapId, sourceId, contents, changedAt }, `match ${keymapId} ${sourceId}`);
  });
  await insertMany(models.MatchPlan, plans, transaction);
  const derivations = given.derivations.map(({ contents, ...one }) => {
    const keymapId = keymap(one);
    return note({ keymapId, sourceId: keymapOrNone(one.source), contents }, `derivation ${keymapId}`);
  });
  await insertMany(models.Derivation, derivations, transaction);
  const uses = given.uses.map((one) => {
    const { owner, command, perDay } = one;
    return note({ programId: program(one), owner, command, perDay }, `uses ${program(one)} ${owner}`);
  });
  await insertMany(models.Use, uses, transaction);
  const chosen = given.chosen.map((one) => {
    const { person, words, command, chosenAt } = one;
    return note({ programId: program(one), person, words, command, chosenAt }, `chosen ${program(one)} ${person}`);
  });
  await insertMany(models.Chosen, chosen, transaction);
  const said = given.counterparts.map((one) => {
    const { command, counterpart, saidAt } = one;
    const otherId = numberOf(numbers.programs, one.other);
    return note({ programId: program(one), command, otherId, counterpart, saidAt }, 'counterparts');
  });
  await insertMany(models.SaidCounterpart, said, transaction);
  const forms = given.forms.map((one) => {
    const { form, putAwayAt, createdAt } = one;
    return note({ programId: program(one), form, putAwayAt, createdAt }, `forms ${program(one)}`);
  });
  await insertMany(models.OwnFormRow, forms, transaction);
  await insertRoomsAndRest(store, given);
  for (const thing of changed) await writeRevision(thing, (await revisionOf(thing)) + 1, transaction);
}

async function insertRoomsAndRest(store: Store, given: Belongings): Promise<void> {
  const { models, numbers, transaction } = store;
  const program = (one: { of: Uid }): number => numberOf(numbers.programs, one.of);
  for (const one of given.sources) {
    const { of: _, bytes, ...rest } = one;
    const of = { programId: program(one), versionId: await versionOf(store, one.of) };
    await models.SourceFile.create({ ...rest, ...of, bytes: Buffer.from(bytes) }, { transaction });
  }
  const workspace = (uid: Uid | null): number | null => (uid === null ? null : (numbers.workspaces.get(uid) ?? null));
  for (const one of given.rooms) {
    const { person, cursor, steps } = one;
    const contents = numbered(one.contents, numbers);
    const room = {
      programId: program(one),
      person,
      contents,
      workspaceId: workspace(one.workspace),
      revision: steps.length,
      cursor,
    };
    const { id: roomId } = await models.Room.create(room, { transaction });
    const rows = steps.map(({ title, before, after, workspaces: [was, is], createdAt }, i) => ({
      ...{ roomId, position: i + 1, title, createdAt, workspaceBefore: workspace(was), workspaceAfter: workspace(is) },
      ...{ before: numbered(before, numbers), after: numbered(after, numbers) },
    }));
    await insertMany(models.RoomStep, rows, transaction);
  }
  for (const { of, kin, name, person, contents } of given.stood) {
    const times = { putAwayAt: null, lastUsedAt: null, createdAt: now() };
    const versions = [{ contents, keptAt: times.createdAt }];
    await insertWorkspace(store, of, { uid: crypto.randomUUID(), kin, name, owner: person, ...times, versions });
  }
  for (const { of, from, said, createdAt } of given.successions) {
    const row = { programId: program({ of }), fromId: numberOf(numbers.programs, from), said, createdAt };
    await models.Succession.create(row, { transaction });
  }
  const moves = given.moves.map(({ of, to, answers, made }) => ({
    ...{ keymapId: numberOf(numbers.keymaps, of), programId: numberOf(numbers.programs, to), answers },
    madeId: made === null ? null : (numbers.keymaps.get(made) ?? null),
  }));
  await insertMany(models.Move, moves, transaction);
}

async function insertSheets(store: Store, sheets: Belongings['sheets'], changed: Set<string>): Promise<void> {
  const { models, numbers, transaction } = store;
  const addresses = await addressesOf(store);
  for (const { of, name, contents, putAwayAt, createdAt } of sheets) {
    const keymapId = numberOf(numbers.keymaps, of);
    const taken = await models.Sheet.findAll({ attributes: ['slug'], where: { keymapId }, ...OWN, transaction });
    const slug = slugs(taken.map((one) => one.slug))(name);
    const own: SheetSpec = {
      ...contents,
      base: addresses.get(contents.base)?.split('/')[1] ?? '',
      programs: contents.programs.flatMap((uid) => addresses.get(uid) ?? []),
    };
    await models.Sheet.create({ keymapId, slug, name, contents: own, putAwayAt, createdAt }, { transaction });
    changed.add(`sheets ${keymapId}`);
  }
}

/** The addresses of keymaps, as `program/keymap`, by their uids. */
async function addressesOf({ models, transaction }: Store): Promise<ReadonlyMap<Uid, string>> {
  const programs = await models.Program.findAll({ attributes: ['id', 'slug'], ...OWN, transaction });
  const slugOf = new Map(programs.map((one) => [one.id, one.slug]));
  const keymaps = await models.Keymap.findAll({ attributes: ['uid', 'slug', 'programId'], ...OWN, transaction });
  return new Map(keymaps.map((one) => [one.uid, `${slugOf.get(one.programId)}/${one.slug}`]));
}
