const MOST = 20_000;

/** A function of a text that remembers its answers, forgetting all when they get too many. */
export function remembering<T>(compute: (text: string) => T, most = MOST): (text: string) => T {
  const known = new Map<string, T>();
  return (text) => {
    const found = known.get(text);
    if (found !== undefined) return found;
    if (known.size >= most) known.clear();
    const value = compute(text);
    known.set(text, value);
    return value;
  };
}
