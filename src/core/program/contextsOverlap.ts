import type { Context, ContextId } from './program';

/** Says for any two contexts of a tree whether one contains the other, so that both would hear the same press. */
export function contextsOverlap(contexts: readonly Context[]): (a: ContextId, b: ContextId) => boolean {
  const around = contextsAround(contexts);
  return (a, b) => a === b || (around.get(b)?.has(a) ?? false) || (around.get(a)?.has(b) ?? false);
}

/** The contexts that the one which contains all others doesn't contain: they lie in each other, and nothing would be heard there. */
export function outsideTree(contexts: readonly Context[]): Context[] {
  const root = contexts.find((one) => one.parent === null);
  const around = contextsAround(contexts);
  return contexts.filter((one) => one !== root && !(root && around.get(one.id)?.has(root.id)));
}

/** Every context with all those that contain it. */
export function contextsAround(contexts: readonly Context[]): ReadonlyMap<ContextId, ReadonlySet<ContextId>> {
  const parents = new Map(contexts.map((context) => [context.id, context.parent]));
  return new Map(
    contexts.map(({ id, parent }) => {
      const around = new Set<ContextId>();
      // What was passed already ends it, so that a loop in bad data can't hang us.
      for (let at = parent; at !== null && !around.has(at); at = parents.get(at) ?? null) around.add(at);
      return [id, around];
    }),
  );
}
