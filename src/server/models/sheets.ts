import type { CreationOptional, InferAttributes, InferCreationAttributes, Model, Sequelize } from 'sequelize';
import { DEFAULT_SHEET, type SheetSpec } from '../../core/sheet/sheetSpec';
import { openedAs } from '../../schemas/openedAs';
import { sheetSpec } from '../../schemas/sheets';
import { id, json, keyed, number, table, text, textOrNot } from './columns';

export interface SheetModel extends Model<InferAttributes<SheetModel>, InferCreationAttributes<SheetModel>> {
  id: CreationOptional<number>;
  keymapId: number;
  slug: string;
  name: string;
  contents: SheetSpec;
  putAwayAt: string | null;
  createdAt: string;
}

export interface EntryTicksModel
  extends Model<InferAttributes<EntryTicksModel>, InferCreationAttributes<EntryTicksModel>> {
  keymapId: number;
  fromId: number;
  ticks: readonly string[];
}

/** Sheets kept under a name, and which steps of change lists are ticked off. */
export function defineSheets(sequelize: Sequelize) {
  const Sheet = table<SheetModel>(sequelize, 'sheet', 'sheets', {
    id,
    keymapId: number,
    slug: text,
    name: text,
    contents: json('contents', openedAs(sheetSpec, DEFAULT_SHEET)),
    putAwayAt: textOrNot,
    createdAt: text,
  });
  const EntryTicks = table<EntryTicksModel>(sequelize, 'entryTicks', 'entry_ticks', {
    keymapId: keyed(number),
    fromId: keyed(number),
    ticks: json('ticks'),
  });
  return { Sheet, EntryTicks };
}
