'use client';

import { standsAs } from '@/core/workspace/room';
import type { RoomState } from '@/core/workspace/roomView';
import { ActionsMenu } from '../parts/ActionsMenu';
import type { RoomHook } from './useRoom';

type Props = {
  readonly hook: RoomHook;
  readonly program: string;
  readonly onSwitched: (state: RoomState) => void;
};

/** Switches to another workspace, or goes to arrange this one. */
export function WorkspaceMenu({ hook, program, onSwitched }: Props) {
  const { roomView, actions } = hook;
  const { state, workspaces } = roomView;
  const kept = workspaces.filter((one) => !one.putAway);
  const now = kept.find((one) => one.id === state.workspace);
  const changed = now !== undefined && !standsAs(state.room, now.versions[0]?.contents ?? {});
  return (
    <ActionsMenu
      label={`Workspace: ${now?.name ?? 'none kept'}`}
      words={now ? `${now.name}${changed ? ', changed' : ''}` : 'Workspace'}
      actions={[
        ...kept.map(
          (one) =>
            [
              `Switch to ${one.name}${one.owner ? ` · ${one.owner}` : ''}`,
              () => void actions.switchTo(one.id).then((next) => next && onSwitched(next)),
            ] as const,
        ),
        ['Arrange the workspace', `/workspaces/${program}`],
      ]}
    />
  );
}
