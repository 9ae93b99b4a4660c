import type { Transaction } from 'sequelize';
import {
  type Command,
  type Context,
  DEFAULT_RULES,
  type Kind,
  type Program,
  type Rules,
} from '../../core/program/program';
import { tellApart } from '../../core/program/tellApart';
import { slugs } from '../../core/text/slug';
import { Problem } from '../../schemas/problem';
import { change, insert, insertMany, select } from './rows';

export type ProgramRow = { id: number; slug: string; name: string; put_away_at: string | null; created_at: string };
export type StoredProgram = {
  readonly id: number;
  readonly slug: string;
  readonly versionId: number;
  /** Counts every change of what the program says of itself. */
  readonly revision: number;
  readonly program: Program;
};

/** Every program, put away ones last, the one used last first. */
export function listPrograms(): Promise<ProgramRow[]> {
  return select<ProgramRow>(`SELECT * FROM programs ORDER BY put_away_at IS NOT NULL,
     (SELECT max(last_used_at) FROM keymaps WHERE program_id = programs.id) DESC NULLS LAST, name`);
}

/** What each program on the Shelf is called among the others, by its address. */
export async function programLabels(): Promise<ReadonlyMap<string, string>> {
  const rows = await select<{ slug: string; name: string; version: string | null }>(
    `SELECT slug, name, (SELECT label FROM versions WHERE program_id = programs.id ORDER BY id DESC LIMIT 1) AS version
     FROM programs WHERE put_away_at IS NULL ORDER BY id`,
  );
  return tellApart(rows.map((one) => ({ ...one, version: one.version ?? '' })));
}

/** A program by its address; @throws Problem when there is none. */
export async function findProgram(slug: string, transaction?: Transaction): Promise<ProgramRow> {
  const [row] = await select<ProgramRow>('SELECT * FROM programs WHERE slug = :slug', { slug }, transaction);
  if (!row) throw new Problem('not found', `There is no program at this address (${slug}). Choose one on the Shelf.`);
  return row;
}

type VersionRow = { id: number; label: string; contexts: string; rules: string; revision: number };
type CommandRow = { command: string; name: string; kind: Kind; path: string; context: string };

/** A version of a program with all its commands in the program's own order. */
export async function loadProgram(
  row: ProgramRow,
  versionId: number,
  transaction?: Transaction,
): Promise<StoredProgram> {
  const [version] = await select<VersionRow>(
    'SELECT * FROM versions WHERE id = :versionId',
    { versionId },
    transaction,
  );
  if (!version) throw new Problem('not found', `This version of ${row.name} is no longer there.`);
  const commands = await select<CommandRow>(
    'SELECT command, name, kind, path, context FROM commands WHERE version_id = :versionId ORDER BY position',
    { versionId },
    transaction,
  );
  const program: Program = {
    name: row.name,
    version: version.label,
    contexts: JSON.parse(version.contexts) as Context[],
    rules: { ...DEFAULT_RULES, ...(JSON.parse(version.rules) as Partial<Rules>) },
    commands: commands.map(
      (one): Command => ({
        id: one.command,
        name: one.name,
        kind: one.kind,
        path: JSON.parse(one.path) as string[],
        context: one.context,
      }),
    ),
  };
  return { id: row.id, slug: row.slug, versionId, revision: version.revision, program };
}

/** Stores a new program with its first version; the address is made from its name. */
export async function insertProgram(
  program: Program,
  now: string,
  transaction: Transaction,
): Promise<{ id: number; slug: string; versionId: number }> {
  const taken = await select<{ slug: string }>('SELECT slug FROM programs', {}, transaction);
  const slug = slugs(taken.map((row) => row.slug))(program.name);
  const id = await insert('programs', { slug, name: program.name, put_away_at: null, created_at: now }, transaction);
  const versionId = await insert(
    'versions',
    {
      program_id: id,
      label: program.version,
      contexts: JSON.stringify(program.contexts),
      rules: JSON.stringify(program.rules),
      created_at: now,
    },
    transaction,
  );
  await insertCommands(versionId, program.commands, transaction);
  return { id, slug, versionId };
}

async function insertCommands(
  versionId: number,
  commands: readonly Command[],
  transaction: Transaction,
): Promise<void> {
  const rows = commands.map((one, position) => ({
    version_id: versionId,
    command: one.id,
    name: one.name,
    kind: one.kind,
    path: JSON.stringify(one.path),
    context: one.context,
    position,
  }));
  await insertMany('commands', rows, transaction);
}

/** Writes what a program says of itself: contexts, rules, commands in their order. */
export async function writeFacts(
  versionId: number,
  { contexts, rules, commands }: Pick<Program, 'contexts' | 'rules' | 'commands'>,
  transaction: Transaction,
): Promise<void> {
  await change(
    'UPDATE versions SET contexts = :contexts, rules = :rules, revision = revision + 1 WHERE id = :versionId',
    { versionId, contexts: JSON.stringify(contexts), rules: JSON.stringify(rules) },
    transaction,
  );
  await change('DELETE FROM commands WHERE version_id = :versionId', { versionId }, transaction);
  await insertCommands(versionId, commands, transaction);
}

export type ProgramStep = {
  readonly number: number;
  readonly title: string;
  readonly before: string;
  readonly after: string;
};

/** The last step in what a program says of itself that is not undone, if any. */
export async function lastStep(versionId: number, transaction?: Transaction): Promise<ProgramStep | null> {
  const [row] = await select<ProgramStep>(
    'SELECT number, title, before, after FROM program_steps WHERE version_id = :versionId AND undone = 0 ORDER BY number DESC LIMIT 1',
    { versionId },
    transaction,
  );
  return row ?? null;
}

/** Notes a step with what stood before and after it; undone steps beyond it fall off. */
export async function appendStep(
  versionId: number,
  step: Omit<ProgramStep, 'number'>,
  now: string,
  transaction: Transaction,
): Promise<void> {
  await change('DELETE FROM program_steps WHERE version_id = :versionId AND undone = 1', { versionId }, transaction);
  await change(
    `INSERT INTO program_steps (version_id, number, title, before, after, made_at)
     SELECT :versionId, coalesce(max(number), 0) + 1, :title, :before, :after, :now FROM program_steps WHERE version_id = :versionId`,
    { versionId, now, ...step },
    transaction,
  );
}

/** Marks a step as undone. */
export async function undoStep(versionId: number, number: number, transaction: Transaction): Promise<void> {
  await change(
    'UPDATE program_steps SET undone = 1 WHERE version_id = :versionId AND number = :number',
    { versionId, number },
    transaction,
  );
}

/** Renames a program or puts it away or back; its address stays. */
export async function updateProgram(
  id: number,
  values: { name?: string; putAwayAt?: string | null },
  transaction: Transaction,
): Promise<void> {
  if (values.name !== undefined)
    await change('UPDATE programs SET name = :name WHERE id = :id', { id, name: values.name }, transaction);
  if (values.putAwayAt !== undefined)
    await change('UPDATE programs SET put_away_at = :at WHERE id = :id', { id, at: values.putAwayAt }, transaction);
}
