'use client';

import Button from '@mui/material/Button';
import { useMemo, useState } from 'react';
import { describeFinding } from '@/core/clash/describeFinding';
import { DESKTOPS, type Desktop } from '@/core/desktop/desktopKeys';
import { type KeyboardChoice, SHAPES, SIZES } from '@/core/keyboard/keyboard';
import { LAYOUTS, layoutFacts } from '@/core/keyboard/layouts';
import { MOVES, type Move, type MovedBinding, moveKeyboard } from '@/core/keyboard/moveKeyboard';
import { type Where, whereOf } from '@/core/keyboard/where';
import { keyFaceLabel } from '@/core/layer/layer';
import { HANDS } from '@/core/reach/hand';
import { counted } from '@/core/text/sentence';
import { Disclosure } from '../../kit/Disclosure';
import { Picker } from '../../kit/Picker';
import { Row } from '../../kit/Row';
import { Segments } from '../../kit/Segments';
import { KeyCaps } from '../../parts/KeyCaps';
import { ScreenDialog } from '../../parts/ScreenDialog';
import { SentenceView } from '../../parts/SentenceView';
import { useNotice } from '../../shell/Notices';
import { useSettings } from '../../shell/SettingsContext';
import type { DialogProps } from './dialogProps';
import styles from './dialogs.module.css';

const SHAPE_WORDS = { ansi: 'ANSI', iso: 'ISO', jis: 'JIS' } as const;
const SIZE_WORDS = { full: 'Full', 'no pad': 'No number pad', compact: 'Compact' } as const;
const DESKTOP_WORDS = { windows: 'Windows', mac: 'Mac', linux: 'Linux' } as const;
const HAND_WORDS = { left: 'Left', right: 'Right' } as const;
const MOVE_WORDS: Readonly<Record<Move, string>> = {
  letters: 'Keep the letters',
  positions: 'Keep where the fingers go',
};

/** Which keyboard and desktop keys are judged for, and what becomes of this keymap on another. */
export function KeyboardDialog({ index, draft, onClose, onTicket }: DialogProps) {
  const { settings, change, where } = useSettings();
  const [choice, setChoice] = useState<KeyboardChoice & { desktop: Desktop }>({
    shape: settings.shape,
    size: settings.size,
    layout: settings.layout,
    desktop: settings.desktop,
  });
  const [move, setMove] = useState<Move>('letters');
  const tell = useNotice();
  const to = whereOf(choice, choice.desktop);
  const plan = useMemo(
    () => moveKeyboard(draft.keymap, where.keyboard, to, move, (chord) => index.facts.fixed.has(chord)),
    [draft.keymap, where.keyboard, to, move, index],
  );
  const same = to === where;
  const layout = layoutFacts(choice.layout);
  const use = async (): Promise<void> => {
    if (plan.changes.length > 0 && !(await onTicket({ title: `To ${to.keyboard.name}`, changes: plan.changes })))
      return;
    change(choice);
    tell(`Keys are judged for ${to.keyboard.name} from here on.`);
    onClose();
  };
  return (
    <ScreenDialog
      wide
      title="Keyboard and desktop"
      onClose={onClose}
      actions={
        <Button
          variant="contained"
          disabled={same || (plan.changes.length > 0 && draft.state.locked)}
          onClick={() => void use()}
        >
          {plan.changes.length > 0 ? `Use it and move ${counted(plan.moved.length, 'key')}` : 'Use this keyboard'}
        </Button>
      }
    >
      <div className={styles.keyboardChoice}>
        <Picker
          label="Language layout"
          value={layout}
          options={LAYOUTS}
          wordsOf={(one) => one.name}
          onChange={({ id, shape }) => setChoice({ ...choice, layout: id, shape })}
        />
        <Segments
          label="Shape"
          value={choice.shape}
          onChange={(shape) => setChoice({ ...choice, shape })}
          options={SHAPES.map((one) => [one, SHAPE_WORDS[one]] as const)}
        />
        <Segments
          label="Size"
          value={choice.size}
          onChange={(size) => setChoice({ ...choice, size })}
          options={SIZES.map((one) => [one, SIZE_WORDS[one]] as const)}
        />
        <Segments
          label="Desktop"
          value={choice.desktop}
          onChange={(desktop) => setChoice({ ...choice, desktop })}
          options={DESKTOPS.map((one) => [one, DESKTOP_WORDS[one]] as const)}
        />
        <Segments
          label="Free hand"
          value={settings.hand}
          onChange={(hand) => change({ hand })}
          options={HANDS.map((one) => [one, HAND_WORDS[one]] as const)}
        />
      </div>
      <Drawing where={to} />
      {choice.shape !== layout.shape && (
        <p className="soft">
          {layout.name} is mostly sold in the {SHAPE_WORDS[layout.shape]} shape.
        </p>
      )}
      <Segments
        label={`What becomes of ${draft.state.name}`}
        value={move}
        onChange={setMove}
        options={MOVES.map((one) => [one, MOVE_WORDS[one]] as const)}
      />
      <p role="status">
        {counted(plan.same, 'key')} stay as they are, {plan.moved.length} change, {plan.troubled.length} want a look.
      </p>
      <MoveList title="Change" rows={plan.moved} index={index} where={to} />
      <MoveList title="Want a look on this keyboard" rows={plan.troubled} index={index} where={to} />
    </ScreenDialog>
  );
}

const MOST = 80;
function MoveList({
  title,
  rows,
  index,
  where,
}: {
  title: string;
  rows: readonly MovedBinding[];
  index: DialogProps['index'];
  where: Where;
}) {
  if (rows.length === 0) return null;
  return (
    <Disclosure title={`${title} (${rows.length})`}>
      <ul>
        {rows.slice(0, MOST).map((row) => (
          <Row key={`${row.command} ${row.from}`} component="li" wraps>
            <strong>{index.facts.commands.get(row.command)?.name ?? row.command}</strong>
            <span className="chords">
              <KeyCaps chord={row.from} />
              {row.to !== row.from && (
                <>
                  <span aria-hidden="true">→</span> <KeyCaps chord={row.to} />
                </>
              )}
            </span>
            {row.troubles[0] && (
              <span className="soft">
                <SentenceView sentence={describeFinding(row.troubles[0], row.to, index.keymap, where)} />
              </span>
            )}
          </Row>
        ))}
        {rows.length > MOST && <li className="soft">and {rows.length - MOST} more</li>}
      </ul>
    </Disclosure>
  );
}

const UNIT = 30;

/** The keyboard as it is: its keys in true proportions with what they print. */
function Drawing({ where: { keyboard } }: { where: Where }) {
  const { settings } = useSettings();
  return (
    <svg
      className={styles.drawing}
      viewBox={`0 0 ${keyboard.width * UNIT} ${keyboard.height * UNIT}`}
      role="img"
      aria-label={`${keyboard.name} keyboard, ${SHAPE_WORDS[keyboard.choice.shape]}, ${SIZE_WORDS[keyboard.choice.size].toLowerCase()}`}
    >
      {keyboard.keys.map((key) => (
        <g key={key.code} transform={`translate(${key.x * UNIT} ${key.y * UNIT})`}>
          <rect
            x="1"
            y="1"
            width={key.width * UNIT - 2}
            height={key.height * UNIT - 2}
            rx="3"
            fill={key.levels.length > 0 ? 'var(--key)' : 'var(--key-dim)'}
            stroke="var(--line)"
            strokeWidth="0.8"
          />
          {key.levels.length === 0 ? (
            <text x="4" y="18" fontSize="7.5" fill="var(--text)">
              {keyFaceLabel(key, settings.notation)}
            </text>
          ) : (
            LEVEL_PLACES.map(([level, x, y]) => {
              const legend = key.levels[level];
              if (!legend || (level === 0 && key.levels[1]?.char === key.name)) return null;
              return (
                <text
                  key={level}
                  x={x}
                  y={y}
                  fontSize={level < 2 ? 9 : 7.5}
                  fill={level < 2 ? 'var(--text)' : 'var(--soft)'}
                >
                  {legend.char}
                </text>
              );
            })
          )}
        </g>
      ))}
    </svg>
  );
}
/** Where each level is printed on a key: base below, Shift above, AltGr at the right. */
const LEVEL_PLACES = [
  [0, 5, 25],
  [1, 5, 13],
  [2, 18, 25],
  [3, 18, 13],
] as const;
