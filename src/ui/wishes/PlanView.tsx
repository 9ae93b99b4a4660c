'use client';

import Button from '@mui/material/Button';
import Stack from '@mui/material/Stack';
import { X } from 'lucide-react';
import { memo, useEffect, useMemo, useState } from 'react';
import { explainLine } from '@/core/advice/explainLine';
import type { PlanLine, WishList } from '@/core/advice/wishList';
import type { ChordText } from '@/core/chord/chord';
import type { ProgramFacts } from '@/core/clash/clashIndex';
import { bindingsOf, type Keymap } from '@/core/keymap/keymap';
import { type CommandId, pathText } from '@/core/program/program';
import { Column } from '../kit/Column';
import { DropChip } from '../kit/DropChip';
import { FilterChip } from '../kit/FilterChip';
import { IconAction } from '../kit/IconAction';
import { Progress } from '../kit/Progress';
import { Row } from '../kit/Row';
import { useStable } from '../kit/useStable';
import { KeyCaps } from '../parts/KeyCaps';
import { ReachBar } from '../parts/ReachBar';
import { SentenceView } from '../parts/SentenceView';
import { spoken } from '../parts/spoken';
import { planWords, settledWords } from './planWords';
import type { Planning } from './usePlan';
import styles from './wishes.module.css';

type Props = {
  readonly facts: ProgramFacts;
  readonly keymap: Keymap;
  readonly list: WishList;
  readonly planning: Planning;
  /** Whether the plan is for the list as it stands. */
  readonly fresh: boolean;
  readonly locked: boolean;
  readonly onChange: (values: Partial<WishList>) => void;
  readonly onWish: (commands: readonly CommandId[], on: boolean) => void;
  readonly onPut: () => void;
};

/** The plan line by line, each explained, to be pinned, ruled out, or put on the tape as a whole. */
export function PlanView({ facts, keymap, list, planning, fresh, locked, onChange, onWish, onPut }: Props) {
  const { made, state, part } = planning;
  const late = useLate(!fresh);
  const pinned = useMemo(() => new Set(list.pins.map(([id]) => id)), [list.pins]);
  const ruledOut = useMemo(() => {
    const found = new Map<CommandId, ChordText[]>();
    for (const [id, chord] of list.forbids) found.set(id, [...(found.get(id) ?? []), chord]);
    return found;
  }, [list.forbids]);
  const without = (pairs: WishList['pins'], command: CommandId, keys?: ChordText): WishList['pins'] =>
    pairs.filter(([id, one]) => id !== command || (keys !== undefined && one !== keys));
  // Each line is drawn anew only where something of its own has changed.
  const onPin = useStable((command: CommandId, chord: ChordText | null) => {
    const left = without(list.pins, command);
    onChange({ pins: chord === null ? left : [...left, [command, chord]] });
  });
  const onRuleOut = useStable((command: CommandId, chord: ChordText) =>
    onChange({ forbids: [...list.forbids, [command, chord]], pins: without(list.pins, command) }),
  );
  const onAllow = useStable((command: CommandId, chord: ChordText) =>
    onChange({ forbids: without(list.forbids, command, chord) }),
  );
  const onStay = useStable((command: CommandId) => onChange({ stays: [...list.stays, command] }));
  if (list.wishes.length === 0) {
    return (
      <Stack className="card" spacing={3} sx={{ p: 5, maxWidth: '44rem' }}>
        <h2>The best keys for all your wishes at once</h2>
        <p>
          Tick on the left what you do all day. Gray Pin then weighs every free key for every wish together: how well
          the free hand reaches it, a letter that reminds of the name, partners side by side, the family of its menu,
          your keys in other programs.
        </p>
        <p className="soft">
          Nothing changes before you put the plan on the tape, and then it is one ticket that can be undone.
        </p>
      </Stack>
    );
  }
  const plan = made?.answer.plan;
  const changed = plan?.lines.filter((line) => line.before?.chord !== line.after?.chord) ?? [];
  const wished = changed.filter((line) => line.role === 'wish');
  const settled = plan?.lines.filter((line) => line.settled).length ?? 0;
  return (
    <>
      <Row wraps gap={3}>
        <strong role="status" data-ms={fresh ? made?.answer.ms : undefined}>
          {state === 'failed'
            ? 'The plan could not be made.'
            : state === 'cancelled'
              ? 'Planning was cancelled.'
              : plan && !late
                ? planWords(plan, wished.length, list.wishes.length, settled)
                : 'Planning…'}
        </strong>
        {state === 'working' && late && (
          <>
            <Progress label="Planning" part={part} />
            <Button variant="text" onClick={planning.cancel}>
              Cancel
            </Button>
          </>
        )}
        {(state === 'failed' || state === 'cancelled') && (
          <Button variant="outlined" onClick={planning.again}>
            Plan again
          </Button>
        )}
        <span className="push" />
        <Button variant="contained" disabled={!fresh || !plan?.ticket || locked} onClick={onPut}>
          Put it on the tape
        </Button>
      </Row>
      {plan && (
        <ol className={styles.lines} data-stale={late || undefined} aria-label="Plan">
          {plan.lines.map((line) => (
            <Line
              key={`${line.command} ${line.role} ${line.before?.chord ?? ''}`}
              line={line}
              facts={facts}
              keymap={keymap}
              pinned={pinned.has(line.command)}
              ruledOut={ruledOut.get(line.command) ?? NOTHING}
              lostPin={plan.lostPins.some(([id]) => id === line.command)}
              onPin={onPin}
              onRuleOut={onRuleOut}
              onAllow={onAllow}
              onStay={onStay}
              onWish={onWish}
            />
          ))}
        </ol>
      )}
      {plan && settled > 0 && (
        <Row wraps>
          <span className="soft small">{settledWords(settled)}</span>
          <Button variant="inline" onClick={() => onChange({ settled: [] })}>
            Plan {settled === 1 ? 'it' : 'them'} anew, too
          </Button>
        </Row>
      )}
      {list.stays.length > 0 && (
        <p className="chords small">
          <span className="soft">Must not move:</span>
          {list.stays.map((id) => (
            <DropChip
              key={id}
              label={`${facts.commands.get(id)?.name ?? id} may move again`}
              onDrop={() => onChange({ stays: list.stays.filter((one) => one !== id) })}
            >
              {facts.commands.get(id)?.name ?? id}
            </DropChip>
          ))}
        </p>
      )}
    </>
  );
}

/** How long, in ms, planning may take before it is told of; most plans are there sooner. */
const SOON = 300;

/** Whether something has been so for longer than a moment. */
function useLate(on: boolean): boolean {
  const [late, setLate] = useState(false);
  useEffect(() => {
    if (!on) {
      setLate(false);
      return;
    }
    const timer = window.setTimeout(() => setLate(true), SOON);
    return () => window.clearTimeout(timer);
  }, [on]);
  return on && late;
}

const NOTHING: readonly ChordText[] = [];
type LineProps = Pick<Props, 'facts' | 'keymap' | 'onWish'> & {
  readonly line: PlanLine;
  readonly pinned: boolean;
  readonly ruledOut: readonly ChordText[];
  readonly lostPin: boolean;
  readonly onPin: (command: CommandId, chord: ChordText | null) => void;
  readonly onRuleOut: (command: CommandId, chord: ChordText) => void;
  readonly onAllow: (command: CommandId, chord: ChordText) => void;
  readonly onStay: (command: CommandId) => void;
};
const Line = memo(function Line({ line, facts, keymap, pinned, ruledOut, lostPin, ...on }: LineProps) {
  const command = facts.commands.get(line.command);
  const said = useMemo(() => explainLine(line, facts, keymap.bindings), [line, facts, keymap]);
  const changes = line.before?.chord !== line.after?.chord;
  const [kept] = bindingsOf(keymap, line.command);
  const now = line.before?.chord ?? kept?.chord ?? null;
  if (!command) return null;
  const { name } = command;
  const chord: ChordText | undefined = line.after?.chord;
  return (
    <li
      className={`wraps ${styles.line}`}
      data-role={line.role}
      data-command={line.command}
      data-changes={changes || undefined}
    >
      <div className={styles.lineName}>
        <strong>{name}</strong>
        <span className="soft small">{pathText(command.path)}</span>
      </div>
      <Column gap={1}>
        <span className="chords">
          {now !== null ? <KeyCaps chord={now} /> : <span className="soft">no key</span>}
          {changes && (
            <>
              <span aria-hidden="true">→</span>
              <span className="hidden">to</span>
              {chord !== undefined ? (
                <span className={styles.after} data-after>
                  <KeyCaps chord={chord} />
                </span>
              ) : (
                <span className="soft">no key</span>
              )}
            </>
          )}
        </span>
        <span className="chords">
          <ReachBar reach={line.before?.reach} />
          {changes && (
            <>
              <span aria-hidden="true">→</span>
              <ReachBar reach={line.after?.reach} />
            </>
          )}
        </span>
      </Column>
      <div>
        <p>
          {line.role === 'giver' && <span className="soft">Pushed. </span>}
          <SentenceView sentence={said} />
        </p>
        {lostPin && <p className="problem">Your pin can’t be held: something stands in the way of those keys.</p>}
        {ruledOut.length > 0 && (
          <p className="chords small">
            <span className="soft">Ruled out:</span>
            {ruledOut.map((keys) => (
              <DropChip
                key={keys}
                label={`Allow ${spoken(keys)} again for ${name}`}
                onDrop={() => on.onAllow(line.command, keys)}
              >
                <KeyCaps chord={keys} silent />
              </DropChip>
            ))}
          </p>
        )}
      </div>
      <Row wraps>
        {line.role === 'wish' ? (
          <>
            <FilterChip
              pressed={pinned}
              aria-label={`Pin ${name}${chord === undefined ? '' : ` on ${spoken(chord)}`}`}
              disabled={chord === undefined && !pinned}
              onClick={() => on.onPin(line.command, pinned ? null : (chord ?? null))}
            >
              Pin
            </FilterChip>
            <Button
              variant="inline"
              disabled={chord === undefined}
              aria-label={`Rule out ${chord === undefined ? 'these keys' : spoken(chord)} for ${name}`}
              onClick={() => chord !== undefined && on.onRuleOut(line.command, chord)}
            >
              Not these
            </Button>
            <IconAction icon={X} label={`Take ${name} off the list`} onClick={() => on.onWish([line.command], false)} />
          </>
        ) : (
          <Button variant="inline" aria-label={`${name} must not move`} onClick={() => on.onStay(line.command)}>
            Must not move
          </Button>
        )}
      </Row>
    </li>
  );
});
