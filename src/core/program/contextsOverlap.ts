import type { Context, ContextId } from './program';

/** Says for any two contexts of a tree whether one contains the other, so that both would hear the same press. */
export function contextsOverlap(contexts: readonly Context[]): (a: ContextId, b: ContextId) => boolean {
  const parents = new Map(contexts.map((context) => [context.id, context.parent]));
  const contains = (outer: ContextId, inner: ContextId): boolean => {
    // Bounded by the number of contexts, so that a loop in bad data can't hang us.
    for (let at: ContextId | null | undefined = inner, steps = 0; at && steps <= contexts.length; steps++) {
      if (at === outer) return true;
      at = parents.get(at);
    }
    return false;
  };
  return (a, b) => a === b || contains(a, b) || contains(b, a);
}
