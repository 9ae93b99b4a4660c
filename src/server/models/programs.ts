import type {
  CreationOptional,
  InferAttributes,
  InferCreationAttributes,
  Model,
  NonAttribute,
  Sequelize,
} from 'sequelize';
import { type Command, type Context, DEFAULT_RULES, type Kind, type Rules } from '../../core/program/program';
import { id, json, number, table, text, textOrNot, told, yesOrNo } from './columns';

export interface ProgramModel extends Model<InferAttributes<ProgramModel>, InferCreationAttributes<ProgramModel>> {
  id: CreationOptional<number>;
  uid: CreationOptional<string>;
  kin: CreationOptional<string | null>;
  slug: string;
  name: string;
  putAwayAt: string | null;
  createdAt: string;
  versions?: NonAttribute<readonly VersionModel[]>;
}

export interface VersionModel extends Model<InferAttributes<VersionModel>, InferCreationAttributes<VersionModel>> {
  id: CreationOptional<number>;
  programId: number;
  label: string;
  contexts: readonly Context[];
  rules: Rules;
  /** Counts every change of what the program says of itself. */
  revision: CreationOptional<number>;
  createdAt: string;
}

export interface CommandModel extends Model<InferAttributes<CommandModel>, InferCreationAttributes<CommandModel>> {
  id: CreationOptional<number>;
  versionId: number;
  command: string;
  name: string;
  kind: Kind;
  path: readonly string[];
  context: string;
  position: number;
}

/** What a program says of itself, as a step of its edits has it. */
export type Facts = {
  readonly contexts: readonly Context[];
  readonly rules: Rules;
  readonly commands: readonly Command[];
};

export interface ProgramStepModel
  extends Model<InferAttributes<ProgramStepModel>, InferCreationAttributes<ProgramStepModel>> {
  id: CreationOptional<number>;
  versionId: number;
  number: number;
  title: string;
  before: Facts;
  after: Facts;
  undone: CreationOptional<boolean>;
  madeAt: string;
}

/** Rules as an older version wrote them lack what came later. */
const openedRules = (stored: unknown): Rules => ({ ...DEFAULT_RULES, ...(stored as Partial<Rules>) });
const openedFacts = (stored: unknown): Facts => {
  const facts = stored as Facts;
  return { ...facts, rules: openedRules(facts.rules) };
};

/** Programs with their versions, the commands of each, and the steps in which what they say of themselves was edited. */
export function definePrograms(sequelize: Sequelize) {
  const Program = table<ProgramModel>(sequelize, 'program', 'programs', {
    id,
    ...told,
    slug: text,
    name: text,
    putAwayAt: textOrNot,
    createdAt: text,
  });
  const Version = table<VersionModel>(sequelize, 'version', 'versions', {
    id,
    programId: number,
    label: text,
    contexts: json('contexts'),
    rules: json('rules', openedRules),
    revision: { ...number, defaultValue: 1 },
    createdAt: text,
  });
  const Command = table<CommandModel>(sequelize, 'command', 'commands', {
    id,
    versionId: number,
    command: text,
    name: text,
    kind: text,
    path: json('path'),
    context: text,
    position: number,
  });
  const ProgramStep = table<ProgramStepModel>(sequelize, 'programStep', 'program_steps', {
    id,
    versionId: number,
    number,
    title: text,
    before: json('before', openedFacts),
    after: json('after', openedFacts),
    undone: yesOrNo('undone'),
    madeAt: text,
  });
  Program.hasMany(Version, { foreignKey: 'programId', as: 'versions' });
  Version.hasMany(Command, { foreignKey: 'versionId', as: 'commands' });
  return { Program, Version, Command, ProgramStep };
}
