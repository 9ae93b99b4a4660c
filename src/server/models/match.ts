import type {
  CreationOptional,
  InferAttributes,
  InferCreationAttributes,
  Model,
  NonAttribute,
  Sequelize,
} from 'sequelize';
import type { Derivation as DerivationContents, MatchPlan as Plan } from '../../core/transfer/matchPlan';
import { id, json, keyed, number, table, text, textOrNot } from './columns';
import type { ProgramModel } from './programs';

export interface SaidCounterpartModel
  extends Model<InferAttributes<SaidCounterpartModel>, InferCreationAttributes<SaidCounterpartModel>> {
  id: CreationOptional<number>;
  programId: number;
  command: string;
  otherId: number;
  /** Null where it was said that there is none. */
  counterpart: string | null;
  saidAt: string;
  program?: NonAttribute<ProgramModel>;
  other?: NonAttribute<ProgramModel>;
}

export interface MatchPlanModel
  extends Model<InferAttributes<MatchPlanModel>, InferCreationAttributes<MatchPlanModel>> {
  keymapId: number;
  sourceId: number;
  contents: Plan;
  changedAt: string;
}

export interface DerivationModel
  extends Model<InferAttributes<DerivationModel>, InferCreationAttributes<DerivationModel>> {
  keymapId: number;
  sourceId: number;
  contents: DerivationContents;
}

/** Counterparts as said, what was settled between two keymaps, and where derived keymaps came from. */
export function defineMatch(sequelize: Sequelize) {
  const SaidCounterpart = table<SaidCounterpartModel>(sequelize, 'saidCounterpart', 'said_counterparts', {
    id,
    programId: number,
    command: text,
    otherId: number,
    counterpart: textOrNot,
    saidAt: text,
  });
  const MatchPlan = table<MatchPlanModel>(sequelize, 'matchPlan', 'match_plans', {
    keymapId: keyed(number),
    sourceId: keyed(number),
    contents: json('contents'),
    changedAt: text,
  });
  const Derivation = table<DerivationModel>(sequelize, 'derivation', 'derivations', {
    keymapId: keyed(number),
    sourceId: number,
    contents: json('contents'),
  });
  return { SaidCounterpart, MatchPlan, Derivation };
}
