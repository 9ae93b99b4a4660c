'use client';

import { type RefObject, useEffect } from 'react';

/**
 * Ctrl or Command with Z and Y go along the tape, but not in a field with text, whose text they undo.
 * @param except a field in which these are keys like any other.
 */
export function useUndoKeys(undo: () => void, redo: () => void, except?: RefObject<HTMLElement | null>): void {
  useEffect(() => {
    const onKeyDown = (event: KeyboardEvent): void => {
      if (!(event.ctrlKey || event.metaKey) || event.altKey || document.querySelector('[role="dialog"], [role="menu"]'))
        return;
      const target = event.target as HTMLElement;
      const writes = target instanceof HTMLInputElement && /^(text|search|number)$/.test(target.type);
      if (target === except?.current || (writes && target.value !== '')) return;
      const key = event.key.toLowerCase();
      if (key !== 'z' && key !== 'y') return;
      event.preventDefault();
      if (key === 'y' || event.shiftKey) redo();
      else undo();
    };
    window.addEventListener('keydown', onKeyDown);
    return () => window.removeEventListener('keydown', onKeyDown);
  }, [undo, redo, except]);
}
