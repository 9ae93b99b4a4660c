/** How often, in ms, a worker says how far it is. */
const SAY_EVERY = 50;

/** Tells how far something is, but not more often than anybody can see; never stops it. */
export function nowAndThen(tell: (part: number) => void): (part: number) => boolean {
  let said = performance.now();
  return (part) => {
    const now = performance.now();
    if (now - said > SAY_EVERY) {
      said = now;
      tell(part);
    }
    return true;
  };
}
