import {
  type CreationOptional,
  DataTypes,
  type InferAttributes,
  type InferCreationAttributes,
  type Model,
  type Sequelize,
} from 'sequelize';
import { NO_WISHES, type WishList } from '../../core/advice/wishList';
import { openedAs } from '../../schemas/openedAs';
import { wishList } from '../../schemas/requests';
import { id, json, keyed, number, table, text } from './columns';

export interface UseModel extends Model<InferAttributes<UseModel>, InferCreationAttributes<UseModel>> {
  id: CreationOptional<number>;
  programId: number;
  owner: string;
  command: string;
  perDay: number;
}

export interface WishListModel extends Model<InferAttributes<WishListModel>, InferCreationAttributes<WishListModel>> {
  keymapId: number;
  contents: WishList;
}

/** Uses a day as people told them, and wish lists, one a keymap. */
export function defineAdvice(sequelize: Sequelize) {
  const Use = table<UseModel>(sequelize, 'use', 'uses', {
    id,
    programId: number,
    owner: text,
    command: text,
    perDay: { type: DataTypes.REAL, allowNull: false },
  });
  const WishList = table<WishListModel>(sequelize, 'wishList', 'wish_lists', {
    keymapId: keyed(number),
    contents: json('contents', openedAs(wishList, NO_WISHES)),
  });
  return { Use, WishList };
}
