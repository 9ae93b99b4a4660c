/** A list in groups by a key of each, both in the order they come in. */
export function groupBy<One, Key>(list: Iterable<One>, keyOf: (one: One) => Key): Map<Key, One[]> {
  const groups = new Map<Key, One[]>();
  for (const one of list) {
    const key = keyOf(one);
    const group = groups.get(key);
    if (group) group.push(one);
    else groups.set(key, [one]);
  }
  return groups;
}
