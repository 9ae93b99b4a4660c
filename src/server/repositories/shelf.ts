import type { Transaction } from 'sequelize';
import { type Attributes, col, type literal, Op, type OrderItem, where } from 'sequelize';
import type { KeymapInBrief } from '../../core/keymap/inBrief';
import type { KeymapLink } from '../../core/view/shelf';
import type { SummaryModel } from '../models/keymaps';
import { models, within } from '../models/models';
import type { KeymapRow } from './keymaps';
import { plain } from './rows';

/** Keymaps that are not put away, nor their programs, with their programs' addresses and names. */
async function onShelf(order: OrderItem[], limit?: number): Promise<KeymapLink[]> {
  const { Keymap, Program } = await models();
  const rows = await Keymap.findAll({
    attributes: ['slug', 'name', 'owner', 'factory'],
    where: { putAwayAt: null },
    include: {
      model: Program,
      as: 'program',
      attributes: ['slug', 'name'],
      where: { putAwayAt: null },
      required: true,
    },
    order,
    ...(limit === undefined ? {} : { limit }),
    ...within(undefined),
  });
  return rows.map(({ slug, name, owner, factory, program }) => {
    return { program: program?.slug ?? '', programName: program?.name ?? '', keymap: slug, name, owner, factory };
  });
}

/** A person's own before other people's; all alike where nobody is named. */
const ownFirst = (person: string): readonly OrderItem[] =>
  // Sequelize sorts by a comparison, though its types don't say so.
  person === '' ? [] : [[where(col('keymap.owner'), person) as unknown as ReturnType<typeof literal>, 'DESC']];

/** Every keymap on the Shelf by its program; those of a person before other people's. */
export const keymapsOnShelf = (person: string): Promise<KeymapLink[]> =>
  onShelf([['program', 'name', 'ASC'], ['factory', 'DESC'], ...ownFirst(person), ['id', 'ASC']]);

/** The keymap used last, the first of a person's own before others; null on an empty Shelf. */
export async function usedLast(person: string): Promise<KeymapLink | null> {
  const order: OrderItem[] = [
    ...ownFirst(person),
    ['lastUsedAt', 'DESC'],
    ['factory', 'ASC'],
    ['program', 'name', 'DESC'],
    ['id', 'ASC'],
  ];
  return (await onShelf(order, 1))[0] ?? null;
}

/** Everybody who owns a keymap or a workspace. */
export async function listOwners(): Promise<string[]> {
  const { Keymap, Workspace } = await models();
  const owned = { attributes: ['owner'], where: { owner: { [Op.ne]: '' } }, group: 'owner', ...within(undefined) };
  const rows = [...(await Keymap.findAll(owned)), ...(await Workspace.findAll(owned))];
  return [...new Set(rows.map((one) => one.owner))].sort();
}

export type Summary = Attributes<SummaryModel>;
/** A keymap with what is kept of it at a glance; null where its draft has moved on since. */
export type KeymapWithSummary = KeymapRow & { readonly brief: KeymapInBrief | null };

/** Every keymap of every program, the factory's first, then as they were made. */
export async function listWithSummaries(): Promise<KeymapWithSummary[]> {
  const { Keymap, Summary } = await models();
  const rows = await Keymap.findAll({
    include: { model: Summary, as: 'summary' },
    order: ['programId', ['factory', 'DESC'], 'id'],
    ...within(undefined),
  });
  return rows.map((row) => {
    const { summary } = row;
    return { ...plain(row), brief: summary && summary.revision === row.revision ? summary.contents : null };
  });
}

/** Keeps what was worked out of keymaps. */
export async function writeSummaries(summaries: readonly Summary[], transaction: Transaction): Promise<void> {
  const { Summary } = await models();
  for (const one of summaries) await Summary.upsert(one, { transaction });
}
