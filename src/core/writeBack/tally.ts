/** Counts texts, and says which came most often; of several the first. */
export class Tally<T> {
  private readonly counts = new Map<string, { readonly value: T; count: number }>();
  add(value: T): void {
    const id = JSON.stringify(value);
    const known = this.counts.get(id);
    if (known) known.count++;
    else this.counts.set(id, { value, count: 1 });
  }
  most(): T | undefined {
    let best: { readonly value: T; count: number } | undefined;
    for (const one of this.counts.values()) if (!best || one.count > best.count) best = one;
    return best?.value;
  }
}
/** The tally of one of several things, begun where there is none. */
export const tally = <K, T>(of: Map<K, Tally<T>>, key: K): Tally<T> => {
  const known = of.get(key) ?? new Tally<T>();
  of.set(key, known);
  return known;
};
/** What came most often, of each thing. */
export const mostOf = <K, T>(of: ReadonlyMap<K, Tally<T>>): Map<K, T> =>
  new Map(
    [...of].flatMap(([key, one]): [K, T][] => {
      const most = one.most();
      return most === undefined ? [] : [[key, most]];
    }),
  );
