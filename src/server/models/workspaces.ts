import type { CreationOptional, InferAttributes, InferCreationAttributes, Model, Sequelize } from 'sequelize';
import type { Workspace as Contents } from '../../core/workspace/room';
import { id, json, keyed, number, numberOrNot, table, text, textOrNot, told } from './columns';

export interface RoomModel extends Model<InferAttributes<RoomModel>, InferCreationAttributes<RoomModel>> {
  id: CreationOptional<number>;
  programId: number;
  /** Whose room it is; empty for those who don't say. */
  person: string;
  contents: Contents;
  /** The workspace switched to or kept last. */
  workspaceId: number | null;
  /** Counts every change; an edit names the one it was made on. */
  revision: number;
  /** How many steps are applied; the ones after it have been undone. */
  cursor: number;
}

export interface RoomStepModel extends Model<InferAttributes<RoomStepModel>, InferCreationAttributes<RoomStepModel>> {
  id: CreationOptional<number>;
  roomId: number;
  position: number;
  title: string;
  before: Contents;
  after: Contents;
  workspaceBefore: number | null;
  workspaceAfter: number | null;
  createdAt: string;
}

export interface WorkspaceModel
  extends Model<InferAttributes<WorkspaceModel>, InferCreationAttributes<WorkspaceModel>> {
  id: CreationOptional<number>;
  uid: CreationOptional<string>;
  kin: CreationOptional<string | null>;
  programId: number;
  slug: string;
  name: string;
  owner: string;
  putAwayAt: string | null;
  lastUsedAt: string | null;
  createdAt: string;
}

export interface WorkspaceVersionModel
  extends Model<InferAttributes<WorkspaceVersionModel>, InferCreationAttributes<WorkspaceVersionModel>> {
  workspaceId: number;
  number: number;
  contents: Contents;
  keptAt: string;
}

/** Rooms with their steps, and workspaces with their versions. */
export function defineWorkspaces(sequelize: Sequelize) {
  const Room = table<RoomModel>(sequelize, 'room', 'rooms', {
    id,
    programId: number,
    person: text,
    contents: json('contents'),
    workspaceId: numberOrNot,
    revision: number,
    cursor: number,
  });
  const RoomStep = table<RoomStepModel>(sequelize, 'roomStep', 'room_steps', {
    id,
    roomId: number,
    position: number,
    title: text,
    before: json('before'),
    after: json('after'),
    workspaceBefore: numberOrNot,
    workspaceAfter: numberOrNot,
    createdAt: text,
  });
  const Workspace = table<WorkspaceModel>(sequelize, 'workspace', 'workspaces', {
    id,
    ...told,
    programId: number,
    slug: text,
    name: text,
    owner: text,
    putAwayAt: textOrNot,
    lastUsedAt: textOrNot,
    createdAt: text,
  });
  const WorkspaceVersion = table<WorkspaceVersionModel>(sequelize, 'workspaceVersion', 'workspace_versions', {
    workspaceId: keyed(number),
    number: keyed(number),
    contents: json('contents'),
    keptAt: text,
  });
  Workspace.hasMany(WorkspaceVersion, { foreignKey: 'workspaceId', as: 'versions' });
  WorkspaceVersion.belongsTo(Workspace, { foreignKey: 'workspaceId', as: 'workspace' });
  return { Room, RoomStep, Workspace, WorkspaceVersion };
}
