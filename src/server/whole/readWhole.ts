import { type Attributes, type Model, type ModelStatic, Op, type Transaction, type WhereOptions } from 'sequelize';
import { bindingsOf, keymapOf, type Row, rowsOf } from '../../core/keymap/keymap';
import type { SheetSpec } from '../../core/sheet/sheetSpec';
import { groupBy } from '../../core/text/groupBy';
import type { Uid, WholeContents, WholeKeymap, WholeProgram, WholeRoom, WholeWorkspace } from '../../core/whole/whole';
import type { Workspace } from '../../core/workspace/room';
import { openedContents } from '../../schemas/whole';
import type { KeymapModel } from '../models/keymaps';
import type { Models } from '../models/models';
import type { ProgramModel } from '../models/programs';
import type { WorkspaceModel } from '../models/workspaces';
import { plain } from '../repositories/rows';

/** Programs that may be others: called so, their seconds, or with as many commands. */
export type Wanted = {
  readonly names: readonly string[];
  readonly kins: readonly Uid[];
  readonly counts: readonly number[];
};

/** Where is read from. */
type From = { readonly models: Models; readonly transaction: Transaction | null };

/** Programs of a database file with all that belongs to them, the numbers of the file replaced by uids. */
export async function readWhole(from: From, wanted?: Wanted): Promise<WholeProgram[]> {
  const uids = await readUids(from);
  const { models } = from;
  const programs = await rowsIn(from, models.Program, wanted ? await whichMayBe(from, wanted) : {});
  const whole: WholeProgram[] = [];
  for (const one of programs) whole.push(await readProgram(from, one, uids));
  return whole;
}

async function whichMayBe({ models, transaction }: From, { names, kins, counts }: Wanted): Promise<WhereOptions> {
  const sizes = await models.Command.count({
    attributes: [['version_id', 'versionId']],
    group: 'version_id',
    transaction,
  });
  const wanted = new Set(counts);
  const versions = sizes.filter((one) => wanted.has(one.count)).map((one) => Number(one.versionId));
  const alike = await models.Version.findAll({
    attributes: ['programId'],
    where: { id: versions },
    raw: true,
    transaction,
  });
  return { [Op.or]: [{ name: names }, { uid: kins }, { kin: kins }, { id: alike.map((one) => one.programId) }] };
}

/** The keymaps of a program with all that belongs to them. */
export async function readWholeKeymaps(
  from: From,
  program: { readonly id: number; readonly slug: string },
): Promise<WholeKeymap[]> {
  return readKeymaps(from, program, await readUids(from));
}

async function readKeymaps(
  from: From,
  { id, slug }: { readonly id: number; readonly slug: string },
  uids: Uids,
): Promise<WholeKeymap[]> {
  const whole: WholeKeymap[] = [];
  for (const one of await rowsIn(from, from.models.Keymap, { programId: id }))
    whole.push(await readKeymap(from, one, slug, uids));
  return whole.sort((a, b) => Number(b.factory) - Number(a.factory));
}

/** What tells programs, keymaps and workspaces apart, by their numbers in the file. */
type Uids = Readonly<Record<'program' | 'keymap' | 'workspace', ReadonlyMap<number, Uid>>> & {
  /** Keymaps by their addresses, as `program/keymap`. */
  readonly addressed: ReadonlyMap<string, Uid>;
};

async function readUids({ models, transaction }: From): Promise<Uids> {
  const plainly = { raw: true, transaction } as const;
  const programs = await models.Program.findAll({ attributes: ['id', 'uid', 'slug'], ...plainly });
  const keymaps = await models.Keymap.findAll({ attributes: ['id', 'uid', 'slug', 'programId'], ...plainly });
  const workspaces = await models.Workspace.findAll({ attributes: ['id', 'uid'], ...plainly });
  const slugs = new Map(programs.map((one) => [one.id, one.slug]));
  const byId = (rows: readonly { id: number; uid: string }[]) => new Map(rows.map(({ id, uid }) => [id, uid]));
  return {
    program: byId(programs),
    keymap: byId(keymaps),
    workspace: byId(workspaces),
    addressed: new Map(keymaps.map((one) => [`${slugs.get(one.programId)}/${one.slug}`, one.uid])),
  };
}

/** Rows of a table in the order they were made, as their models read them. */
async function rowsIn<One extends Model>(
  { transaction }: From,
  kind: ModelStatic<One>,
  where: WhereOptions,
): Promise<Attributes<One>[]> {
  const order = 'id' in kind.getAttributes() ? { order: ['id'] } : {};
  return (await kind.findAll({ where, ...order, transaction })).map(plain);
}

type ProgramRow = Attributes<ProgramModel>;
type KeymapRow = Attributes<KeymapModel>;

async function readProgram(from: From, row: ProgramRow, uids: Uids): Promise<WholeProgram> {
  const { models } = from;
  const own = { programId: row.id };
  const [factory] = await rowsIn(from, models.Keymap, { ...own, factory: true });
  const version = (await rowsIn(from, models.Version, { id: factory?.versionId ?? 0 }))[0];
  const commands = (await rowsIn(from, models.Command, { versionId: version?.id ?? 0 })).sort(
    (a, b) => a.position - b.position,
  );
  const steps = await rowsIn(from, models.ProgramStep, { versionId: version?.id ?? 0 });
  const succession = (await rowsIn(from, models.Succession, own))[0];
  const ofUid = (id: number): Uid => uids.program.get(id) ?? '';
  return {
    ...told(row),
    version: version?.label ?? '1',
    facts: {
      contexts: version?.contexts ?? [],
      rules: version?.rules as WholeProgram['facts']['rules'],
      commands: commands.map(({ command: id, name, kind, path, context }) => ({ id, name, kind, path, context })),
    },
    steps: steps
      .sort((a, b) => a.number - b.number)
      .map(({ title, before, after, undone, madeAt }) => ({ title, before, after, undone, madeAt })),
    keymaps: await readKeymaps(from, row, uids),
    workspaces: await readWorkspaces(from, row.id, uids),
    rooms: await readRooms(from, row.id, uids),
    uses: (await rowsIn(from, models.Use, own)).map(({ owner, command, perDay }) => ({ owner, command, perDay })),
    chosen: (await rowsIn(from, models.Chosen, own)).map(({ person, words, command, chosenAt }) => {
      return { person, words, command, chosenAt };
    }),
    counterparts: (await rowsIn(from, models.SaidCounterpart, own)).map(({ command, otherId, counterpart, saidAt }) => {
      return { command, other: ofUid(otherId), counterpart, saidAt };
    }),
    forms: (await rowsIn(from, models.OwnFormRow, own)).map(({ form, putAwayAt, createdAt }) => ({
      form,
      putAwayAt,
      createdAt,
    })),
    sources: (await rowsIn(from, models.SourceFile, own)).map(
      ({ name, bytes, choices, corrections, given, said, madeAt }) => {
        return { name, bytes: new Uint8Array(bytes), choices, corrections, given, said, madeAt };
      },
    ),
    succession: succession
      ? { from: ofUid(succession.fromId), said: succession.said, createdAt: succession.createdAt }
      : null,
  };
}

/** What is told from all others, without what is of this file alone. */
const told = ({ uid, kin, name, putAwayAt, createdAt }: ProgramRow | KeymapRow | Attributes<WorkspaceModel>) => ({
  ...{ uid, kin: kin ?? uid, name, putAwayAt, createdAt },
});

async function readKeymap(from: From, row: KeymapRow, program: string, uids: Uids): Promise<WholeKeymap> {
  const { models } = from;
  const own = { keymapId: row.id };
  const { owner, factory, unnamed, locked, lastUsedAt, cursor } = row;
  const bindings = (await rowsIn(from, models.Binding, own)).sort((a, b) => a.position - b.position);
  const spares = (await rowsIn(from, models.Spare, own)).map((one) => one.command);
  const tape = (await rowsIn(from, models.Ticket, own)).sort((a, b) => a.position - b.position);
  const kept = (await rowsIn(from, models.Revision, own)).sort((a, b) => a.number - b.number);
  const keymapUid = (id: number): Uid => uids.keymap.get(id) ?? '';
  const derivation = (await rowsIn(from, models.Derivation, own))[0];
  return {
    ...told(row),
    ...{ owner, factory, unnamed, locked, lastUsedAt, cursor, spares },
    rows: inOrder(bindings.map(({ command, chord, keeper, hook }) => [command, chord, keeper, hook])),
    tape: tape.map(({ title, changes, pulled, createdAt }) => {
      return { title, changes, ...(pulled ? { pulled } : {}), createdAt };
    }),
    kept: kept.map(({ bindings: rows, spares: some, cursor: at, keptAt }) => {
      return { bindings: inOrder(rows), spares: some, cursor: at, keptAt };
    }),
    leftAside: (await rowsIn(from, models.LeftAside, own)).map(({ tickets, leftAt }) => ({ tickets, leftAt })),
    wishes: (await rowsIn(from, models.WishList, own))[0]?.contents ?? null,
    sheets: (await rowsIn(from, models.Sheet, own)).map(({ name, contents, putAwayAt, createdAt }) => {
      return { name, contents: withUids(contents, program, uids), putAwayAt, createdAt };
    }),
    ticks: (await rowsIn(from, models.EntryTicks, own)).map(({ fromId, ticks }) => ({
      from: keymapUid(fromId),
      ticks,
    })),
    plans: (await rowsIn(from, models.MatchPlan, own)).map(({ sourceId, contents, changedAt }) => {
      return { source: keymapUid(sourceId), contents, changedAt };
    }),
    derivation: derivation ? { source: keymapUid(derivation.sourceId), contents: derivation.contents } : null,
    moves: (await rowsIn(from, models.Move, own)).map(({ programId, answers, madeId }) => {
      return { to: uids.program.get(programId) ?? '', answers, made: madeId === null ? null : keymapUid(madeId) };
    }),
  };
}

/** Rows command by command, so that the order in which they came to be stored says nothing. */
function inOrder(rows: readonly Row[]): Row[] {
  const keymap = keymapOf(rows);
  const bindings = new Map([...keymap.bindings.keys()].sort().map((command) => [command, bindingsOf(keymap, command)]));
  return rowsOf({ ...keymap, bindings });
}

/** A sheet's choices, the addresses of keymaps in them replaced. */
const withUids = (contents: SheetSpec, program: string, { addressed }: Uids): SheetSpec => ({
  ...contents,
  base: addressed.get(`${program}/${contents.base}`) ?? '',
  programs: contents.programs.flatMap((one) => addressed.get(one) ?? []),
});

/** What a workspace has, its keymap's number replaced. */
function contentsOf({ keymap, ...stored }: Workspace, uids: Uids): WholeContents {
  const rest = openedContents(stored);
  if (keymap === undefined) return rest;
  return { ...rest, keymap: keymap === null ? null : (uids.keymap.get(keymap) ?? null) };
}

async function readWorkspaces(from: From, programId: number, uids: Uids): Promise<WholeWorkspace[]> {
  const { models } = from;
  const rows = await rowsIn(from, models.Workspace, { programId });
  const versions = groupBy(
    await rowsIn(from, models.WorkspaceVersion, { workspaceId: rows.map((one) => one.id) }),
    (one) => one.workspaceId,
  );
  return rows.map((row) => ({
    ...told(row),
    owner: row.owner,
    lastUsedAt: row.lastUsedAt,
    versions: (versions.get(row.id) ?? [])
      .sort((a, b) => a.number - b.number)
      .map(({ contents, keptAt }) => ({ contents: contentsOf(contents, uids), keptAt })),
  }));
}

async function readRooms(from: From, programId: number, uids: Uids): Promise<WholeRoom[]> {
  const { models } = from;
  const workspace = (id: number | null): Uid | null => (id === null ? null : (uids.workspace.get(id) ?? null));
  const whole: WholeRoom[] = [];
  for (const { id, person, contents, workspaceId, cursor } of await rowsIn(from, models.Room, { programId })) {
    const steps = (await rowsIn(from, models.RoomStep, { roomId: id })).sort((a, b) => a.position - b.position);
    whole.push({
      person,
      contents: contentsOf(contents, uids),
      workspace: workspace(workspaceId),
      cursor,
      steps: steps.map(({ title, before, after, workspaceBefore, workspaceAfter, createdAt }) => ({
        ...{ title, createdAt },
        before: contentsOf(before, uids),
        after: contentsOf(after, uids),
        workspaces: [workspace(workspaceBefore), workspace(workspaceAfter)],
      })),
    });
  }
  return whole;
}
