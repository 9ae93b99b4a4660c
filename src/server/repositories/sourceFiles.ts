import { col, fn, type Transaction } from 'sequelize';
import type { Choices } from '../../core/reading/choices';
import type { Corrections } from '../../core/reading/correctRows';
import type { Remembered } from '../../core/reading/preview';
import { isPdf } from '../../core/reading/printed/printed';
import type { Said } from '../../core/writeBack/spelling';
import type { FileLink } from '../../core/writeBack/writeBackView';
import { Problem } from '../../schemas/problem';
import { now } from '../clock';
import { models, within } from '../models/models';

/** A file that a program was brought in from, and what was said of it. */
export type SourceFile = {
  readonly name: string;
  readonly bytes: Uint8Array;
  readonly choices: Choices;
  readonly corrections: Corrections;
  /** Whether it was given after the program was there, such as a newer copy. */
  readonly given: boolean;
};
/** Lists of so many programs are tried to be read as they were before. */
const MOST_REMEMBERED = 5;

/** Keeps a file beside the version of a program it made. */
export async function insertSourceFile(
  of: { readonly programId: number; readonly versionId: number },
  { bytes, ...rest }: SourceFile,
  transaction: Transaction,
): Promise<number> {
  const { SourceFile } = await models();
  const file = { ...of, ...rest, bytes: Buffer.from(bytes), madeAt: now() };
  return (await SourceFile.create(file, { transaction })).id;
}

/** What was said of the lists that programs on the Shelf were brought in from last, where anything was. */
export async function rememberedChoices(): Promise<Remembered[]> {
  const { SourceFile, Program, Command } = await models();
  const shelved = await Program.findAll({
    where: { putAwayAt: null },
    attributes: ['id', 'name'],
    ...within(undefined),
  });
  const files = await SourceFile.findAll({
    attributes: ['programId', 'versionId', 'choices'],
    where: { programId: shelved.map((one) => one.id) },
    order: [['id', 'DESC']],
    ...within(undefined),
  });
  const last = new Map(files.reverse().map((one) => [one.programId, one]));
  const said = [...last.values()]
    .filter(({ choices: { roles, shown, signs } }) => roles.some((one) => one) || shown.length > 0 || signs !== null)
    .slice(-MOST_REMEMBERED);
  return Promise.all(
    said.map(async ({ programId, versionId, choices }) => {
      const commands = await Command.findAll({
        attributes: ['name'],
        where: { versionId },
        raw: true,
        ...within(undefined),
      });
      const program = shelved.find((one) => one.id === programId)?.name ?? '';
      return { program, choices, names: commands.map((one) => one.name) };
    }),
  );
}

/** So much of a file's head and end tells whether it is printed. */
const TELLS = 1024;
/** What is told of the files of a version of a program without opening them, the first first; and whether each is printed. */
export async function filesOfVersion(versionId: number): Promise<(FileLink & { readonly printed: boolean })[]> {
  const { SourceFile } = await models();
  const rows = await SourceFile.findAll({
    where: { versionId },
    attributes: [
      ...['id', 'name', 'given', 'madeAt'],
      [fn('length', col('bytes')), 'size'],
      [fn('substr', col('bytes'), 1, TELLS), 'head'],
      [fn('substr', col('bytes'), -TELLS), 'end'],
    ],
    order: [['id', 'ASC']],
    ...within(undefined),
  });
  return rows.map((row) => {
    const { id, name, given, madeAt } = row;
    const [head, end] = [row.get('head') as Buffer, row.get('end') as Buffer];
    return { id, name, given, madeAt, size: Number(row.get('size')), printed: isPdf(Buffer.concat([head, end])) };
  });
}

/** A file as it came, with what was said of it. @throws Problem when there is no such file. */
export async function fileById(id: number): Promise<SourceFile & { readonly said: Said }> {
  const { SourceFile } = await models();
  const row = await SourceFile.findByPk(id, within(undefined));
  if (!row) throw new Problem('not found', 'This file is not kept any more.');
  const { name, bytes, given, choices, corrections, said } = row;
  return { name, bytes: new Uint8Array(bytes), given, choices, corrections, said };
}

/** What was said of how a file writes keys. @throws Problem when there is no such file. */
export async function loadSaid(id: number): Promise<Said> {
  const { SourceFile } = await models();
  const row = await SourceFile.findByPk(id, { attributes: ['id', 'said'], ...within(undefined) });
  if (!row) throw new Problem('not found', 'This file is not kept any more.');
  return row.said;
}

/** Writes what was said of how a file writes keys. */
export async function writeSaid(id: number, said: Said, transaction: Transaction): Promise<void> {
  const { SourceFile } = await models();
  await SourceFile.update({ said }, { where: { id }, transaction });
}
