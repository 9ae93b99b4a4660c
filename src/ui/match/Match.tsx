'use client';

import Button from '@mui/material/Button';
import { useCallback, useEffect, useMemo, useState } from 'react';
import { programFacts } from '@/core/clash/clashIndex';
import { draftOf } from '@/core/keymap/draft';
import { rowsOf } from '@/core/keymap/keymap';
import type { KeymapView } from '@/core/keymap/keymapView';
import type { CommandId } from '@/core/program/program';
import { counted, type Sentence } from '@/core/text/sentence';
import { describeTransferLine } from '@/core/transfer/describeTransferLine';
import type { MatchView } from '@/core/transfer/matchView';
import type { KeymapLink } from '@/core/view/shelf';
import { DraftTape } from '../draft/DraftTape';
import { useDraft } from '../draft/useDraft';
import { replaceAddress } from '../kit/useBackCloses';
import { useStable } from '../kit/useStable';
import { useNotice } from '../shell/Notices';
import { unpacked } from '../shell/unpacked';
import { DerivedBanner } from './DerivedBanner';
import { keysOf } from './keysOf';
import { MatchBar } from './MatchBar';
import { type Asked, MatchDialogs } from './MatchDialogs';
import { MatchHead } from './MatchHead';
import { MatchLines } from './MatchLines';
import styles from './match.module.css';
import { type MatchRow, SHOWN_WORDS, type Shown } from './matchRows';
import { OtherActions } from './OtherActions';
import { QuestionCard } from './QuestionCard';
import { EMPTY, Filters } from './ShownRows';
import { useMatchRows } from './useMatchRows';
import { useSettled } from './useSettled';
import { Waiting } from './Waiting';
import { WhatFollows } from './WhatFollows';

type Props = {
  readonly match: MatchView & { readonly theirs: KeymapView };
  readonly links: readonly KeymapLink[];
  readonly initialShown: Shown | null;
};

/** Makes this keymap feel like that one: what is done in both, a choice for each line, who has to give way. */
export function Match({ match, links, initialShown }: Props) {
  const { view, theirs } = match;
  const { program, programSlug } = view;
  const { draft, actions } = useDraft(view);
  const { state } = draft;
  const facts = useMemo(() => programFacts(program), [program]);
  const their = useMemo(() => draftOf(theirs), [theirs]);
  const settled = useSettled(match, state.id, their.state.id);
  const { said, plan, derivation, noteDerived, choose, say } = settled;
  const [shown, setShown] = useState<Shown | null>(initialShown);
  const [asked, setAsked] = useState<Asked | null>(null);
  const tell = useNotice();
  const there = `${theirs.program.name} · ${their.state.name}`;
  const names = useMemo(() => [theirs.program.name, program.name] as const, [theirs, program]);
  const title = `Feel like ${there}`;

  const { matching, answer, fresh, rows } = useMatchRows(match, draft, their, settled, title);
  const at: Shown = shown ?? (rows && rows.carries.length === 0 && rows.check.length > 0 ? 'check' : 'carries');

  useEffect(() => {
    const address = `/match/${programSlug}/${state.slug}?like=${encodeURIComponent(`${theirs.programSlug}/${their.state.slug}`)}${shown ? `&show=${shown}` : ''}`;
    if (window.location.pathname + window.location.search !== address) replaceAddress(address);
  }, [programSlug, state.slug, theirs.programSlug, their.state.slug, shown]);

  const ticket = answer?.transfer.ticket ?? null;
  const put = async (): Promise<void> => {
    if (!ticket || !(await actions.edit(ticket))) return;
    tell(`${counted(ticket.changes.length, 'change')} on the tape as one ticket.`);
  };
  const nameOf = useCallback((one: CommandId) => facts.commands.get(one)?.name ?? one, [facts]);
  const knockOns = useMemo(
    () => new Map((answer?.transfer.knockOns ?? []).map((one) => [one.command.id, one])),
    [answer],
  );
  const { spares } = draft.keymap;
  const happens = useCallback(
    (row: MatchRow): Sentence =>
      row.line ? describeTransferLine(row.line, knockOns, (id) => spares.has(id)) : [{ text: '' }],
    [knockOns, spares],
  );
  const keysThere = useMemo(() => keysOf(answer?.theirRows ?? []), [answer]);
  const keysHere = useMemo(() => keysOf(rowsOf(draft.keymap)), [draft.keymap]);
  const confirm = useStable((row: MatchRow) => row.mine && say(row.theirs.id, row.mine.id));
  const onOther = useStable((row: MatchRow) => setAsked({ what: 'keys', row }));
  const onCounterpart = useStable((row: MatchRow) => setAsked({ what: 'counterpart', row }));
  return (
    <div className="screen">
      <MatchBar {...{ draft, actions, view, links, theirs }} their={their.state}>
        <Button variant="contained" disabled={!fresh || !ticket || state.locked} onClick={() => void put()}>
          {ticket ? `Put ${counted(ticket.changes.length, 'change')} on the tape` : 'Nothing to put on the tape'}
        </Button>
      </MatchBar>
      <main className={`panes ${styles.screen}`}>
        <div
          className={styles.middle}
          data-stale={!fresh || undefined}
          data-match-ms={answer?.matchMs}
          data-ms={answer?.ms}
        >
          {answer && rows ? (
            <>
              <MatchHead answer={answer} there={theirs.program.name} unsure={rows.check.length} />
              {derivation && answer.again && (
                <DerivedBanner
                  there={there}
                  again={answer.again}
                  derivation={derivation}
                  theirs={theirs.bindings}
                  plan={plan}
                  locked={state.locked}
                  nameOf={nameOf}
                  onEdit={actions.edit}
                  onNote={(next) => void noteDerived(next)}
                />
              )}
              <QuestionCard {...{ answer, theirs, fresh }} mine={facts.commands} onSay={settled.sayMine} />
              <Filters at={at} rows={rows} onShow={setShown} />
              {at === 'other' ? (
                <OtherActions list={rows.other} before={answer.othersBefore.length} names={names} />
              ) : (
                <MatchLines
                  label={SHOWN_WORDS[at]}
                  empty={EMPTY[at]}
                  rows={rows[at]}
                  names={names}
                  keysThere={keysThere}
                  keysHere={keysHere}
                  happens={happens}
                  onChoose={choose}
                  onOther={onOther}
                  onCounterpart={onCounterpart}
                  onConfirm={confirm}
                />
              )}
            </>
          ) : (
            <Waiting matching={matching} names={names} />
          )}
        </div>
        <WhatFollows
          {...{ state, programSlug, theirs, there, answer, fresh, settled, ticket, nameOf }}
          their={their.state}
        />
        <DraftTape draft={draft} actions={actions} facts={facts} board={`/board/${programSlug}/${state.slug}`} />
      </main>
      <MatchDialogs
        {...{ draft, programSlug, facts, theirs, names, said, asked }}
        counterparts={answer?.counterparts ?? []}
        onSay={say}
        onKeys={(mine, chord) => choose(mine, 'other', chord)}
        onClose={() => setAsked(null)}
      />
    </div>
  );
}

export const PackedMatch = unpacked(Match);
