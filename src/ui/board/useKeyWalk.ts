import { type KeyboardEvent, useRef, useState } from 'react';
import type { KeyFace } from '@/core/layer/layer';
import { useSettings } from '../shell/SettingsContext';
import { keyToward } from './keyToward';

/** One key of those shown has the focus; arrow keys take it to the next. */
export function useKeyWalk(shown: readonly KeyFace[]) {
  const { keyboard } = useSettings().where;
  const [focused, setFocused] = useState('KeyQ');
  const board = useRef<HTMLDivElement>(null);
  const onKeyDown = (event: KeyboardEvent): void => {
    const here = keyboard.byCode.get(focused);
    if (!here || event.ctrlKey || event.altKey || event.metaKey) return;
    const step = { ArrowLeft: [-1, 0], ArrowRight: [1, 0], ArrowUp: [0, -1], ArrowDown: [0, 1] }[event.key];
    if (!step) return;
    event.preventDefault();
    const keys = shown.map((face) => face.key);
    const next = keyToward(here, keys, step[0] ?? 0, step[1] ?? 0);
    if (!next) return;
    setFocused(next.code);
    board.current?.querySelector<HTMLElement>(`[data-code="${next.code}"]`)?.focus();
  };
  return { board, focused, setFocused, onKeyDown };
}
