'use client';

import OutlinedInput from '@mui/material/OutlinedInput';
import { useRouter } from 'next/navigation';
import { type KeyboardEvent, memo, type RefObject, useCallback, useEffect, useMemo, useRef, useState } from 'react';
import { type ChordText, canonicalText } from '@/core/chord/chord';
import { buildClashIndex, programFacts } from '@/core/clash/clashIndex';
import { chordOfEvent } from '@/core/keyboard/chordOfEvent';
import { draftOf } from '@/core/keymap/draft';
import type { KeymapView } from '@/core/keymap/keymapView';
import type { Command, CommandId, ContextId } from '@/core/program/program';
import { describeOutcome } from '@/core/tryout/describeOutcome';
import {
  backToTool,
  callCommand,
  type Desk,
  type Did,
  freshDesk,
  letGo,
  picks,
  slide,
  slides,
  zoomBy,
} from '@/core/tryout/desk';
import { fillJar } from '@/core/tryout/jars';
import { shownParts } from '@/core/tryout/layerStack';
import { nearestHeard } from '@/core/tryout/nearestHeard';
import type { Happened } from '@/core/tryout/panelContents';
import { type Outcome, pressKeys } from '@/core/tryout/pressKeys';
import { colorAt } from '@/core/tryout/readPicture';
import type { KeymapLink } from '@/core/view/shelf';
import { sideOf } from '@/core/workspace/arrangement';
import { bringOnTop } from '@/core/workspace/changePanels';
import type { RoomState, RoomView } from '@/core/workspace/roomView';
import { Choice } from '../kit/Choice';
import { Row } from '../kit/Row';
import { useStable } from '../kit/useStable';
import { ScreenDialog } from '../parts/ScreenDialog';
import { useKeysOf } from '../parts/useKeysOf';
import { ButtonStrip } from '../room/ButtonStrip';
import { PanelInside } from '../room/PanelInside';
import { RoomProvider } from '../room/RoomContext';
import { RoomFrame } from '../room/RoomFrame';
import { shadeStyle } from '../room/shadeStyle';
import { type RoomHook, useRoom } from '../room/useRoom';
import { useSettings } from '../shell/SettingsContext';
import { unpacked } from '../shell/unpacked';
import { JarShelf } from './JarShelf';
import { MenuBar } from './MenuBar';
import { Stage } from './Stage';
import { type Ticked, Ticker } from './Ticker';
import { TryoutBar } from './TryoutBar';
import styles from './tryout.module.css';
import { useKeyPresses } from './useKeyPresses';

type Props = { readonly view: KeymapView; readonly roomView: RoomView; readonly links: readonly KeymapLink[] };
const MOST_TICKED = 30;
/** Which way an arrow slides the picture, and how far, in CSS pixels. */
const ARROWS: Readonly<Record<string, readonly [x: number, y: number]>> = {
  ArrowLeft: [-1, 0],
  ArrowRight: [1, 0],
  ArrowUp: [0, -1],
  ArrowDown: [0, 1],
};
const ARROW_STEP = 24;

/** The stand-in program: keys do there what they would do, and it says what fired, from where, or why nothing did. */
export function Tryout(given: Props) {
  const { view } = given;
  const hook = useRoom(view.programSlug, given.roomView);
  const { room } = hook.roomView.state;
  return (
    <RoomProvider program={view.program} icons={hook.roomView.icons} chosen={room.tools.icons}>
      <TryoutScreen {...given} hook={hook} />
    </RoomProvider>
  );
}

function TryoutScreen({ view, links, hook }: Props & { hook: RoomHook }) {
  const { program, programSlug } = view;
  const { roomView } = hook;
  const { room } = roomView.state;
  const { where, platform, settings } = useSettings();
  const draft = useMemo(() => draftOf(view), [view]);
  const [which, setWhich] = useState<'draft' | 'kept'>('draft');
  const keymap = which === 'draft' ? draft.keymap : draft.kept;
  const facts = useMemo(() => programFacts(program), [program]);
  const index = useMemo(() => buildClashIndex(facts, keymap, where.place), [facts, keymap, where]);
  const keysOf = useKeysOf(keymap);
  const [desk, setDesk] = useState<Desk>(() => freshDesk(program, room.panels));
  const [begun, setBegun] = useState<ChordText | null>(null);
  const [ticked, setTicked] = useState<readonly Ticked[]>([]);
  const places = useMemo(() => placesOf(program.contexts), [program]);
  const [focus, setFocus] = useState<ContextId>(places.canvas);
  const [pointer, setPointer] = useState<Happened['pointer']>(null);
  const [typed, setTyped] = useState('');
  const stage = useRef<HTMLDivElement>(null);
  const text = useRef<HTMLInputElement>(null);
  const number = useRef(0);
  const deskRef = useRef(desk);
  const begunRef = useRef(begun);
  const focusRef = useRef(focus);
  focusRef.current = focus;

  const show = (next: Desk): void => {
    deskRef.current = next;
    setDesk(next);
  };
  const note = (one: Omit<Ticked, 'number'>): void =>
    setTicked((now) => [{ ...one, number: ++number.current }, ...now.slice(0, MOST_TICKED - 1)]);
  const placeName = useCallback(
    (context: ContextId) => program.contexts.find((one) => one.id === context)?.name ?? context,
    [program],
  );
  const call = useStable((command: Command): void => {
    const done = callCommand(deskRef.current, command);
    show(done.desk);
    note({
      chord: null,
      command,
      kind: 'called',
      sentence: [{ strong: command.name }, { soft: ' called from its line' }, { text: '.' }],
    });
    stage.current?.focus();
  });
  const press = (chord: ChordText): Outcome => {
    const listening = {
      focus: focusRef.current,
      types: focusRef.current === places.typing,
      tool: deskRef.current.tool,
      begun: begunRef.current,
    };
    return pressKeys(index, where, listening, chord);
  };
  const fire = (outcome: Outcome): void => {
    let did: Did | null = null;
    if (outcome.kind === 'fired') {
      const done = callCommand(deskRef.current, outcome.command);
      did = done.did;
      show(done.desk);
    }
    begunRef.current = outcome.kind === 'begun' ? outcome.chord : null;
    setBegun(begunRef.current);
    const lost = outcome.kind === 'nobody' || outcome.kind === 'not here';
    const nearest = lost ? nearestHeard(index, where, focusRef.current, outcome.chord) : [];
    note({
      chord: outcome.chord,
      command: commandOf(outcome),
      kind: outcome.kind,
      sentence: describeOutcome(outcome, did, placeName, nearest),
    });
  };
  const presses = useKeyPresses(where, platform, {
    down: (chord) => {
      const before = deskRef.current.tool;
      const outcome = press(chord);
      const way = ARROWS[chord];
      if (outcome.kind === 'nobody' && way && slides(deskRef.current, facts.commands)) {
        show(slide(deskRef.current, way[0] * ARROW_STEP, way[1] * ARROW_STEP));
        note({ chord, command: null, kind: 'called', sentence: [{ text: 'The picture slides.' }] });
        return null;
      }
      fire(outcome);
      if (outcome.kind !== 'fired' || outcome.command.kind !== 'tool') return null;
      // A tool that was only held gives way to the one before.
      return () => show(backToTool(deskRef.current, before));
    },
    quick: (chord) => {
      const outcome = press(chord);
      if (outcome.kind === 'fired') fire(outcome);
    },
    hold: (chord) => {
      const outcome = press(chord);
      if (outcome.kind !== 'fired') return null;
      fire(outcome);
      const { id } = outcome.command;
      return () => show(letGo(deskRef.current, id));
    },
  });
  const goTo = (context: ContextId): void => {
    setFocus(context);
    if (context === places.typing) text.current?.focus();
    else stage.current?.focus();
  };
  useEffect(() => stage.current?.focus(), []);
  const bench = useCallback(
    (command: Command) => `/board/${programSlug}/${view.draft.slug}/${encodeURIComponent(command.id)}`,
    [programSlug, view.draft.slug],
  );
  const called = useMemo(
    () =>
      ticked.flatMap((one) =>
        one.command && (one.kind === 'fired' || one.kind === 'called') ? [one.command.name] : [],
      ),
    [ticked],
  );
  const happened = useMemo(() => ({ desk, called, pointer, typed }), [desk, called, pointer, typed]);
  const inside = useCallback(
    (panel: CommandId) => {
      const command = facts.commands.get(panel);
      return command && <PanelInside panel={command} program={program} happened={happened} />;
    },
    [facts, program, happened],
  );
  const onPoint = useStable((at: Happened['pointer'], pressed: boolean): void => {
    setPointer(at);
    const now = deskRef.current;
    const color = pressed && at && picks(now, facts.commands) ? colorAt(at.x, at.y, shownParts(now.layers)) : null;
    if (color) show({ ...now, jars: fillJar(now.jars, color) });
  });
  /** A tab puts its panel on top; a button of a folded dock opens it beside the strip, or closes it. */
  const onTop = useStable((panel: CommandId): void => {
    const now = deskRef.current;
    const side = sideOf(now.panels, panel);
    if (side !== null && side !== 'float' && now.panels.docks[side].fold !== 'open')
      show({ ...now, peeked: now.peeked === panel ? null : panel });
    else show({ ...now, panels: bringOnTop(now.panels, panel) });
  });
  const { panels } = room;
  // biome-ignore lint/correctness/useExhaustiveDependencies: another arrangement takes the place of what was moved here.
  useEffect(() => show({ ...deskRef.current, panels, peeked: null }), [panels]);
  const router = useRouter();
  const switched = useStable((state: RoomState): void => {
    const own = roomView.keymaps.find((one) => one.id === state.room.keymap) ?? roomView.keymaps[0];
    stage.current?.focus();
    if (own && own.slug !== view.draft.slug) router.push(`/tryout/${programSlug}/${own.slug}`);
  });
  const onLeave = useStable(() => stage.current?.focus());
  const afresh = useStable((): void => {
    show(freshDesk(program, room.panels));
    stage.current?.focus();
  });
  const onTextFocus = useStable(() => places.typing !== null && setFocus(places.typing));
  const onTextKey = useStable((event: KeyboardEvent): void => {
    // What is typed goes into the text, unless this place has a command on it; all else is a press.
    const chord = chordOfEvent(event.nativeEvent, where.keyboard, platform);
    const plain = !event.ctrlKey && !event.altKey && !event.metaKey && event.key.length === 1;
    const outcome = chord && plain ? press(canonicalText(chord)) : null;
    const own = outcome?.kind === 'fired' && outcome.context === places.typing;
    if ((plain && !own) || /^(?:Arrow|Backspace|Delete|Home|End)/.test(event.key)) event.stopPropagation();
  });
  return (
    <div className="screen">
      <TryoutBar
        view={view}
        links={links}
        hook={hook}
        which={which}
        onWhich={setWhich}
        onSwitched={switched}
        onAfresh={afresh}
      />
      <main className={`panes ${styles.screen}`}>
        {/* Keys pressed anywhere in the stand-in are the stand-in's. */}
        <div
          ref={stage}
          role="application"
          aria-label={`${program.name}: press keys here`}
          tabIndex={0}
          className={styles.program}
          data-drawn
          style={shadeStyle(room.appearance, settings.lamp === 'contrast')}
          {...presses}
        >
          <MenuBar
            program={program}
            dressing={room.menus}
            keysOf={keysOf}
            bench={bench}
            onCall={call}
            onLeave={onLeave}
          />
          <RoomFrame
            panels={desk.panels}
            peeked={desk.peeked}
            bare={desk.bare}
            keysOf={keysOf}
            inside={inside}
            onTop={onTop}
            bar={
              room.tools.bar.groups.length > 0 && (
                <ButtonStrip
                  strip={room.tools.bar}
                  label="Button bar"
                  pressed={desk.tool}
                  keysOf={keysOf}
                  onCall={call}
                />
              )
            }
            rail={
              <ButtonStrip
                strip={room.tools.rail}
                columns={room.tools.rail.columns}
                label="Tools"
                pressed={desk.tool}
                keysOf={keysOf}
                onCall={call}
              />
            }
          >
            {/* biome-ignore lint/a11y/noStaticElementInteractions lint/a11y/useKeyWithClickEvents: by keyboard the place is chosen below. */}
            <div
              className={styles.place}
              data-focused={focus === places.canvas || undefined}
              data-slides={slides(desk, facts.commands) || undefined}
              onClick={() => goTo(places.canvas)}
              onWheel={(event) => show(zoomBy(deskRef.current, event.deltaY < 0 ? 1.1 : 1 / 1.1))}
              onPointerMove={(event) => {
                if (event.buttons === 1 && slides(deskRef.current, facts.commands))
                  show(slide(deskRef.current, event.movementX, event.movementY));
              }}
            >
              <Stage program={program} desk={desk} onPoint={onPoint} />
            </div>
          </RoomFrame>
          <Row wraps className={styles.foot}>
            <PlacesPressed contexts={program.contexts} focus={focus} onFocus={setFocus} />
            {places.typing !== null && (
              <LabelField field={text} value={typed} onChange={setTyped} onFocus={onTextFocus} onKeyDown={onTextKey} />
            )}
            <span className={`push soft small ${styles.state}`} role="status">
              {program.commands.find((one) => one.id === desk.tool)?.name}
              {[...desk.values].slice(-2).map(([what, value]) => ` · ${what} ${value}`)}
              {` · ${Math.round(100 * desk.view.zoom)}\u00a0%`}
              {begun !== null && ' · waits for the second keys'}
            </span>
            <JarShelf jars={desk.jars} />
          </Row>
        </div>
        <Ticker ticked={ticked} bench={bench} />
      </main>
      {desk.dialog && (
        <ScreenDialog title={desk.dialog.name} onClose={() => show({ ...deskRef.current, dialog: null })}>
          <p>
            {program.name} would open {desk.dialog.name} here.
          </p>
        </ScreenDialog>
      )}
    </div>
  );
}

/** The command whose keys somebody may want to change after a press; null where it was nobody's. */
function commandOf(outcome: Outcome): Command | null {
  if (outcome.kind === 'fired') return outcome.command;
  if (outcome.kind === 'clash') return outcome.commands[0] ?? null;
  return outcome.kind === 'not here' ? (outcome.holders[0]?.command ?? null) : null;
}

/** The places of a program by what happens there: over the picture, and where letters are typed. */
function placesOf(contexts: KeymapView['program']['contexts']): { canvas: ContextId; typing: ContextId | null } {
  const root = contexts.find((one) => one.parent === null)?.id ?? '';
  const named = (words: RegExp): ContextId | undefined =>
    contexts.find((one) => one.parent !== null && words.test(`${one.id} ${one.name}`))?.id;
  return { canvas: named(/canvas|picture|page|sheet|drawing|label/i) ?? root, typing: named(/typ|text/i) ?? null };
}

/** Where keys are pressed, to be chosen without a mouse. */
const PlacesPressed = memo(function PlacesPressed({
  contexts,
  focus,
  onFocus,
}: {
  contexts: KeymapView['program']['contexts'];
  focus: ContextId;
  onFocus: (context: ContextId) => void;
}) {
  return (
    <Choice
      label="Where keys are pressed"
      hidden
      row
      value={focus}
      options={contexts.map((one) => [one.id, one.name])}
      onChange={onFocus}
      // Arrow keys choose a place here; they are no press.
      onKeyDown={(event) => event.stopPropagation()}
    />
  );
});

/** A label of the program that is typed into. */
const LabelField = memo(function LabelField({
  field,
  value,
  onChange,
  onFocus,
  onKeyDown,
}: {
  field: RefObject<HTMLInputElement | null>;
  value: string;
  onChange: (value: string) => void;
  onFocus: () => void;
  onKeyDown: (event: KeyboardEvent) => void;
}) {
  return (
    <OutlinedInput
      inputRef={field}
      size="small"
      className={styles.text}
      placeholder="Type into a label"
      value={value}
      inputProps={{ 'aria-label': 'A label to type into' }}
      onChange={(event) => onChange(event.target.value)}
      onFocus={onFocus}
      onKeyDown={onKeyDown}
    />
  );
});

export const PackedTryout = unpacked(Tryout);
