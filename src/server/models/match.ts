import type {
  CreationOptional,
  InferAttributes,
  InferCreationAttributes,
  Model,
  NonAttribute,
  Sequelize,
} from 'sequelize';
import {
  type Derivation as DerivationContents,
  EMPTY_PLAN,
  type MatchPlan as Plan,
} from '../../core/transfer/matchPlan';
import { openedAs } from '../../schemas/openedAs';
import { matchPlan } from '../../schemas/requests';
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

const openedPlan = openedAs(matchPlan, EMPTY_PLAN);

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
    contents: json('contents', openedPlan),
    changedAt: text,
  });
  const Derivation = table<DerivationModel>(sequelize, 'derivation', 'derivations', {
    keymapId: keyed(number),
    sourceId: number,
    contents: json('contents', (stored) => {
      const derived = stored as DerivationContents;
      return { ...derived, plan: openedPlan(derived.plan) };
    }),
  });
  return { SaidCounterpart, MatchPlan, Derivation };
}
