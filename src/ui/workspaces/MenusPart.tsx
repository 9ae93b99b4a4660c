'use client';

import Button from '@mui/material/Button';
import IconButton from '@mui/material/IconButton';
import { useMemo, useState } from 'react';
import type { Keymap } from '@/core/keymap/keymap';
import type { Command, CommandId, Program } from '@/core/program/program';
import { fold } from '@/core/text/fold';
import { counted } from '@/core/text/sentence';
import { menusOf } from '@/core/tryout/menus';
import {
  describeHidingCost,
  hideLines,
  hidingCost,
  INK_WORDS,
  INKS,
  type Ink,
  markLines,
  marksOf,
  showLines,
} from '@/core/workspace/dressing';
import type { Room } from '@/core/workspace/room';
import { Find } from '../kit/Find';
import { Row } from '../kit/Row';
import { Segments } from '../kit/Segments';
import { Tick } from '../kit/Tick';
import { VirtualRows } from '../kit/VirtualRows';
import { ConfirmDialog, type Question } from '../parts/ConfirmDialog';
import { KeyCaps } from '../parts/KeyCaps';
import type { KeysOf } from '../parts/useKeysOf';
import { InkMark } from '../room/InkMark';
import type { RoomActions } from '../room/useRoom';
import { useNotice } from '../shell/Notices';
import { HiddenList } from './HiddenList';
import { MenuNames } from './MenuNames';
import styles from './workspaces.module.css';

type Props = {
  readonly program: Program;
  readonly room: Room;
  readonly keymap: Keymap;
  readonly keysOf: KeysOf;
  readonly actions: RoomActions;
};
/** A row of the list: a branch with all lines below it, or a line. */
type LineRow =
  | { readonly kind: 'branch'; readonly title: string; readonly lines: readonly Command[] }
  | { readonly kind: 'line'; readonly command: Command };

const ONCE = [
  { text: 'This is asked once; further lines without keys are hidden at once, and Undo brings them back.' },
];

/** Which menu lines are marked, and with what, and which are hidden, in the program's own order. */
export function MenusPart({ program, room, keymap, keysOf, actions }: Props) {
  const { menus: dressing } = room;
  const tell = useNotice();
  const menus = useMemo(() => menusOf(program), [program]);
  const [at, setAt] = useState(0);
  const [words, setWords] = useState('');
  const [ink, setInk] = useState<Ink>('woad');
  const [question, setQuestion] = useState<Question | null>(null);
  const [agreed, setAgreed] = useState(false);
  const hidden = useMemo(() => new Set(dressing.hidden), [dressing]);
  const marks = useMemo(() => marksOf(dressing), [dressing]);
  const rows = useMemo(() => rowsOf(program, menus[at]?.name ?? '', words), [program, menus, at, words]);
  const found = rows.flatMap((one) => (one.kind === 'line' ? [one.command] : []));

  const hide = (lines: readonly Command[], what: string): void => {
    const fresh = lines.filter((one) => !hidden.has(one.id));
    const run = (): void => {
      actions.edit(`Hide ${what}`, {
        menus: hideLines(
          dressing,
          fresh.map((one) => one.id),
        ),
      });
      if (fresh.length > 1)
        tell(`${counted(fresh.length, 'line')} hidden.`, { words: 'Undo', run: () => actions.undo() });
    };
    const { keyless, keepers } = hidingCost(keymap, fresh);
    // That lines without keys are reached by nothing else is asked once for all.
    const cost = describeHidingCost({ keyless: agreed ? [] : keyless, keepers });
    if (cost.length === 0) run();
    else
      setQuestion({
        title: `Hide ${what}`,
        sentences: keyless.length > 0 && !agreed ? [...cost, ONCE] : cost,
        action: fresh.length === 1 ? 'Hide it' : `Hide ${counted(fresh.length, 'line')}`,
        run: () => {
          setAgreed(true);
          run();
        },
      });
  };
  const show = (lines: readonly CommandId[] | 'all', what: string): void =>
    actions.edit(`Bring back ${what}`, { menus: showLines(dressing, lines) });
  const mark = (lines: readonly Command[], what: string): void => {
    const ids = lines.map((one) => one.id);
    const off = ids.every((one) => marks.get(one) === ink);
    actions.edit(off ? `Take the mark off ${what}` : `Mark ${what} in ${INK_WORDS[ink].name}`, {
      menus: markLines(dressing, ids, off ? null : ink),
    });
  };

  return (
    <div className={`panes ${styles.menus}`}>
      <MenuNames
        {...{ menus, hidden, marks }}
        at={words === '' ? at : null}
        onGo={(i) => {
          setAt(i);
          setWords('');
        }}
      />
      <section className={styles.menuBody} aria-label="Lines">
        <Row wraps gap={4} className={styles.inkBar}>
          <Find label="Find a line in all menus" value={words} onChange={setWords} />
          <Row gap={2} wraps>
            <strong aria-hidden="true">Mark with</strong>
            <Segments
              label="Mark with"
              hidden
              value={ink}
              options={INKS.map((one) => [
                one,
                <span
                  key={one}
                  className={styles.ink}
                  data-tip={`${INK_WORDS[one].name}: ${INK_WORDS[one].color}, a ${INK_WORDS[one].shape}`}
                >
                  <InkMark ink={one} size={14} silent />
                  <span>
                    {INK_WORDS[one].name} <br />
                    <small>{INK_WORDS[one].color}</small>
                  </span>
                </span>,
              ])}
              onChange={setInk}
            />
          </Row>
        </Row>
        {words !== '' && (
          <Row wraps style={{ padding: 'var(--space-1) var(--space-4)' }}>
            <span className="soft">{counted(found.length, 'line')} found</span>
            {found.length > 0 && (
              <>
                <Button variant="text" onClick={() => mark(found, counted(found.length, 'line'))}>
                  Mark them in {INK_WORDS[ink].name}
                </Button>
                <Button variant="text" onClick={() => hide(found, counted(found.length, 'line'))}>
                  Hide them
                </Button>
              </>
            )}
          </Row>
        )}
        <Lines
          rows={rows}
          hidden={hidden}
          marks={marks}
          ink={ink}
          keysOf={keysOf}
          onHide={hide}
          onShow={show}
          onMark={mark}
        />
      </section>
      <HiddenList program={program} dressing={dressing} onShow={show} />
      {question && <ConfirmDialog question={question} onClose={() => setQuestion(null)} />}
    </div>
  );
}

/** The rows of one menu, or of what is found in all of them; the first row stands for the whole menu. */
function rowsOf(program: Program, menu: string, words: string): LineRow[] {
  const wanted = fold(words.trim());
  const rows: LineRow[] = [];
  for (const one of menusOf(program)) {
    if (wanted === '' && one.name !== menu) continue;
    const commands = one.lines.flatMap((line) => ('command' in line ? [line.command] : []));
    const found = wanted === '' ? commands : commands.filter((command) => fold(command.name).includes(wanted));
    if (found.length === 0) continue;
    rows.push({ kind: 'branch', title: one.name, lines: found });
    let branch = '';
    for (const command of found) {
      const deeper = command.path.slice(1).join(' › ');
      if (deeper !== branch && deeper !== '')
        rows.push({
          kind: 'branch',
          title: `${one.name} › ${deeper}`,
          lines: found.filter((other) => other.path.slice(1).join(' › ') === deeper),
        });
      branch = deeper;
      rows.push({ kind: 'line', command });
    }
  }
  return rows;
}

type LinesProps = {
  readonly rows: readonly LineRow[];
  readonly hidden: ReadonlySet<CommandId>;
  readonly marks: ReadonlyMap<CommandId, Ink>;
  readonly ink: Ink;
  readonly keysOf: KeysOf;
  readonly onHide: (lines: readonly Command[], what: string) => void;
  readonly onShow: (lines: readonly CommandId[], what: string) => void;
  readonly onMark: (lines: readonly Command[], what: string) => void;
};

function Lines({ rows, hidden, marks, ink, keysOf, onHide, onShow, onMark }: LinesProps) {
  return (
    <VirtualRows
      rows={rows}
      keyOf={(row) => (row.kind === 'branch' ? `branch ${row.title}` : row.command.id)}
      height={36}
      className={styles.menuScroll}
      rowsRole="list"
      rowsLabel="Menu lines"
      empty={<p className="empty">No line is called so.</p>}
    >
      {(row) => {
        if (row.kind === 'branch') {
          const away = row.lines.filter((one) => hidden.has(one.id));
          return (
            <div className={styles.branch}>
              <strong>{row.title}</strong>
              <span className="soft">
                {counted(row.lines.length, 'line')}
                {away.length > 0 && `, ${away.length} hidden`}
              </span>
              <span className="push" />
              <Button variant="inline" onClick={() => onMark(row.lines, row.title)}>
                Mark all<span className="hidden"> of {row.title}</span>
              </Button>
              {away.length < row.lines.length && (
                <Button variant="inline" onClick={() => onHide(row.lines, row.title)}>
                  Hide all<span className="hidden"> of {row.title}</span>
                </Button>
              )}
              {away.length > 0 && (
                <Button
                  variant="inline"
                  onClick={() =>
                    onShow(
                      away.map((one) => one.id),
                      row.title,
                    )
                  }
                >
                  Bring back<span className="hidden"> all of {row.title}</span>
                </Button>
              )}
            </div>
          );
        }
        const { command } = row;
        const own = marks.get(command.id);
        const away = hidden.has(command.id);
        return (
          <div className={styles.menuLine} data-line={command.id} data-away={away || undefined}>
            <IconButton
              aria-label={
                own === ink
                  ? `Take the ${INK_WORDS[own].name} mark off ${command.name}`
                  : `Mark ${command.name} in ${INK_WORDS[ink].name}${own ? `, now ${INK_WORDS[own].name}` : ''}`
              }
              onClick={() => onMark([command], command.name)}
            >
              {own ? <InkMark ink={own} size={14} silent /> : <span className={styles.noMark} />}
            </IconButton>
            <Tick
              className={styles.lineName}
              checked={!away}
              onChange={() => (away ? onShow([command.id], command.name) : onHide([command], command.name))}
            >
              {command.name}
            </Tick>
            <span className="chords">
              {keysOf(command.id).map((one) => (
                <KeyCaps key={one} chord={one} />
              ))}
              {keysOf(command.id).length === 0 && <span className="soft small">no key</span>}
            </span>
          </div>
        );
      }}
    </VirtualRows>
  );
}
