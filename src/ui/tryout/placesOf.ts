'use client';
import type { KeymapView } from '@/core/keymap/keymapView';
import type { ContextId } from '@/core/program/program';

/** The places of a program by what happens there: over the picture, and where letters are typed. */
export function placesOf(contexts: KeymapView['program']['contexts']): { canvas: ContextId; typing: ContextId | null } {
  const root = contexts.find((one) => one.parent === null)?.id ?? '';
  const named = (words: RegExp): ContextId | undefined =>
    contexts.find((one) => one.parent !== null && words.test(`${one.id} ${one.name}`))?.id;
  return { canvas: named(/canvas|picture|page|sheet|drawing|label/i) ?? root, typing: named(/typ|text/i) ?? null };
}
