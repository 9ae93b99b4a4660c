import { type RefObject, useLayoutEffect, useState } from 'react';

/** Whether what is in a frame is higher than the frame, as it would be with nothing folded; measured anew for another subject. */
export function useOverflow(frame: RefObject<HTMLElement | null>, subject: string | null): boolean {
  const [natural, setNatural] = useState<{ readonly subject: string; readonly height: number } | null>(null);
  const [height, setHeight] = useState(0);
  useLayoutEffect(() => {
    const element = frame.current;
    if (!element || subject === null) return;
    const watching = new ResizeObserver(() => setHeight(element.clientHeight));
    watching.observe(element);
    setHeight(element.clientHeight);
    return () => watching.disconnect();
  }, [frame, subject]);
  const known = natural?.subject === subject ? natural.height : null;
  const folds = known !== null && height > 0 && known > height + 1;
  useLayoutEffect(() => {
    const element = frame.current;
    if (!element || subject === null || folds) return;
    // What is in it may have grown since, as when controls are made larger.
    if (known === null || element.scrollHeight > known) setNatural({ subject, height: element.scrollHeight });
  });
  return folds;
}
