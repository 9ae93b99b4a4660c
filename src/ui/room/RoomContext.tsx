'use client';

import { createContext, type ReactNode, useContext, useMemo, useState } from 'react';
import type { Command, CommandId, Program } from '@/core/program/program';
import type { Icons } from '@/core/workspace/roomView';
import { usualIcon } from '@/core/workspace/usualIcon';

type Shared = {
  readonly commands: ReadonlyMap<CommandId, Command>;
  /** The shapes of the icon that a command has; null for its letters. */
  readonly iconOf: (command: CommandId) => Icons[string] | null;
  /** Takes in icons that were found. */
  readonly addIcons: (icons: Icons) => void;
};
const Context = createContext<Shared>({ commands: new Map(), iconOf: () => null, addIcons: () => undefined });

/** What is known of a program's commands and their icons, for everything in its window. */
export function RoomProvider({
  program,
  icons,
  chosen,
  children,
}: {
  program: Program;
  icons: Icons;
  chosen: readonly (readonly [CommandId, string])[];
  children: ReactNode;
}) {
  const [more, setMore] = useState<Icons>({});
  const commands = useMemo(() => new Map(program.commands.map((one) => [one.id, one])), [program]);
  const shared = useMemo<Shared>(() => {
    const own = new Map(chosen);
    const all = { ...icons, ...more };
    return {
      commands,
      addIcons: (found) => setMore((now) => ({ ...now, ...found })),
      iconOf: (id) => {
        const command = commands.get(id);
        const name = own.get(id) ?? (command ? usualIcon(command) : null);
        return name === null ? null : (all[name] ?? null);
      },
    };
  }, [commands, icons, more, chosen]);
  return <Context.Provider value={shared}>{children}</Context.Provider>;
}

export function useRoomContext(): Shared {
  return useContext(Context);
}
