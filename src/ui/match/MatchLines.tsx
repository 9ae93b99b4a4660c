'use client';

import Button from '@mui/material/Button';
import ButtonBase from '@mui/material/ButtonBase';
import { memo, useRef } from 'react';
import type { ChordText } from '@/core/chord/chord';
import { describeCandidate, describeCounterpart } from '@/core/counterpart/describeCandidate';
import type { Command, CommandId } from '@/core/program/program';
import { pathText } from '@/core/program/program';
import type { Sentence } from '@/core/text/sentence';
import type { ChoiceKind } from '@/core/transfer/transferTypes';
import { Column } from '../kit/Column';
import { Row } from '../kit/Row';
import { Segments } from '../kit/Segments';
import { TEXT_SCALE } from '../kit/tokens';
import { VirtualRows } from '../kit/VirtualRows';
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

/** What is done there and here, joined by wires, with a choice for each line. */
export function MatchLines({ label, empty, rows, names, ...on }: Props) {
  const { settings } = useSettings();
  const scroller = useRef<HTMLDivElement>(null);
  useFocusKept(scroller);
  return (
    <section className={`card ${styles.table}`} aria-label={label}>
      <div className={`wraps ${styles.columns}`} aria-hidden="true">
        <span>In {names[0]}</span>
        <span />
        <span>In {names[1]}</span>
        <span>What happens</span>
      </div>
      <VirtualRows
        rows={rows}
        keyOf={(row) => row.theirs.id}
        height={ROW * TEXT_SCALE[settings.textSize]}
        scroller={scroller}
        tabIndex={-1}
        className={styles.scroller}
        rowsRole="list"
        rowsLabel={label}
        empty={<p className="empty">{empty}</p>}
      >
        {(row) => (
          <div className={`wraps ${styles.row}`} data-theirs={row.theirs.id} data-choice={row.line?.choice}>
            <Line row={row} {...on} />
          </div>
        )}
      </VirtualRows>
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
        <ButtonBase
          className={styles.wire}
          data-sure={sure || undefined}
          aria-label={`${sure ? 'Counterpart' : 'Likely counterpart'} of ${theirs.name}: ${mine.name}. Correct it`}
          data-tip={`${theirs.name} and ${mine.name}: ${inWords(describeCounterpart(counterpart))}. Correct it`}
          onClick={() => on.onCounterpart(row)}
        />
      ) : (
        <span className={styles.noWire} aria-hidden="true" />
      )}
      {mine ? <Side command={mine} keys={keysHere.get(mine.id) ?? NONE} soft={!sure} /> : <span />}
      <div>
        {sure && line && line.choice !== 'same' && mine && <Choices row={row} mine={mine} {...on} />}
        {line?.choice === 'same' && mine && (
          <Button variant="inline" aria-label={`Other keys for ${mine.name}`} onClick={() => on.onOther(row)}>
            Other key…
          </Button>
        )}
        {counterpart && !sure && mine && (
          <Row component="span" wraps>
            <Button
              variant="outlined"
              aria-label={`Yes, ${theirs.name} is ${mine.name}`}
              onClick={() => on.onConfirm(row)}
            >
              Yes, the same
            </Button>
            <Button
              variant="text"
              aria-label={`Choose the counterpart of ${theirs.name}`}
              onClick={() => on.onCounterpart(row)}
            >
              Choose counterpart…
            </Button>
          </Row>
        )}
        {!counterpart && (
          <Button
            variant="inline"
            aria-label={`Choose the counterpart of ${theirs.name}`}
            onClick={() => on.onCounterpart(row)}
          >
            Choose one…
          </Button>
        )}
        <p className="soft small">
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
    <Column gap={1} data-soft={soft || undefined}>
      <strong data-tip={pathText([...command.path, command.name])}>{command.name}</strong>
      <span className="chords">
        {keys.length === 0 ? (
          <span className="soft">no key</span>
        ) : (
          keys.map((one) => <KeyCaps key={one} chord={one} />)
        )}
      </span>
    </Column>
  );
}

const CHOICES: readonly (readonly [ChoiceKind, string])[] = [
  ['take', 'Take theirs'],
  ['keep', 'Keep mine'],
  ['other', 'Other key'],
];

function Choices({
  row,
  mine,
  onChoose,
  onOther,
}: Pick<Props, 'onChoose' | 'onOther'> & { row: MatchRow; mine: Command }) {
  const { line } = row;
  if (!line || line.choice === 'same') return null;
  return (
    <Row component="span" wraps>
      <Segments
        label={`Keys of ${mine.name}`}
        hidden
        value={line.choice}
        options={CHOICES}
        onChange={(kind) => (kind === 'other' ? onOther(row) : onChoose(mine.id, kind))}
        onAgain={(kind) => kind === 'other' && onOther(row)}
      />
      {line.byHand && (
        <Button
          variant="inline"
          aria-label={`Let the rules decide on ${mine.name}`}
          onClick={() => onChoose(mine.id, null)}
        >
          by the rules
        </Button>
      )}
    </Row>
  );
}
