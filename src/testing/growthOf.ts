/**
 * How much longer a work takes for an input of twice the size: the least of several tries, so that a busy machine
 * doesn't count. Both sizes are doubled until the larger takes long enough to be measured.
 * @param work what is done with an input of some size; it may throw.
 */
export function growthOf(work: (size: number) => void, size: number, most = 1 << 20): number {
  const time = (n: number): number => {
    let least = Number.POSITIVE_INFINITY;
    for (let i = 0; i < 4; i++) {
      const begun = process.hrtime.bigint();
      try {
        work(n);
      } catch {
        // What is refused has to be refused soon, too.
      }
      least = Math.min(least, Number(process.hrtime.bigint() - begun) / 1e6);
    }
    return least;
  };
  for (let n = size; ; n *= 2) {
    const [once, twice] = [time(n), time(2 * n)];
    // Under 4 ms a growth is mostly the clock's; at the largest size that is as good as none.
    if (twice >= 4) return Math.min(twice / once, time(2 * n) / time(n), time(2 * n) / time(n));
    if (2 * n >= most) return 1;
  }
}
