'use client';

import { useRouter } from 'next/navigation';
import { type KeyboardEvent, useCallback, useEffect, useMemo, useRef, useState } from 'react';
import { canonicalText } from '@/core/chord/chord';
import { buildClashIndex, programFacts } from '@/core/clash/clashIndex';
import { chordOfEvent } from '@/core/keyboard/chordOfEvent';
import { draftOf } from '@/core/keymap/draft';
import type { KeymapView } from '@/core/keymap/keymapView';
import type { Command, ContextId } from '@/core/program/program';
import { callCommand } from '@/core/tryout/desk';
import type { Happened } from '@/core/tryout/panelContents';
import type { KeymapLink } from '@/core/view/shelf';
import type { RoomState, RoomView } from '@/core/workspace/roomView';
import { useStable } from '../kit/useStable';
import { useKeysOf } from '../parts/useKeysOf';
import { ButtonStrip } from '../room/ButtonStrip';
import { RoomProvider } from '../room/RoomContext';
import { RoomFrame } from '../room/RoomFrame';
import { shadeStyle } from '../room/shadeStyle';
import { type RoomHook, useRoom } from '../room/useRoom';
import { useSettings } from '../shell/SettingsContext';
import { unpacked } from '../shell/unpacked';
import { Canvas } from './Canvas';
import { Foot } from './Foot';
import { MenuBar } from './MenuBar';
import { Opened } from './Opened';
import { placesOf } from './placesOf';
import { Ticker } from './Ticker';
import { TryoutBar } from './TryoutBar';
import styles from './tryout.module.css';
import { useDesk } from './useDesk';
import { usePanelsInside } from './usePanelsInside';
import { useStandIn } from './useStandIn';

type Props = { readonly view: KeymapView; readonly roomView: RoomView; readonly links: readonly KeymapLink[] };
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
  const places = useMemo(() => placesOf(program.contexts), [program]);
  const [focus, setFocus] = useState<ContextId>(places.canvas);
  const [pointer, setPointer] = useState<Happened['pointer']>(null);
  const [typed, setTyped] = useState('');
  const stage = useRef<HTMLDivElement>(null);
  const text = useRef<HTMLInputElement>(null);
  const { desk, now, show, ticked, note, afresh: clear } = useDesk(program, room.panels);
  const { press, presses, begun } = useStandIn({ index, places, focus, now, show, note });
  const call = useStable((command: Command): void => {
    const done = callCommand(now.current, command);
    show(done.desk);
    note({
      chord: null,
      command,
      kind: 'called',
      sentence: [{ strong: command.name }, { soft: ' called from its line' }, { text: '.' }],
    });
    stage.current?.focus();
  });
  useEffect(() => stage.current?.focus(), []);
  const bench = useCallback(
    (command: Command) => `/board/${programSlug}/${view.draft.slug}/${encodeURIComponent(command.id)}`,
    [programSlug, view.draft.slug],
  );
  const { inside, onTop } = usePanelsInside({ facts, desk, now, show, ticked, pointer, typed });
  const router = useRouter();
  const switched = useStable((state: RoomState): void => {
    const own = roomView.keymaps.find((one) => one.id === state.room.keymap) ?? roomView.keymaps[0];
    stage.current?.focus();
    if (own && own.slug !== view.draft.slug) router.push(`/tryout/${programSlug}/${own.slug}`);
  });
  const onLeave = useStable(() => stage.current?.focus());
  const afresh = useStable((): void => {
    clear();
    stage.current?.focus();
  });
  const onTextKey = useStable((event: KeyboardEvent): void => {
    // What is typed goes into the text, unless this place has a command on it; all else is a press.
    const chord = chordOfEvent(event.nativeEvent, where.keyboard, platform);
    const plain = !event.ctrlKey && !event.altKey && !event.metaKey && event.key.length === 1;
    const outcome = chord && plain ? press(canonicalText(chord)) : null;
    const own = outcome?.kind === 'fired' && outcome.context === places.typing;
    if ((plain && !own) || /^(?:Arrow|Backspace|Delete|Home|End)/.test(event.key)) event.stopPropagation();
  });
  const strips = { pressed: desk.tool, keysOf, onCall: call };
  return (
    <div className="screen">
      <TryoutBar {...{ view, links, hook, which }} onWhich={setWhich} onSwitched={switched} onAfresh={afresh} />
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
          <MenuBar {...{ program, keysOf, bench, onLeave }} dressing={room.menus} onCall={call} />
          <RoomFrame
            {...{ keysOf, inside, onTop }}
            panels={desk.panels}
            peeked={desk.peeked}
            bare={desk.bare}
            bar={
              room.tools.bar.groups.length > 0 && <ButtonStrip {...strips} strip={room.tools.bar} label="Button bar" />
            }
            rail={<ButtonStrip {...strips} strip={room.tools.rail} columns={room.tools.rail.columns} label="Tools" />}
          >
            <Canvas
              {...{ facts, desk, now, show }}
              focused={focus === places.canvas}
              onFocus={() => {
                setFocus(places.canvas);
                stage.current?.focus();
              }}
              onPointer={setPointer}
            />
          </RoomFrame>
          {desk.dialog && (
            <Opened
              command={desk.dialog}
              program={program.name}
              onClose={() => show({ ...now.current, dialog: null })}
            />
          )}
          <Foot
            {...{ program, desk, places, focus, typed, onTextKey }}
            waits={begun !== null}
            field={text}
            onFocus={setFocus}
            onType={setTyped}
          />
        </div>
        <Ticker ticked={ticked} bench={bench} />
      </main>
    </div>
  );
}

export const PackedTryout = unpacked(Tryout);
