import {
  type CreationOptional,
  DataTypes,
  type InferAttributes,
  type InferCreationAttributes,
  type Model,
  type Sequelize,
} from 'sequelize';
import { type Choices, NO_CHOICES } from '../../core/reading/choices';
import type { Corrections } from '../../core/reading/correctRows';
import type { Said } from '../../core/writeBack/spelling';
import { id, json, number, table, text, yesOrNo } from './columns';

export interface SourceFileModel
  extends Model<InferAttributes<SourceFileModel>, InferCreationAttributes<SourceFileModel>> {
  id: CreationOptional<number>;
  programId: number;
  versionId: number;
  /** The file as it came. */
  bytes: Buffer;
  name: CreationOptional<string>;
  choices: Choices;
  corrections: Corrections;
  /** Whether it was given after the program was there, such as a newer copy. */
  given: CreationOptional<boolean>;
  /** What was said of how it writes keys. */
  said: CreationOptional<Said>;
  madeAt: string;
}

const openedChoices = (stored: unknown): Choices => ({ ...NO_CHOICES, ...(stored as Partial<Choices>) });

/** What versions of programs were brought in from, and what was said of it. */
export function defineSourceFiles(sequelize: Sequelize) {
  const SourceFile = table<SourceFileModel>(sequelize, 'sourceFile', 'source_files', {
    id,
    programId: number,
    versionId: number,
    bytes: { type: DataTypes.BLOB, allowNull: false },
    name: { ...text, defaultValue: '' },
    choices: json('choices', openedChoices),
    corrections: json('corrections'),
    given: yesOrNo('given'),
    said: { ...json('said'), defaultValue: {} },
    madeAt: text,
  });
  return { SourceFile };
}
