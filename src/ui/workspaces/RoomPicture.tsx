'use client';

import { type ReactNode, type RefObject, useMemo, useState } from 'react';
import type { CommandId, Program } from '@/core/program/program';
import { freshDesk } from '@/core/tryout/desk';
import { menusOf } from '@/core/tryout/menus';
import type { Room } from '@/core/workspace/room';
import type { KeysOf } from '../parts/useKeysOf';
import { ButtonStrip } from '../room/ButtonStrip';
import { PanelInside } from '../room/PanelInside';
import { useRoomContext } from '../room/RoomContext';
import { RoomFrame } from '../room/RoomFrame';
import { shadeStyle } from '../room/shadeStyle';
import { useSettings } from '../shell/SettingsContext';
import { Stage } from '../tryout/Stage';
import styles from './workspaces.module.css';

type Props = {
  readonly program: Program;
  readonly room: Room;
  readonly keysOf: KeysOf;
  readonly floor?: RefObject<HTMLDivElement | null>;
  readonly onTop: (panel: CommandId) => void;
  /** Whether what a mask covers is shown on the picture. */
  readonly masked?: boolean;
  /** What is laid over the middle. */
  readonly over?: ReactNode;
};

/** The program's window in its true proportions, smaller: rail, bar, docks and picture as the room has them. */
export function RoomPicture({ program, room, keysOf, floor, onTop, masked = false, over }: Props) {
  const { commands } = useRoomContext();
  const { settings } = useSettings();
  const desk = useMemo(() => freshDesk(program), [program]);
  const [peeked, setPeeked] = useState<CommandId | null>(null);
  const menus = useMemo(() => menusOf(program, room.menus), [program, room.menus]);
  const { rail, bar } = room.tools;
  return (
    <section
      className={styles.window}
      data-drawn
      aria-label={`The window of ${program.name}`}
      style={shadeStyle(room.appearance, settings.lamp === 'contrast')}
    >
      <div className={styles.windowMenus} aria-hidden="true">
        {menus.map((one) => (
          <span key={one.name}>{one.name}</span>
        ))}
      </div>
      <RoomFrame
        {...(floor ? { floor } : {})}
        panels={room.panels}
        peeked={peeked}
        keysOf={keysOf}
        inside={(panel) => {
          const command = commands.get(panel);
          return command && <PanelInside panel={command} program={program} />;
        }}
        onTop={(panel) => {
          setPeeked((now) => (now === panel ? null : panel));
          onTop(panel);
        }}
        bar={bar.groups.length > 0 && <ButtonStrip strip={bar} label="Button bar" keysOf={keysOf} />}
        rail={
          rail.groups.length > 0 && <ButtonStrip strip={rail} columns={rail.columns} label="Tools" keysOf={keysOf} />
        }
      >
        <div className={styles.windowStage}>
          <Stage program={program} desk={desk} masked={masked} />
          {over}
        </div>
      </RoomFrame>
    </section>
  );
}
