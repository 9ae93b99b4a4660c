'use client';

import type { ChordText } from '@/core/chord/chord';
import { countOn, type Filter } from '@/core/finder/filters';

export function emptyWords(query: string, keys: ChordText | null, filter: Filter): string {
  if (keys === '') return 'Press the keys whose holder you look for. Esc goes back to words.';
  if (keys !== null) return 'Nobody holds these keys.';
  if (query.trim() !== '') return `Nothing here is called “${query.trim()}”.`;
  const [only] = filter.marks;
  if (countOn(filter) === 1 && only === 'yours')
    return 'You have not changed any keys yet. Choose a command and press the keys you want.';
  if (countOn(filter) === 1 && only === 'no key') return 'Every command has a key.';
  return 'No command is all of this at once.';
}
