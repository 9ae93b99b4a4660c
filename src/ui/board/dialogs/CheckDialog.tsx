'use client';

import Button from '@mui/material/Button';
import { useMemo, useRef, useState } from 'react';
import type { Advisor } from '@/core/advice/advisor';
import { shortReason } from '@/core/advice/describeReason';
import { type FarKeys, farKeys, nearerKeys } from '@/core/advice/farKeys';
import {
  checkKeymap,
  describeTrouble,
  type Fix,
  fixesFor,
  GRAVITIES,
  type Gravity,
  type Trouble,
} from '@/core/clash/checkKeymap';
import type { ClashIndex } from '@/core/clash/clashIndex';
import type { Ticket } from '@/core/keymap/ticket';
import { describeReach } from '@/core/reach/describeReach';
import { counted } from '@/core/text/sentence';
import { Disclosure } from '../../kit/Disclosure';
import { Row } from '../../kit/Row';
import { KeyCaps } from '../../parts/KeyCaps';
import { ScreenDialog } from '../../parts/ScreenDialog';
import { SentenceView } from '../../parts/SentenceView';
import { useSettings } from '../../shell/SettingsContext';
import { Mark } from '../Mark';
import type { DialogProps } from './dialogProps';
import { SettleClashes } from './SettleClashes';

const TITLES: Readonly<Record<Gravity, string>> = {
  wrong: 'Wrong: it can’t work like this',
  risky: 'Risky: it may not be heard, or something dear is lost',
  known: 'Shared on purpose, and good to know',
};
const MARKS = { wrong: 'held', risky: 'warned', known: 'known' } as const;
const FIRST = 60;

/** All that is wrong, risky or worth knowing in a keymap, each with its fixes, each fix a ticket. */
export function CheckDialog({ index, draft, advisor, uses, onClose, onOpen, onTicket }: DialogProps) {
  const { where } = useSettings();
  const [fixing, setFixing] = useState(false);
  const [done, setDone] = useState('');
  const head = useRef<HTMLParagraphElement>(null);
  const troubles = useMemo(() => checkKeymap(index, where, draft.factory), [index, where, draft.factory]);
  const far = useMemo(() => farKeys(advisor(), index, uses), [advisor, index, uses]);
  const fix = async (one: { readonly ticket: Ticket }): Promise<void> => {
    // What was pressed goes away with what it mends, and the focus must not.
    head.current?.focus({ preventScroll: true });
    setFixing(true);
    const stored = await onTicket(one.ticket);
    setFixing(false);
    if (!stored) return;
    setDone(one.ticket.title);
    // On to the next that can be mended; where none is left the words above say so.
    window.requestAnimationFrame(() =>
      head.current?.parentElement?.querySelector<HTMLElement>('[data-kind] button')?.focus({ preventScroll: true }),
    );
  };
  const clashes = troubles.filter((one) => one.finding.kind === 'held by').length;
  const bad = troubles.filter((one) => one.gravity !== 'known').length;
  return (
    <ScreenDialog
      wide
      title={bad === 0 ? 'Nothing is wrong in this keymap' : `${counted(bad, 'thing')} to look at`}
      onClose={onClose}
    >
      <p ref={head} tabIndex={-1} className="soft" role="status">
        {done !== '' && `${done}: done, and on the tape. `}
        {bad === 0
          ? 'No clash, nothing that can’t be typed here, no keeper lost.'
          : 'Each fix lands on the tape as a ticket, so it can be taken back.'}
      </p>
      {clashes > 0 && (
        <SettleClashes {...{ index, advisor, uses }} busy={fixing} onFix={(ticket) => void fix({ ticket })} />
      )}
      {GRAVITIES.map((gravity) => {
        const some = troubles.filter((one) => one.gravity === gravity);
        return some.length === 0 ? null : (
          <Disclosure
            key={gravity}
            data-gravity={gravity}
            open={gravity !== 'known'}
            title={`${TITLES[gravity]} (${some.length})`}
          >
            <ul className="ruled">
              {some.slice(0, FIRST).map((trouble) => (
                <TroubleRow
                  key={`${trouble.command.id} ${trouble.chord} ${trouble.finding.kind}`}
                  trouble={trouble}
                  index={index}
                  busy={fixing}
                  onFix={(one) => void fix(one)}
                  onOpen={() => onOpen(trouble.command)}
                />
              ))}
              {some.length > FIRST && <li className="soft">and {some.length - FIRST} more</li>}
            </ul>
          </Disclosure>
        );
      })}
      {far.length > 0 && (
        <Disclosure data-gravity="far" open={bad === 0} title={`Used often, but hard to reach (${far.length})`}>
          <ul className="ruled">
            {far.slice(0, FIRST).map((one) => (
              <FarRow
                key={one.command.id}
                far={one}
                advisor={advisor}
                index={index}
                busy={fixing}
                onFix={(ticket) => void fix({ ticket })}
                onOpen={() => onOpen(one.command)}
              />
            ))}
            {far.length > FIRST && <li className="soft">and {far.length - FIRST} more</li>}
          </ul>
        </Disclosure>
      )}
    </ScreenDialog>
  );
}

type FarProps = {
  readonly far: FarKeys;
  readonly advisor: () => Advisor;
  readonly index: ClashIndex;
  readonly busy: boolean;
  readonly onFix: (ticket: Ticket) => void;
  readonly onOpen: () => void;
};
function FarRow({ far, advisor, index, busy, onFix, onOpen }: FarProps) {
  const nearer = useMemo(() => nearerKeys(advisor(), index, far), [advisor, index, far]);
  const [why] = nearer?.suggestion.reasons ?? [];
  return (
    <Row component="li" align="flex-start" gap={3} data-kind="hard to reach" data-command={far.command.id}>
      <Mark state="known" />
      <div>
        <p>
          <strong>{far.command.name}</strong> is on <KeyCaps chord={far.chord} />, used about {Math.round(far.uses)}{' '}
          times a day. {describeReach(far.reach)}
        </p>
        <Row wraps>
          {nearer && (
            <Button variant="outlined" disabled={busy} onClick={() => onFix(nearer.ticket)}>
              Move it to&nbsp;
              <KeyCaps chord={nearer.suggestion.chord} />
              {why && <>&nbsp;{shortReason(why)}</>}
            </Button>
          )}
          <Button variant="text" onClick={onOpen}>
            Look at {far.command.name}
          </Button>
        </Row>
      </div>
    </Row>
  );
}

type RowProps = {
  readonly trouble: Trouble;
  readonly index: ClashIndex;
  readonly busy: boolean;
  readonly onFix: (fix: Fix) => void;
  readonly onOpen: () => void;
};
function TroubleRow({ trouble, index, busy, onFix, onOpen }: RowProps) {
  const { where } = useSettings();
  const fixes = useMemo(() => fixesFor(trouble, index, where), [trouble, index, where]);
  return (
    <Row component="li" align="flex-start" gap={3} data-kind={trouble.finding.kind} data-command={trouble.command.id}>
      <Mark state={MARKS[trouble.gravity]} />
      <div>
        <p>
          <SentenceView sentence={describeTrouble(trouble, index, where)} />
        </p>
        <Row wraps>
          {fixes.map((one) => (
            <Button
              key={`${one.label} ${one.keys ?? ''}`}
              variant="outlined"
              disabled={busy}
              onClick={() => onFix(one)}
            >
              {one.label}
              {one.keys !== undefined && (
                <>
                  &nbsp;
                  <KeyCaps chord={one.keys} />
                </>
              )}
            </Button>
          ))}
          <Button variant="text" onClick={onOpen}>
            Look at {trouble.command.name}
          </Button>
        </Row>
      </div>
    </Row>
  );
}
