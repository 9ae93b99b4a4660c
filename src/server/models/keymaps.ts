import type {
  CreationOptional,
  InferAttributes,
  InferCreationAttributes,
  Model,
  NonAttribute,
  Sequelize,
} from 'sequelize';
import type { KeymapInBrief } from '../../core/keymap/inBrief';
import type { Row } from '../../core/keymap/keymap';
import type { Change, Ticket } from '../../core/keymap/ticket';
import { id, json, keyed, number, numberOrNot, table, text, textOrNot, told, yesOrNo } from './columns';
import type { ProgramModel } from './programs';

export interface KeymapModel extends Model<InferAttributes<KeymapModel>, InferCreationAttributes<KeymapModel>> {
  id: CreationOptional<number>;
  uid: CreationOptional<string>;
  kin: CreationOptional<string | null>;
  programId: number;
  versionId: number;
  slug: string;
  name: string;
  owner: string;
  factory: boolean;
  unnamed: boolean;
  /** A locked keymap takes no edits until it is unlocked. */
  locked: CreationOptional<boolean>;
  /** Counts every change of the draft; an edit names the one it was made on. */
  revision: number;
  /** How many tickets of the tape are applied; the ones after it have been undone. */
  cursor: number;
  /** How many tickets were left aside since it was last kept. */
  leftAside: CreationOptional<number>;
  putAwayAt: string | null;
  lastUsedAt: string | null;
  createdAt: string;
  program?: NonAttribute<ProgramModel>;
  summary?: NonAttribute<SummaryModel | null>;
}

export interface BindingModel extends Model<InferAttributes<BindingModel>, InferCreationAttributes<BindingModel>> {
  id: CreationOptional<number>;
  keymapId: number;
  command: string;
  chord: string;
  keeper: boolean;
  hook: string;
  position: number;
}

export interface SpareModel extends Model<InferAttributes<SpareModel>, InferCreationAttributes<SpareModel>> {
  id: CreationOptional<number>;
  keymapId: number;
  command: string;
}

export interface TicketModel extends Model<InferAttributes<TicketModel>, InferCreationAttributes<TicketModel>> {
  id: CreationOptional<number>;
  keymapId: number;
  position: number;
  title: string;
  changes: readonly Change[];
  pulled: readonly number[] | null;
  createdAt: string;
}

export interface RevisionModel extends Model<InferAttributes<RevisionModel>, InferCreationAttributes<RevisionModel>> {
  id: CreationOptional<number>;
  keymapId: number;
  number: number;
  bindings: readonly Row[];
  spares: readonly string[];
  /** Where on the tape it was kept, if the tape still leads there. */
  cursor: number | null;
  keptAt: string;
}

export interface LeftAsideModel
  extends Model<InferAttributes<LeftAsideModel>, InferCreationAttributes<LeftAsideModel>> {
  id: CreationOptional<number>;
  keymapId: number;
  tickets: readonly Ticket[];
  leftAt: string;
}

export interface SummaryModel extends Model<InferAttributes<SummaryModel>, InferCreationAttributes<SummaryModel>> {
  keymapId: number;
  /** The revision of the draft that it tells of. */
  revision: number;
  contents: KeymapInBrief;
}

/** Keymaps with what their drafts hold, their tapes and what was kept of them. */
export function defineKeymaps(sequelize: Sequelize) {
  const Keymap = table<KeymapModel>(sequelize, 'keymap', 'keymaps', {
    id,
    ...told,
    programId: number,
    versionId: number,
    slug: text,
    name: text,
    owner: text,
    factory: yesOrNo('factory'),
    unnamed: yesOrNo('unnamed'),
    locked: yesOrNo('locked'),
    revision: number,
    cursor: number,
    leftAside: { ...number, defaultValue: 0 },
    putAwayAt: textOrNot,
    lastUsedAt: textOrNot,
    createdAt: text,
  });
  const Binding = table<BindingModel>(sequelize, 'binding', 'bindings', {
    id,
    keymapId: number,
    command: text,
    chord: text,
    keeper: yesOrNo('keeper'),
    hook: { ...text, defaultValue: '' },
    position: number,
  });
  const Spare = table<SpareModel>(sequelize, 'spare', 'spares', { id, keymapId: number, command: text });
  const Ticket = table<TicketModel>(sequelize, 'ticket', 'tickets', {
    id,
    keymapId: number,
    position: number,
    title: text,
    changes: json('changes'),
    pulled: json('pulled', undefined, true),
    createdAt: text,
  });
  const Revision = table<RevisionModel>(sequelize, 'revision', 'revisions', {
    id,
    keymapId: number,
    number,
    bindings: json('bindings'),
    spares: json('spares'),
    cursor: numberOrNot,
    keptAt: text,
  });
  const LeftAside = table<LeftAsideModel>(sequelize, 'leftAside', 'left_aside', {
    id,
    keymapId: number,
    tickets: json('tickets'),
    leftAt: text,
  });
  const Summary = table<SummaryModel>(sequelize, 'summary', 'keymap_summaries', {
    keymapId: keyed(number),
    revision: number,
    contents: json('contents'),
  });
  Keymap.hasOne(Summary, { foreignKey: 'keymapId', as: 'summary' });
  return { Keymap, Binding, Spare, Ticket, Revision, LeftAside, Summary };
}
