/** What pages have asked for and what the server does after it has answered: none of it may outlive the tests of a file. */
const onTheirWay = new Set<Promise<unknown>>();

/** Keeps count of something that has begun until it has ended, however it ends. @returns the same. */
export function counted<T>(work: Promise<T>): Promise<T> {
  const ended = work.catch(() => undefined).finally(() => onTheirWay.delete(ended));
  onTheirWay.add(ended);
  return work;
}

/** Waits until everything has ended, and what came of it. */
export async function allEnded(): Promise<void> {
  while (onTheirWay.size > 0) await Promise.all(onTheirWay);
}
