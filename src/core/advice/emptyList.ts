import type { Where } from '../keyboard/where';
import { usualLayers } from './candidates';
import { NO_WISHES, type WishList } from './wishList';

/** A wish list that nothing has been written on: free keys and those of spares, with at most two modifiers. */
export function emptyList(where: Where): WishList {
  return {
    ...NO_WISHES,
    layers: usualLayers(where),
  };
}
