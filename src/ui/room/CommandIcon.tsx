'use client';

import type { CommandId } from '@/core/program/program';
import { IconView } from './IconView';
import { useRoomContext } from './RoomContext';

/** The icon of a command: the chosen one, the usual one of its name, or its letters. */
export function CommandIcon({ command }: { command: CommandId }) {
  const { iconOf, commands } = useRoomContext();
  const shapes = iconOf(command);
  return shapes ? (
    <IconView shapes={shapes} />
  ) : (
    <b aria-hidden="true">{initials(commands.get(command)?.name ?? '')}</b>
  );
}

function initials(name: string): string {
  const words = name.split(' ');
  return (words.length > 1 ? words.map((one) => one[0]).join('') : name.slice(0, 2)).slice(0, 2);
}
