import { useEffect, useState } from 'react';

/** A value as it was when the page was last painted, for what can wait until the answer to a click is seen. */
export function usePainted<T>(value: T): T {
  const [painted, setPainted] = useState(value);
  useEffect(() => {
    let soon = 0;
    const frame = window.requestAnimationFrame(() => {
      soon = window.setTimeout(() => setPainted(value));
    });
    return () => {
      window.cancelAnimationFrame(frame);
      window.clearTimeout(soon);
    };
  }, [value]);
  return painted;
}
