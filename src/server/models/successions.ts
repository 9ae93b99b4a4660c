import type { CreationOptional, InferAttributes, InferCreationAttributes, Model, Sequelize } from 'sequelize';
import type { SaidLink } from '../../core/succession/link';
import type { Answers } from '../../core/succession/succeed';
import { json, keyed, number, numberOrNot, table, text } from './columns';

export interface SuccessionModel
  extends Model<InferAttributes<SuccessionModel>, InferCreationAttributes<SuccessionModel>> {
  programId: number;
  /** The version it came from. */
  fromId: number;
  said: CreationOptional<readonly SaidLink[]>;
  createdAt: string;
}

export interface MoveModel extends Model<InferAttributes<MoveModel>, InferCreationAttributes<MoveModel>> {
  keymapId: number;
  programId: number;
  answers: Answers;
  /** The keymap that was made of it there. */
  madeId: number | null;
}

/** Which program is the next version of which, and what was chosen for keymaps that go along. */
export function defineSuccessions(sequelize: Sequelize) {
  const Succession = table<SuccessionModel>(sequelize, 'succession', 'successions', {
    programId: keyed(number),
    fromId: number,
    said: json('said'),
    createdAt: text,
  });
  const Move = table<MoveModel>(sequelize, 'move', 'moves', {
    keymapId: keyed(number),
    programId: keyed(number),
    answers: json('answers'),
    madeId: numberOrNot,
  });
  return { Succession, Move };
}
