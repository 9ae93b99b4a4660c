'use client';

import type { Key } from '@/core/keyboard/keyboard';

/** The key that lies next in a direction: sideways in its own row, up and down the one above or below its middle. */
export function keyToward(here: Key, keys: readonly Key[], dx: number, dy: number): Key | null {
  const middle = (key: Key) => key.x + key.width / 2;
  const rows = [...new Set(keys.map((key) => key.y))].sort((a, b) => a - b);
  if (dx !== 0) {
    const row = keys.filter((key) => key.y === here.y).sort((a, b) => a.x - b.x);
    return row[row.indexOf(here) + dx] ?? null;
  }
  const y = rows[rows.indexOf(here.y) + dy];
  return (
    keys
      .filter((key) => key.y === y)
      .sort((a, b) => Math.abs(middle(a) - middle(here)) - Math.abs(middle(b) - middle(here)))[0] ?? null
  );
}
