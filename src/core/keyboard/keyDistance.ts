import type { Key } from './keyboard';

/** Distance between the middles of two keys, in key units. */
export function keyDistance(a: Key, b: Key): number {
  return Math.hypot(a.x + a.width / 2 - b.x - b.width / 2, a.y + a.height / 2 - b.y - b.height / 2);
}
