type Named = { readonly slug: string; readonly name: string; readonly version: string };

/**
 * What each program is called among the others: its name; where another could be called so as well, with its version; where
 * that is not enough, with its place in the address too, which no other has.
 */
export function tellApart(programs: readonly Named[]): ReadonlyMap<string, string> {
  const ways = programs.map(({ slug, name, version }) => {
    const longer = `${name} ${version}`.trim();
    return [name, longer, `${longer} (${slug})`] as const;
  });
  const alone = (words: string, own: number): boolean =>
    ways.every((one, i) => i === own || !(one as readonly string[]).includes(words));
  return new Map(
    programs.map(({ slug }, i) => {
      const [name, longer, longest] = ways[i] ?? ['', '', ''];
      return [slug, alone(name, i) ? name : alone(longer, i) ? longer : longest];
    }),
  );
}
