'use client';

import { useVirtualizer } from '@tanstack/react-virtual';
import { memo, useEffect, useId, useRef } from 'react';
import type { ChordText } from '@/core/chord/chord';
import { describeCandidate, describeCounterpart } from '@/core/counterpart/describeCandidate';
import type { Command, CommandId } from '@/core/program/program';
import { pathText } from '@/core/program/program';
import type { Sentence } from '@/core/text/sentence';
import type { ChoiceKind } from '@/core/transfer/transferTypes';
import { KeyCaps } from '../parts/KeyCaps';
import { SentenceView } from '../parts/SentenceView';
import { useFocusKept } from '../parts/useFocusKept';
import { useSettings } from '../shell/SettingsContext';
import styles from './match.module.css';
import type { MatchRow } from './matchRows';

type Props = {
  readonly label: string;
  readonly empty: string;
  readonly rows: readonly MatchRow[];
  readonly names: readonly [there: string, here: string];
  readonly keysThere: ReadonlyMap<CommandId, readonly ChordText[]>;
  readonly keysHere: ReadonlyMap<CommandId, readonly ChordText[]>;
  readonly happens: (row: MatchRow) => Sentence;
  readonly onChoose: (mine: CommandId, kind: ChoiceKind | null) => void;
  readonly onOther: (row: MatchRow) => void;
  readonly onCounterpart: (row: MatchRow) => void;
  readonly onConfirm: (row: MatchRow) => void;
};
const ROW = 62;
const TEXT_SCALE = { normal: 1, large: 1.125, largest: 1.25 } as const;

/** What is done there and here, joined by wires, with a choice for each line. */
export function MatchLines({ label, empty, rows, names, ...on }: Props) {
  const { settings } = useSettings();
  const scroller = useRef<HTMLDivElement>(null);
  useFocusKept(scroller);
  const height = ROW * TEXT_SCALE[settings.textSize];
  const virtual = useVirtualizer({
    count: rows.length,
    getScrollElement: () => scroller.current,
    estimateSize: () => height,
    overscan: 8,
    getItemKey: (i) => rows[i]?.theirs.id ?? i,
  });
  // biome-ignore lint/correctness/useExhaustiveDependencies: rows of another size are measured anew.
  useEffect(() => virtual.measure(), [height]);
  return (
    <section className={`card ${styles.table}`} aria-label={label}>
      <div className={styles.columns} aria-hidden="true">
        <span>In {names[0]}</span>
        <span />
        <span>In {names[1]}</span>
        <span>What happens</span>
      </div>
      <div ref={scroller} tabIndex={-1} className={styles.scroller}>
        {rows.length === 0 && <p className="empty">{empty}</p>}
        <ul style={{ height: virtual.getTotalSize() }} className={styles.rows} aria-label={label}>
          {virtual.getVirtualItems().map((item) => {
            const row = rows[item.index];
            return (
              row && (
                <li
                  key={item.key}
                  ref={virtual.measureElement}
                  data-index={item.index}
                  aria-setsize={rows.length}
                  aria-posinset={item.index + 1}
                  className={styles.row}
                  style={{ transform: `translateY(${item.start}px)` }}
                  data-theirs={row.theirs.id}
                  data-choice={row.line?.choice}
                >
                  <Line row={row} {...on} />
                </li>
              )
            );
          })}
        </ul>
      </div>
    </section>
  );
}

type LineProps = Omit<Props, 'rows' | 'label' | 'empty' | 'names'> & { readonly row: MatchRow };
const Line = memo(function Line({ row, keysThere, keysHere, happens, ...on }: LineProps) {
  const { theirs, mine, counterpart, line } = row;
  const sure = counterpart?.confidence === 'sure';
  return (
    <>
      <Side command={theirs} keys={keysThere.get(theirs.id) ?? NONE} />
      {counterpart && mine ? (
        <button
          type="button"
          className={styles.wire}
          data-sure={sure || undefined}
          aria-label={`${sure ? 'Counterpart' : 'Likely counterpart'} of ${theirs.name}: ${mine.name}. Correct it`}
          title={`${theirs.name} and ${mine.name}: ${inWords(describeCounterpart(counterpart))}. Correct it`}
          onClick={() => on.onCounterpart(row)}
        />
      ) : (
        <span className={styles.noWire} aria-hidden="true" />
      )}
      {mine ? <Side command={mine} keys={keysHere.get(mine.id) ?? NONE} soft={!sure} /> : <span />}
      <div className={styles.happens}>
        {sure && line && line.choice !== 'same' && mine && <Choices row={row} mine={mine} {...on} />}
        {line?.choice === 'same' && mine && (
          <button
            type="button"
            className={styles.link}
            aria-label={`Other keys for ${mine.name}`}
            onClick={() => on.onOther(row)}
          >
            Other key…
          </button>
        )}
        {counterpart && !sure && mine && (
          <span className={styles.buttons}>
            <button
              type="button"
              className="chip"
              aria-label={`Yes, ${theirs.name} is ${mine.name}`}
              onClick={() => on.onConfirm(row)}
            >
              Yes, the same
            </button>
            <button
              type="button"
              className="chip"
              aria-label={`Choose the counterpart of ${theirs.name}`}
              onClick={() => on.onCounterpart(row)}
            >
              Choose counterpart…
            </button>
          </span>
        )}
        {!counterpart && (
          <button
            type="button"
            className={styles.link}
            aria-label={`Choose the counterpart of ${theirs.name}`}
            onClick={() => on.onCounterpart(row)}
          >
            Choose one…
          </button>
        )}
        <p className={styles.what}>
          {sure && line && <SentenceView sentence={happens(row)} />}
          {sure && !line && counterpart && <SentenceView sentence={describeCounterpart(counterpart)} />}
          {counterpart && !sure && counterpart.candidates[0] && (
            <SentenceView sentence={describeCandidate(counterpart.candidates[0])} />
          )}
        </p>
      </div>
    </>
  );
});

const NONE: readonly ChordText[] = [];
/** The words of a phrase that has no keys in it. */
const inWords = (phrase: Sentence): string => phrase.map((span) => ('text' in span ? span.text : '')).join('');

function Side({ command, keys, soft = false }: { command: Command; keys: readonly ChordText[]; soft?: boolean }) {
  return (
    <div className={styles.side} data-soft={soft || undefined}>
      <strong title={pathText([...command.path, command.name])}>{command.name}</strong>
      <span className={styles.keys}>
        {keys.length === 0 ? (
          <span className="soft">no key</span>
        ) : (
          keys.map((one) => <KeyCaps key={one} chord={one} />)
        )}
      </span>
    </div>
  );
}

const WORDS: Readonly<Record<ChoiceKind, string>> = { take: 'Take theirs', keep: 'Keep mine', other: 'Other key' };

function Choices({
  row,
  mine,
  onChoose,
  onOther,
}: Pick<Props, 'onChoose' | 'onOther'> & { row: MatchRow; mine: Command }) {
  const name = useId();
  const { line } = row;
  if (!line || line.choice === 'same') return null;
  return (
    <span className={styles.buttons}>
      <span className="segments small" role="radiogroup" aria-label={`Keys of ${mine.name}`}>
        {(['take', 'keep', 'other'] as const).map((kind) => (
          <label key={kind}>
            <input
              type="radio"
              name={name}
              checked={line.choice === kind}
              onChange={() => (kind === 'other' ? onOther(row) : onChoose(mine.id, kind))}
              onClick={() => kind === 'other' && line.choice === 'other' && onOther(row)}
            />
            {WORDS[kind]}
          </label>
        ))}
      </span>
      {line.byHand && (
        <button
          type="button"
          className={styles.link}
          aria-label={`Let the rules decide on ${mine.name}`}
          onClick={() => onChoose(mine.id, null)}
        >
          by the rules
        </button>
      )}
    </span>
  );
}
