import type { CreationOptional, InferAttributes, InferCreationAttributes, Model, Sequelize } from 'sequelize';
import { id, number, table, text } from './columns';

export interface ChosenModel extends Model<InferAttributes<ChosenModel>, InferCreationAttributes<ChosenModel>> {
  id: CreationOptional<number>;
  programId: number;
  person: string;
  words: string;
  command: string;
  chosenAt: string;
}

/** What people chose for words typed into the finder. */
export function defineFinder(sequelize: Sequelize) {
  const Chosen = table<ChosenModel>(sequelize, 'chosen', 'chosen', {
    id,
    programId: number,
    person: text,
    words: text,
    command: text,
    chosenAt: text,
  });
  return { Chosen };
}
