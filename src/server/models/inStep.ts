import type { CreationOptional, InferAttributes, InferCreationAttributes, Model, Sequelize } from 'sequelize';
import { id, keyed, number, numberOrNot, table, text } from './columns';

export interface KeptRevisionModel
  extends Model<InferAttributes<KeptRevisionModel>, InferCreationAttributes<KeptRevisionModel>> {
  thing: string;
  revision: number;
}

export interface DoneEditModel extends Model<InferAttributes<DoneEditModel>, InferCreationAttributes<DoneEditModel>> {
  id: CreationOptional<number>;
  edit: string;
  doneOn: number | null;
}

/** Revisions of what has none of its own, and the edits done last. */
export function defineInStep(sequelize: Sequelize) {
  return {
    KeptRevision: table<KeptRevisionModel>(sequelize, 'keptRevision', 'kept_revisions', {
      thing: keyed(text),
      revision: number,
    }),
    DoneEdit: table<DoneEditModel>(sequelize, 'doneEdit', 'done_edits', {
      id,
      edit: text,
      doneOn: numberOrNot,
    }),
  };
}
