'use client';

import dynamic from 'next/dynamic';

import type { DialogProps } from './dialogs/dialogProps';

/** What is shown over the Board, as its address says it: `check`, `history`, `command history`, `keyboard`, `key KeyW`. */
export type Shown = string;

// Each is loaded when it is first asked for.
const CheckDialog = dynamic(() => import('./dialogs/CheckDialog').then((one) => one.CheckDialog));
const HistoryDialog = dynamic(() => import('./dialogs/HistoryDialog').then((one) => one.HistoryDialog));
const CommandHistory = dynamic(() => import('./dialogs/CommandHistory').then((one) => one.CommandHistory));
const KeyboardDialog = dynamic(() => import('./dialogs/KeyboardDialog').then((one) => one.KeyboardDialog));
const KeyCardDialog = dynamic(() => import('./dialogs/KeyCardDialog').then((one) => one.KeyCardDialog));

/** The one dialog that is asked for. */
export function BoardDialogs({ shown, ...props }: DialogProps & { shown: Shown }) {
  if (shown === 'check') return <CheckDialog {...props} />;
  if (shown === 'history') return <HistoryDialog {...props} />;
  if (shown === 'command history' && props.selected) return <CommandHistory {...props} selected={props.selected} />;
  if (shown === 'keyboard') return <KeyboardDialog {...props} />;
  if (shown.startsWith('key ')) return <KeyCardDialog {...props} code={shown.slice(4)} />;
  return null;
}
