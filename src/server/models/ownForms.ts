import type { CreationOptional, InferAttributes, InferCreationAttributes, Model, Sequelize } from 'sequelize';
import { EXAMPLES, type OwnForm } from '../../core/ownForm/ownForm';
import { id, json, number, table, text, textOrNot } from './columns';

export interface OwnFormModel extends Model<InferAttributes<OwnFormModel>, InferCreationAttributes<OwnFormModel>> {
  id: CreationOptional<number>;
  programId: number;
  form: OwnForm;
  putAwayAt: string | null;
  createdAt: string;
}

const opened = (stored: unknown): OwnForm => ({ ...(EXAMPLES[0] as OwnForm), ...(stored as Partial<OwnForm>) });

/** Forms of one's own in which keymaps of a program are written. */
export function defineOwnForms(sequelize: Sequelize) {
  const OwnFormRow = table<OwnFormModel>(sequelize, 'ownForm', 'own_forms', {
    id,
    programId: number,
    form: json('form', opened),
    putAwayAt: textOrNot,
    createdAt: text,
  });
  return { OwnFormRow };
}
