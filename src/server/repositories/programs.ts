import type { Attributes, Transaction } from 'sequelize';
import type { Command, Program } from '../../core/program/program';
import { tellApart } from '../../core/program/tellApart';
import { slugs } from '../../core/text/slug';
import { Problem } from '../../schemas/problem';
import { now } from '../clock';
import { models, within } from '../models/models';
import type { Facts, ProgramModel, ProgramStepModel } from '../models/programs';
import { remembering } from './remembering';
import { among, canBeNamed, inParts, insertMany, plain, readMany } from './rows';

export type ProgramRow = Attributes<ProgramModel>;
export type StoredProgram = {
  readonly id: number;
  readonly slug: string;
  readonly versionId: number;
  /** Counts every change of what the program says of itself. */
  readonly revision: number;
  readonly program: Program;
};

/** Every program, put away ones last, the one used last first. */
export async function listPrograms(): Promise<ProgramRow[]> {
  const { Program, Keymap } = await models();
  const rows = (await Program.findAll({ order: ['name'], ...within(undefined) })).map(plain);
  const keymaps = await Keymap.findAll({ attributes: ['programId', 'lastUsedAt'], raw: true, ...within(undefined) });
  const used = new Map<number, string>();
  for (const { programId, lastUsedAt } of keymaps)
    if ((lastUsedAt ?? '') > (used.get(programId) ?? '')) used.set(programId, lastUsedAt ?? '');
  const away = (one: ProgramRow): number => (one.putAwayAt === null ? 0 : 1);
  return rows.sort((a, b) => away(a) - away(b) || (used.get(b.id) ?? '').localeCompare(used.get(a.id) ?? ''));
}

/** What each program on the Shelf is called among the others, by its address. */
export async function programLabels(): Promise<ReadonlyMap<string, string>> {
  const { Program, Version } = await models();
  const rows = await Program.findAll({
    where: { putAwayAt: null },
    include: { model: Version, as: 'versions', attributes: ['id', 'label'] },
    order: ['id', ['versions', 'id', 'DESC']],
    ...within(undefined),
  });
  return tellApart(rows.map(({ slug, name, versions }) => ({ slug, name, version: versions?.[0]?.label ?? '' })));
}

/** A program by its address; @throws Problem when there is none. */
export async function findProgram(slug: string, transaction?: Transaction): Promise<ProgramRow> {
  const { Program } = await models();
  const row = canBeNamed(slug) ? await Program.findOne({ where: { slug }, ...within(transaction) }) : null;
  if (!row) throw new Problem('not found', `There is no program at this address (${slug}). Choose one on the Shelf.`);
  return plain(row);
}

/** A program by its number; @throws Problem when there is none. */
export async function programById(id: number, transaction?: Transaction): Promise<ProgramRow> {
  const { Program } = await models();
  const row = await Program.findByPk(id, within(transaction));
  if (!row) throw new Problem('not found', 'This program is no longer there. Choose another on the Shelf.');
  return plain(row);
}

/** What the newest version of each program is called, by the program's number. */
export async function versionLabels(): Promise<ReadonlyMap<number, string>> {
  const { Version } = await models();
  const rows = await Version.findAll({
    attributes: ['programId', 'label'],
    order: ['id'],
    raw: true,
    ...within(undefined),
  });
  return new Map(rows.map((one) => [one.programId, one.label]));
}

/** What each version is called, and how many commands it has. */
export async function versionsInBrief(): Promise<
  ReadonlyMap<number, { readonly label: string; readonly commands: number }>
> {
  const { Version, Command } = await models();
  const versions = await Version.findAll({ attributes: ['id', 'label'], raw: true, ...within(undefined) });
  const counts = await Command.count({
    attributes: [['version_id', 'versionId']],
    group: 'version_id',
    ...within(undefined),
  });
  const commands = new Map(counts.map((one) => [Number(one.versionId), one.count]));
  return new Map(versions.map(({ id, label }) => [id, { label, commands: commands.get(id) ?? 0 }]));
}

/** A version of a program with all its commands in the program's own order. */
/** The commands that programs call by some names, in whichever of their versions is the newest that has them. */
export async function commandsNamed(
  named: readonly (readonly [slug: string, command: string])[],
): Promise<(slug: string, command: string) => Named | undefined> {
  const { Program, Version, Command } = await models();
  const programs = await Program.findAll({
    attributes: ['slug'],
    where: { slug: [...new Set(named.map(([slug]) => slug))] },
    include: [{ model: Version, as: 'versions', attributes: ['id'] }],
    ...within(undefined),
  });
  const slugOf = new Map(programs.flatMap(({ slug, versions = [] }) => versions.map(({ id }) => [id, slug] as const)));
  const found = new Map<string, Named>();
  await inParts([...new Set(named.map(([, command]) => command))], async (some) => {
    const rows = await Command.findAll({
      attributes: ['versionId', 'command', 'name', 'path'],
      where: { versionId: [...slugOf.keys()], command: [...some] },
      order: ['versionId'],
      ...within(undefined),
    });
    for (const { versionId, command, name, path } of rows)
      found.set(`${slugOf.get(versionId)} ${command}`, { name, path });
  });
  return (slug, command) => found.get(`${slug} ${command}`);
}
/** A command as it is called, and where it lives. */
type Named = Pick<Command, 'name' | 'path'>;

/** What the commands of every program on the Shelf are called, the program that came last first. */
export async function commandNames(): Promise<
  readonly { readonly slug: string; readonly version: string; readonly names: readonly string[] }[]
> {
  const { Program, Version, Command } = await models();
  const programs = await Program.findAll({
    attributes: ['slug'],
    where: { putAwayAt: null },
    include: [{ model: Version, as: 'versions', attributes: ['id', 'label'] }],
    order: [['id', 'DESC']],
    ...within(undefined),
  });
  return Promise.all(
    programs.flatMap(({ slug, versions = [] }) =>
      versions.map(async ({ id, label }) => {
        const rows = await readMany<readonly [number, string]>(
          Command,
          ['position', 'name'],
          { versionId: id },
          undefined,
        );
        return { slug, version: label, names: rows.map(([, name]) => name) };
      }),
    ),
  );
}

/** Whether a version of a program has a command. */
export async function hasCommand(versionId: number, id: string): Promise<boolean> {
  const { Command } = await models();
  return (await Command.count({ where: { versionId, command: id }, ...within(undefined) })) > 0;
}

export async function loadProgram(
  row: ProgramRow,
  versionId: number,
  transaction?: Transaction,
): Promise<StoredProgram> {
  const { Version } = await models();
  const version = await Version.findByPk(versionId, within(transaction));
  if (!version) throw new Problem('not found', `This version of ${row.name} is no longer there.`);
  const { label, contexts, rules, revision } = version;
  const commands = await rememberCommands.read(`${versionId} ${revision}`, () => loadCommands(versionId, transaction));
  const program: Program = { name: row.name, version: label, contexts, rules, commands };
  return { id: row.id, slug: row.slug, versionId, revision, program };
}

const rememberCommands = remembering<readonly Command[]>('commands', 4);
// Next bundles routes apart from each other; what one has read, all know.
const shared = globalThis as { grayPinVersions?: WeakMap<readonly unknown[], number> };
shared.grayPinVersions ??= new WeakMap();
const versions = shared.grayPinVersions;

/** Which version these commands were read of; null for any other list. */
export function versionOfCommands(list: readonly unknown[]): number | null {
  return versions.get(list) ?? null;
}

/** The commands of a version as they are now. @throws Problem when there is no such version. */
export async function commandsOfVersion(versionId: number): Promise<readonly Command[]> {
  const { Version } = await models();
  const version = await Version.findByPk(versionId, { attributes: ['revision'], raw: true, ...within(undefined) });
  if (!version) throw new Problem('not found', 'This program is no longer there. Choose another on the Shelf.');
  return rememberCommands.read(`${versionId} ${version.revision}`, () => loadCommands(versionId));
}

/** The commands of a version in the program's own order, thousands of them, so read as they are. */
async function loadCommands(versionId: number, transaction?: Transaction): Promise<Command[]> {
  const { Command } = await models();
  const rows = await Command.findAll({
    attributes: ['command', 'name', 'kind', 'path', 'context'],
    where: { versionId },
    order: ['position'],
    raw: true,
    ...within(transaction),
  });
  const list = rows.map(({ command, name, kind, path, context }) => ({
    id: command,
    name,
    kind,
    path: JSON.parse(String(path)) as string[],
    context,
  }));
  versions.set(list, versionId);
  return list;
}

/** What a version allows, and of which kind those of its commands are that are named. */
export async function rulesFor(versionId: number, commands: readonly string[], transaction: Transaction) {
  const { Version, Command } = await models();
  const [version, rows] = await Promise.all([
    Version.findByPk(versionId, { attributes: ['rules'], ...within(transaction) }),
    Command.findAll({
      attributes: ['command', 'kind'],
      where: { versionId, ...among(commands) },
      raw: true,
      ...within(transaction),
    }),
  ]);
  return { rules: version?.rules, kinds: new Map(rows.map((one) => [one.command, one.kind])) };
}

/**
 * Stores a new program with its first version; the address is made from its name.
 * @param called what the address is made from instead.
 */
export async function insertProgram(
  program: Program,
  transaction: Transaction,
  called = program.name,
): Promise<{ id: number; slug: string; versionId: number }> {
  const { Program, Version } = await models();
  const taken = await Program.findAll({ attributes: ['slug'], raw: true, transaction });
  const slug = slugs(taken.map((row) => row.slug))(called);
  const { id } = await Program.create({ slug, name: program.name, putAwayAt: null, createdAt: now() }, { transaction });
  const { version: label, contexts, rules, commands } = program;
  const version = await Version.create({ programId: id, label, contexts, rules, createdAt: now() }, { transaction });
  await insertCommands(version.id, commands, transaction);
  return { id, slug, versionId: version.id };
}

/** Stores the commands of a version in their order. */
export async function insertCommands(
  versionId: number,
  commands: readonly Command[],
  transaction: Transaction,
): Promise<void> {
  const { Command } = await models();
  const rows = commands.map(({ id: command, name, kind, path, context }, position) => {
    return { versionId, command, name, kind, path, context, position };
  });
  await insertMany(Command, rows, transaction);
}

/** Writes what a program says of itself: contexts, rules, commands in their order. */
export async function writeFacts(
  versionId: number,
  { contexts, rules, commands }: Facts,
  transaction: Transaction,
): Promise<void> {
  const { Version, Command } = await models();
  await Version.update({ contexts, rules }, { where: { id: versionId }, transaction });
  await Version.increment('revision', { where: { id: versionId }, transaction });
  await Command.destroy({ where: { versionId }, transaction });
  await insertCommands(versionId, commands, transaction);
}

export type ProgramStep = {
  readonly number: number;
  readonly title: string;
  readonly before: Facts;
  readonly after: Facts;
};

/** The last step in what a program says of itself that is not undone, if any. */
export async function lastStep(versionId: number, transaction?: Transaction): Promise<ProgramStep | null> {
  const { ProgramStep } = await models();
  return ProgramStep.findOne({
    where: { versionId, undone: false },
    order: [['number', 'DESC']],
    ...within(transaction),
  });
}

/** Notes a step with what stood before and after it; undone steps beyond it fall off. */
export async function appendStep(
  versionId: number,
  step: Omit<ProgramStep, 'number'>,
  transaction: Transaction,
): Promise<void> {
  const { ProgramStep } = await models();
  await ProgramStep.destroy({ where: { versionId, undone: true }, transaction });
  const last = await ProgramStep.max<number | null, ProgramStepModel>('number', { where: { versionId }, transaction });
  await ProgramStep.create({ versionId, number: (last ?? 0) + 1, madeAt: now(), ...step }, { transaction });
}

/** Marks a step as undone. */
export async function undoStep(versionId: number, number: number, transaction: Transaction): Promise<void> {
  const { ProgramStep } = await models();
  await ProgramStep.update({ undone: true }, { where: { versionId, number }, transaction });
}

/** Renames a program or puts it away or back; its address stays. */
export async function updateProgram(
  id: number,
  values: { name?: string; putAwayAt?: string | null },
  transaction: Transaction,
): Promise<void> {
  const { Program } = await models();
  await Program.update(values, { where: { id }, transaction });
}
