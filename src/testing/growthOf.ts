/** So many tries of each size at least, and at most where it still looks too large; the shortest count. */
const [FEWEST, MOST] = [3, 25];
/** What is measured takes this long at least, in ms, so that it is not the clock that grows. */
const ENOUGH = 3;

/**
 * How much longer a work takes for an input of twice the size, as the root of what four times the size takes: 2 where it
 * grows with the size, 4 where it grows with its square. Counted is this process's own time, and looked at again as long
 * as it is over what is allowed, so that neither a busy machine nor a cold one counts.
 * @param work what is done with an input of some size; it may throw, since what is refused has to be refused soon, too.
 */
export function growthOf(work: (size: number) => void, allowed: number, size: number, largest = 1 << 18): number {
  const time = (n: number): number => {
    const begun = process.cpuUsage();
    try {
      work(n);
    } catch {
      // Refused.
    }
    // Which part of it is the system's is guessed by the system; both together are measured.
    const { user, system } = process.cpuUsage(begun);
    return (user + system) / 1000;
  };
  // What is over at one size may be the machine's doing; at twice the size as well it is the work's.
  let over = false;
  for (let n = size; ; n *= 2) {
    let [once, fourfold] = [Number.POSITIVE_INFINITY, Number.POSITIVE_INFINITY];
    for (let tries = 0; tries < FEWEST || (tries < MOST && Math.sqrt(fourfold / once) >= allowed); tries++) {
      once = Math.min(once, time(n));
      fourfold = Math.min(fourfold, time(4 * n));
    }
    const growth = Math.sqrt(fourfold / once);
    if (fourfold >= ENOUGH) {
      if (growth < allowed || over || 8 * n > largest) return growth;
      over = true;
    } else if (4 * n >= largest) return 1;
  }
}
