import type { Migration } from './migration';

const STATEMENTS = [
  // What surrounds the picture in a program as it stands now; each person has a room of their own.
  `CREATE TABLE rooms (
    id INTEGER PRIMARY KEY, program_id INTEGER NOT NULL REFERENCES programs(id), person TEXT NOT NULL,
    contents TEXT NOT NULL, workspace_id INTEGER, revision INTEGER NOT NULL, cursor INTEGER NOT NULL,
    UNIQUE (program_id, person))`,
  // The steps that led to a room, each with the parts it touched before and after, so that it can be undone exactly.
  `CREATE TABLE room_steps (
    id INTEGER PRIMARY KEY, room_id INTEGER NOT NULL REFERENCES rooms(id), position INTEGER NOT NULL,
    title TEXT NOT NULL, before TEXT NOT NULL, after TEXT NOT NULL, workspace_before INTEGER, workspace_after INTEGER,
    created_at TEXT NOT NULL, UNIQUE (room_id, position))`,
  `CREATE TABLE workspaces (
    id INTEGER PRIMARY KEY, program_id INTEGER NOT NULL REFERENCES programs(id), slug TEXT NOT NULL,
    name TEXT NOT NULL, owner TEXT NOT NULL, put_away_at TEXT, last_used_at TEXT, created_at TEXT NOT NULL,
    UNIQUE (program_id, slug))`,
  `CREATE TABLE workspace_versions (
    workspace_id INTEGER NOT NULL REFERENCES workspaces(id), number INTEGER NOT NULL, contents TEXT NOT NULL,
    kept_at TEXT NOT NULL, PRIMARY KEY (workspace_id, number))`,
];

/** Rooms with their steps, and workspaces with their versions. */
export const workspaces: Migration = {
  name: '005-workspaces',
  up: async (sequelize, transaction) => {
    for (const statement of STATEMENTS) await sequelize.query(statement, { transaction });
  },
};
