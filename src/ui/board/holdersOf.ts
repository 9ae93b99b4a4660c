'use client';

import type { ChordText } from '@/core/chord/chord';
import type { ClashIndex } from '@/core/clash/clashIndex';
import type { Command } from '@/core/program/program';

/** The commands that answer to a chord: pressed, held, or as the first of two strokes. */
export function holdersOf(index: ClashIndex, place: (chord: ChordText) => ChordText, chord: ChordText): Command[] {
  if (chord === '') return [];
  const at = place(chord);
  const holders = [
    ...(index.holders.get(at) ?? []),
    ...(index.holders.get(`hold:${at}`) ?? []),
    ...(index.sequences.get(at) ?? []),
  ];
  return [...new Set(holders.map((holder) => holder.command))];
}
