'use client';

import Button from '@mui/material/Button';
import Paper from '@mui/material/Paper';
import Stack from '@mui/material/Stack';
import Link from 'next/link';
import { useRouter } from 'next/navigation';
import { useCallback, useEffect, useMemo, useState } from 'react';
import type { ChordText } from '@/core/chord/chord';
import { buildClashIndex, programFacts } from '@/core/clash/clashIndex';
import { verdict } from '@/core/clash/verdict';
import { compareKeymaps } from '@/core/keymap/compareKeymaps';
import { type Draft, draftOf } from '@/core/keymap/draft';
import { type Row as KeyRow, rowsOf } from '@/core/keymap/keymap';
import type { DraftState, KeymapView } from '@/core/keymap/keymapView';
import type { CommandId } from '@/core/program/program';
import { counted, type Sentence } from '@/core/text/sentence';
import { describeTransferLine } from '@/core/transfer/describeTransferLine';
import { EMPTY_PLAN, type MatchPlan } from '@/core/transfer/matchPlan';
import type { MatchView } from '@/core/transfer/matchView';
import type { ChoiceKind } from '@/core/transfer/transferTypes';
import type { KeymapLink } from '@/core/view/shelf';
import type { MatchTask } from '@/workers/matcher';
import { DraftPill } from '../draft/DraftPill';
import { DraftTape } from '../draft/DraftTape';
import { UndoRedo } from '../draft/UndoRedo';
import { useDraft } from '../draft/useDraft';
import { FilterChip } from '../kit/FilterChip';
import { Progress } from '../kit/Progress';
import { Row } from '../kit/Row';
import { replaceAddress } from '../kit/useBackCloses';
import { useStable } from '../kit/useStable';
import { KeymapPicker } from '../parts/KeymapPicker';
import { NameDialog } from '../parts/NameDialog';
import { ask } from '../shell/api';
import { useNotice } from '../shell/Notices';
import { useSettings } from '../shell/SettingsContext';
import { unpacked } from '../shell/unpacked';
import { useKept } from '../sync/useKept';
import { useOfKeymap } from '../sync/useOfKeymap';
import { derivationWay, planWay, saidWay } from '../sync/ways';
import { CounterpartDialog } from './CounterpartDialog';
import { DerivedBanner } from './DerivedBanner';
import { KnockOns } from './KnockOns';
import { MatchHead } from './MatchHead';
import { MatchLines } from './MatchLines';
import styles from './match.module.css';
import { type MatchRow, type MatchRows, matchRows, SHOWN, SHOWN_WORDS, type Shown } from './matchRows';
import { OtherActions } from './OtherActions';
import { PressKeys } from './PressKeys';
import { RulesCard } from './RulesCard';
import { sideOf, useMatch } from './useMatch';

type Props = {
  readonly match: MatchView & { readonly theirs: KeymapView };
  readonly links: readonly KeymapLink[];
  readonly initialShown: Shown | null;
};

/** Makes this keymap feel like that one: what is done in both, a choice for each line, who has to give way. */
export function Match({ match, links, initialShown }: Props) {
  const { view, theirs } = match;
  const { program, programSlug } = view;
  const { where } = useSettings();
  const { draft, actions } = useDraft(view);
  const { state } = draft;
  const facts = useMemo(() => programFacts(program), [program]);
  const their = useMemo(() => draftOf(theirs), [theirs]);
  const [said, editSaid] = useKept('counterparts', match.said, saidWay);
  const keymapId = state.id;
  const sourceId = their.state.id;
  const [start] = useState<MatchPlan>(() => match.derivation.value?.plan ?? EMPTY_PLAN);
  const [given, editPlan] = useOfKeymap(`match ${sourceId}`, keymapId, match.plan, (id) =>
    planWay(id, sourceId, start),
  );
  const plan = given ?? start;
  const [derivation, noteDerived] = useKept(
    `derivation ${keymapId} ${sourceId}`,
    match.derivation,
    useMemo(() => derivationWay(keymapId), [keymapId]),
  );
  const [shown, setShown] = useState<Shown | null>(initialShown);
  const [pairing, setPairing] = useState<MatchRow | null>(null);
  const [pressing, setPressing] = useState<MatchRow | null>(null);
  const [naming, setNaming] = useState(false);
  const tell = useNotice();
  const router = useRouter();
  const there = `${theirs.program.name} · ${their.state.name}`;
  const names = useMemo(() => [theirs.program.name, program.name] as const, [theirs, program]);
  const title = `Feel like ${there}`;

  const sides = useMemo(() => [sideOf(view, draftOf(view)), sideOf(theirs, their)] as const, [view, theirs, their]);
  const theirRows = theirs.bindings;
  const task = useMemo(
    (): MatchTask => ({
      mine: { rows: rowsOf(draft.keymap), spares: [...draft.keymap.spares] },
      theirs: theirRows,
      said,
      plan,
      uses: match.uses,
      usesThere: match.usesThere,
      derivation,
      title,
    }),
    [draft.keymap, theirRows, said, plan, match, derivation, title],
  );
  const matching = useMatch(sides[0], sides[1], match.programNames, task);
  const answer = matching.made?.answer ?? null;
  const fresh = matching.made?.task === task;
  const rows = useMemo(
    () => answer && matchRows(answer, theirs.program.commands, facts.commands),
    [answer, theirs, facts],
  );
  const at: Shown = shown ?? (rows && rows.carries.length === 0 && rows.check.length > 0 ? 'check' : 'carries');

  const change = editPlan;
  const choose = useStable((mine: CommandId, kind: ChoiceKind | null, chord?: ChordText): void => {
    const left = plan.choices.filter(([id]) => id !== mine);
    if (kind === null) change({ choices: left });
    else if (kind === 'other')
      change({ choices: [...left, [mine, { kind, chords: chord === undefined ? [] : [chord] }]] });
    else change({ choices: [...left, [mine, { kind }]] });
  });
  const answerFor = (command: CommandId, chord: ChordText | null | undefined): void => {
    const left = plan.instead.filter(([id]) => id !== command);
    change({ instead: chord === undefined ? left : [...left, [command, chord]] });
  };
  /** Says, of a command there, what it is here: nothing, or forgets what was said. */
  const say = useStable((of: CommandId, mine: CommandId | null | undefined): void => {
    const subject = { program: theirs.programSlug, command: of, other: programSlug };
    editSaid({ ...subject, counterpart: mine });
  });

  useEffect(() => {
    const address = `/match/${programSlug}/${state.slug}?like=${encodeURIComponent(`${theirs.programSlug}/${their.state.slug}`)}${shown ? `&show=${shown}` : ''}`;
    if (window.location.pathname + window.location.search !== address) replaceAddress(address);
  }, [programSlug, state.slug, theirs.programSlug, their.state.slug, shown]);

  const ticket = answer?.transfer.ticket ?? null;
  const put = async (): Promise<void> => {
    if (!ticket || !(await actions.edit(ticket))) return;
    tell(`${counted(ticket.changes.length, 'change')} on the tape as one ticket.`);
  };
  const derive = async (name: string, owner: string): Promise<void> => {
    const made = await ask<DraftState>('POST', `/api/keymaps/${state.id}/derive`, {
      name,
      owner,
      source: sourceId,
      ticket,
      plan,
    });
    tell(`“${made.name}” is derived from ${there}. Correct what you like; it can be derived again.`);
    router.push(likeAddress(programSlug, made.slug, theirs.programSlug, their.state.slug));
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
  const onOther = useStable((row: MatchRow) => setPressing(row));
  const onCounterpart = useStable((row: MatchRow) => setPairing(row));
  const changes = useMemo(() => compareKeymaps(draft.kept, draft.keymap).length, [draft.kept, draft.keymap]);
  return (
    <div className="screen">
      <header className="bar">
        <h1>Match</h1>
        <span className="soft">make</span>
        <KeymapPicker
          says="The keymap that is to change"
          programName={program.name}
          label={state.name}
          links={links}
          program={programSlug}
          keymap={state.slug}
          to={(one, keymap) => likeAddress(one, keymap, theirs.programSlug, their.state.slug)}
        />
        <span className="soft">feel like</span>
        <KeymapPicker
          says="The keymap it is to feel like"
          programName={theirs.program.name}
          label={their.state.name}
          links={links.filter((one) => one.program !== programSlug)}
          program={theirs.programSlug}
          keymap={their.state.slug}
          to={(one, keymap) => likeAddress(programSlug, state.slug, one, keymap)}
        />
        <DraftPill state={state} changes={changes} />
        <span className="push" />
        <Row gap={1}>
          <UndoRedo draft={draft} actions={actions} />
          <Button variant="text" component={Link} href="/match/compare">
            Compare all
          </Button>
          <Button variant="contained" disabled={!fresh || !ticket || state.locked} onClick={() => void put()}>
            {ticket ? `Put ${counted(ticket.changes.length, 'change')} on the tape` : 'Nothing to put on the tape'}
          </Button>
        </Row>
      </header>
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
                  theirs={theirRows}
                  plan={plan}
                  locked={state.locked}
                  nameOf={nameOf}
                  onEdit={actions.edit}
                  onNote={(next) => void noteDerived(next)}
                />
              )}
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
        <Paper component="aside" variant="side" aria-label="What follows">
          <RulesCard plan={plan} there={theirs.program.name} onChange={change} />
          {answer && (
            <KnockOns
              knockOns={answer.transfer.knockOns}
              lostAnswers={answer.transfer.lostAnswers}
              answered={new Set(plan.instead.map(([id]) => id))}
              nameOf={nameOf}
              onInstead={answerFor}
            />
          )}
          <Button variant="outlined" disabled={!fresh || answer === null} onClick={() => setNaming(true)}>
            Derive a new keymap…
          </Button>
        </Paper>
        <DraftTape draft={draft} actions={actions} nameOf={nameOf} board={`/board/${programSlug}/${state.slug}`} />
      </main>
      {pairing && answer && (
        <CounterpartDialog
          theirs={pairing.theirs}
          names={names}
          commands={program.commands}
          counterparts={answer.counterparts}
          said={said.some(
            (one) =>
              (one.program === theirs.programSlug && one.other === programSlug && one.command === pairing.theirs.id) ||
              (one.program === programSlug &&
                one.other === theirs.programSlug &&
                one.counterpart === pairing.theirs.id),
          )}
          onSay={(mine) => {
            say(pairing.theirs.id, mine);
            setPairing(null);
          }}
          onClose={() => setPairing(null)}
        />
      )}
      {pressing?.mine && (
        <PressKeys
          title={`Other keys for ${pressing.mine.name}`}
          name={pressing.mine.name}
          say={(chord) => sayOf(draft, chord)}
          onKeys={(chord) => {
            if (pressing.mine) choose(pressing.mine.id, 'other', chord);
            setPressing(null);
          }}
          onClose={() => setPressing(null)}
        />
      )}
      {naming && (
        <NameDialog
          title="Derive a new keymap"
          action="Derive it"
          name={`Feels like ${theirs.program.name}`}
          owner={state.owner}
          hint={`It begins as “${state.name}” with what is settled here, and stays joined to ${there}: when that changes, it can be derived again, and your corrections stay.`}
          onClose={() => setNaming(false)}
          onDone={derive}
        />
      )}
    </div>
  );

  function sayOf(now: Draft, chord: ChordText): string {
    if (!pressing?.mine) return '';
    const index = buildClashIndex(facts, now.keymap, where.place);
    const { findings } = verdict(index, where, pressing.mine, chord);
    const held = findings.find((one) => one.kind === 'held by');
    if (held?.kind === 'held by') {
      const [holder] = held.holders;
      return holder?.keeper
        ? `A keeper of ${holder.command.name}: it can’t be taken here.`
        : `${holder?.command.name} has these keys and would get the closest free ones.`;
    }
    return findings[0]?.kind === 'free' ? 'These keys are free.' : '';
  }
}

/** The address of a match. */
export function likeAddress(program: string, keymap: string, otherProgram: string, otherKeymap: string): string {
  // A keymap is matched with one of another program.
  const like = program === otherProgram ? '' : `?like=${encodeURIComponent(`${otherProgram}/${otherKeymap}`)}`;
  return `/match/${program}/${keymap}${like}`;
}

const EMPTY: Readonly<Record<Exclude<Shown, 'other'>, string>> = {
  carries: 'Nothing comes over: everything that is sure answers to the same keys, or stays as it is.',
  check: 'Nothing is left to check.',
  none: 'Everything with keys there has its counterpart here.',
  same: 'Nothing answers to the same keys yet.',
  stays: 'Nothing stays back.',
};

function Filters({ at, rows, onShow }: { at: Shown; rows: MatchRows; onShow: (shown: Shown) => void }) {
  return (
    <Row wraps role="group" aria-label="Show">
      {SHOWN.map((one) => (
        <FilterChip key={one} pressed={at === one} onClick={() => onShow(one)}>
          {SHOWN_WORDS[one]} {rows[one].length}
        </FilterChip>
      ))}
    </Row>
  );
}

function Waiting({ matching, names }: { matching: ReturnType<typeof useMatch>; names: readonly [string, string] }) {
  const { state, part } = matching;
  if (state === 'failed' || state === 'cancelled')
    return (
      <Stack className="card" spacing={3} sx={{ p: 5, alignItems: 'flex-start' }}>
        <p role="status">{state === 'failed' ? 'The counterparts could not be found.' : 'Looking was stopped.'}</p>
        <Button variant="outlined" onClick={matching.again}>
          Look again
        </Button>
      </Stack>
    );
  return (
    <Stack className="card" spacing={3} sx={{ p: 5, alignItems: 'flex-start' }}>
      <p role="status">
        Looking for what {names[0]} and {names[1]} both do…
      </p>
      <Progress label="Looking for counterparts" part={part} />
      <Button variant="text" onClick={matching.cancel}>
        Stop
      </Button>
    </Stack>
  );
}

function keysOf(rows: readonly KeyRow[]): ReadonlyMap<CommandId, readonly ChordText[]> {
  const keys = new Map<CommandId, ChordText[]>();
  for (const [id, chord] of rows) keys.set(id, [...(keys.get(id) ?? []), chord]);
  return keys;
}

export const PackedMatch = unpacked(Match);
