/** Names as they are, those that are there before with a number: `Mine`, `Mine (2)`. None of the result stands twice. */
export function distinct(names: readonly string[]): string[] {
  const taken = new Set<string>();
  return names.map((name) => {
    let own = name;
    for (let number = 2; taken.has(own); number++) own = `${name} (${number})`;
    taken.add(own);
    return own;
  });
}
