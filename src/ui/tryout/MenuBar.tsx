'use client';

import Link from 'next/link';
import { type KeyboardEvent, memo, useEffect, useMemo, useRef, useState } from 'react';
import { ariaKeys } from '@/core/chord/ariaKeys';
import type { Command, CommandId, Program } from '@/core/program/program';
import { counted } from '@/core/text/sentence';
import { menusOf, type ProgramMenu } from '@/core/tryout/menus';
import { type Dressing, INK_WORDS, type Ink, marksOf } from '@/core/workspace/dressing';
import { KeyCaps } from '../parts/KeyCaps';
import type { KeysOf } from '../parts/useKeysOf';
import { InkMark } from '../room/InkMark';
import { useSettings } from '../shell/SettingsContext';
import styles from './tryout.module.css';

type Props = {
  readonly program: Program;
  readonly dressing: Dressing;
  readonly keysOf: KeysOf;
  /** The address of the bench for a command. */
  readonly bench: (command: Command) => string;
  readonly onCall: (command: Command) => void;
  readonly onLeave: () => void;
};

/** The menus of the stand-in program, their keys beside the lines, after the WAI-ARIA pattern of a menu bar. */
export const MenuBar = memo(function MenuBar({ program, dressing, keysOf, bench, onCall, onLeave }: Props) {
  const menus = useMemo(() => menusOf(program, dressing), [program, dressing]);
  const marks = useMemo(() => marksOf(dressing), [dressing]);
  const [open, setOpen] = useState<number | null>(null);
  const [at, setAt] = useState(0);
  const bar = useRef<HTMLDivElement>(null);
  const focusMenu = (i: number): void => {
    setAt(i);
    bar.current?.querySelectorAll<HTMLElement>(':scope > [role=none] > [role=menuitem]')[i]?.focus();
  };
  const go = (i: number, opened: boolean): void => {
    const next = (i + menus.length) % menus.length;
    if (opened) setOpen(next);
    focusMenu(next);
  };
  const onKeyDown = (event: KeyboardEvent, i: number): void => {
    const { key } = event;
    if (key === 'ArrowRight') go(i + 1, false);
    else if (key === 'ArrowLeft') go(i - 1, false);
    else if (key === 'Home') go(0, false);
    else if (key === 'End') go(menus.length - 1, false);
    else if (key === 'ArrowDown' || key === 'Enter' || key === ' ') setOpen(i);
    else if (key === 'Escape') onLeave();
    else return;
    event.preventDefault();
    event.stopPropagation();
  };
  const close = (): void => {
    setOpen(null);
    focusMenu(at);
  };
  return (
    <div ref={bar} role="menubar" aria-label={`Menus of ${program.name}`} className={styles.menubar}>
      {menus.map((menu, i) => (
        <div key={menu.name} role="none" className={styles.menuSlot}>
          <button
            type="button"
            role="menuitem"
            aria-haspopup="menu"
            aria-expanded={open === i}
            tabIndex={at === i ? 0 : -1}
            onClick={() => {
              setAt(i);
              setOpen(open === i ? null : i);
            }}
            onMouseEnter={() => open !== null && open !== i && go(i, true)}
            onKeyDown={(event) => onKeyDown(event, i)}
          >
            {menu.name}
          </button>
          {open === i && (
            <OpenMenu
              menu={menu}
              marks={marks}
              keysOf={keysOf}
              bench={bench}
              onCall={(command) => {
                setOpen(null);
                onCall(command);
              }}
              onClose={close}
              onGo={(step) => go(i + step, true)}
              onOutside={() => setOpen(null)}
            />
          )}
        </div>
      ))}
    </div>
  );
});

const FIRST_LINES = 24;
const MORE_LINES = 60;

type OpenProps = Pick<Props, 'keysOf' | 'bench' | 'onCall'> & {
  readonly menu: ProgramMenu;
  readonly marks: ReadonlyMap<CommandId, Ink>;
  readonly onClose: () => void;
  readonly onGo: (step: number) => void;
  readonly onOutside: () => void;
};

function OpenMenu({ menu, marks, keysOf, bench, onCall, onClose, onGo, onOutside }: OpenProps) {
  const list = useRef<HTMLDivElement>(null);
  const typed = useRef({ text: '', at: 0 });
  // What can be seen is there at once; a long menu's other lines follow.
  const [lines, setLines] = useState(FIRST_LINES);
  useEffect(() => {
    if (lines >= menu.lines.length) return;
    const next = window.requestIdleCallback(() => setLines((now) => now + MORE_LINES), { timeout: 60 });
    return () => window.cancelIdleCallback(next);
  }, [lines, menu]);
  const { hidden } = menu;
  const [all, setAll] = useState(false);
  const showAll = (): void => {
    setAll(true);
    // The first of them stands where the button was.
    const at = items().length - 1;
    window.setTimeout(() => items()[at]?.focus());
  };
  const items = (): HTMLElement[] => [...(list.current?.querySelectorAll<HTMLElement>('[data-line]') ?? [])];
  // biome-ignore lint/correctness/useExhaustiveDependencies: when it opens.
  useEffect(() => items()[0]?.focus(), []);
  useEffect(() => {
    const outside = (event: MouseEvent): void => {
      if (!list.current?.parentElement?.contains(event.target as Node)) onOutside();
    };
    document.addEventListener('mousedown', outside);
    return () => document.removeEventListener('mousedown', outside);
  }, [onOutside]);
  const onKeyDown = (event: KeyboardEvent): void => {
    const all = items();
    const now = all.indexOf(document.activeElement as HTMLElement);
    const { key } = event;
    const focus = (i: number): void => all[(i + all.length) % all.length]?.focus();
    event.stopPropagation();
    if (key === 'ArrowDown') focus(now + 1);
    else if (key === 'ArrowUp') focus(now - 1);
    else if (key === 'Home') focus(0);
    else if (key === 'End') focus(all.length - 1);
    else if (key === 'ArrowRight') onGo(1);
    else if (key === 'ArrowLeft') onGo(-1);
    else if (key === 'Escape') onClose();
    else if (key === 'Enter' && event.shiftKey) all[now]?.parentElement?.querySelector<HTMLElement>('a')?.click();
    else if (key === 'Tab') onOutside();
    else if (key.length === 1 && !event.ctrlKey && !event.metaKey && !event.altKey && key !== ' ') {
      const { text, at } = typed.current;
      const next = (event.timeStamp - at < 700 ? text : '') + key.toLowerCase();
      typed.current = { text: next, at: event.timeStamp };
      const found = all.findIndex((one) => one.textContent?.toLowerCase().startsWith(next));
      if (found >= 0) focus(found);
    } else return;
    if (key !== 'Tab') event.preventDefault();
  };
  return (
    <div ref={list} role="menu" aria-label={menu.name} tabIndex={0} className={styles.menu} onKeyDown={onKeyDown}>
      {menu.lines.slice(0, lines).map((line, i) =>
        'heading' in line ? (
          <div key={`${line.heading} ${i}`} role="presentation" className={styles.heading}>
            {line.heading}
          </div>
        ) : (
          <MenuLineView
            key={line.command.id}
            command={line.command}
            marked={marks.size > 0}
            ink={marks.get(line.command.id)}
            keysOf={keysOf}
            bench={bench}
            onCall={onCall}
          />
        ),
      )}
      {hidden.length > 0 && !all && (
        <button type="button" role="menuitem" tabIndex={-1} data-line className={styles.showHidden} onClick={showAll}>
          Show {counted(hidden.length, 'hidden line')}
        </button>
      )}
      {all &&
        hidden.map((command) => (
          <MenuLineView
            key={command.id}
            command={command}
            marked={marks.size > 0}
            ink={marks.get(command.id)}
            away
            keysOf={keysOf}
            bench={bench}
            onCall={onCall}
          />
        ))}
    </div>
  );
}

type LineProps = Pick<Props, 'keysOf' | 'bench' | 'onCall'> & {
  readonly command: Command;
  /** Whether any line is marked, so that all leave room for a mark. */
  readonly marked: boolean;
  readonly ink: Ink | undefined;
  /** Whether it is hidden and only shown for now. */
  readonly away?: boolean;
};

function MenuLineView({ command, marked, ink, away = false, keysOf, bench, onCall }: LineProps) {
  const { where } = useSettings();
  return (
    <div role="none" className={styles.line} data-command={command.id} data-away={away || undefined}>
      <button
        type="button"
        role="menuitem"
        tabIndex={-1}
        data-line
        aria-keyshortcuts={ariaKeys(keysOf(command.id), where.desktop === 'mac')}
        onClick={() => onCall(command)}
      >
        {marked && <span className={styles.markSlot}>{ink && <InkMark ink={ink} silent />}</span>}
        {command.name}
        {ink && <span className="hidden"> ({INK_WORDS[ink].name} mark)</span>}
      </button>
      <Link
        href={bench(command)}
        role="menuitem"
        tabIndex={-1}
        prefetch={false}
        className={styles.lineKeys}
        aria-label={`Change the keys of ${command.name}`}
        data-tip="Change its keys (Shift+Enter)"
      >
        {keysOf(command.id).length === 0 ? (
          <span className="soft">no key</span>
        ) : (
          keysOf(command.id).map((one) => <KeyCaps key={one} chord={one} silent />)
        )}
      </Link>
    </div>
  );
}
