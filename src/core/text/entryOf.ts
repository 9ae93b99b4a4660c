/** What a plain object has under a name that somebody else gave, which may be that of something every object has. */
export function entryOf<T>(record: Readonly<Record<string, T>>, name: string): T | undefined {
  return Object.hasOwn(record, name) ? record[name] : undefined;
}
