import type { WorkspaceSummary } from '@/core/workspace/roomView';
import { FactoryDialog } from './FactoryDialog';
import { KeepDialog } from './KeepDialog';
import { WorkspaceDialog } from './WorkspaceDialog';

type Props = Pick<Parameters<typeof KeepDialog>[0], 'roomView' | 'nameOf' | 'keymapName' | 'actions' | 'onClose'> & {
  readonly asking: 'keep' | 'factory' | null;
  readonly opened: WorkspaceSummary | undefined;
};

/** What is asked over the room: what to keep, what to set back, and a workspace looked at. */
export function AskedOver({ asking, opened, roomView, nameOf, keymapName, actions, onClose }: Props) {
  return (
    <>
      {asking === 'keep' && (
        <KeepDialog roomView={roomView} nameOf={nameOf} keymapName={keymapName} actions={actions} onClose={onClose} />
      )}
      {asking === 'factory' && (
        <FactoryDialog
          roomView={roomView}
          nameOf={nameOf}
          keymapName={keymapName}
          actions={actions}
          onClose={onClose}
        />
      )}
      {opened && (
        <WorkspaceDialog
          workspace={opened}
          roomView={roomView}
          nameOf={nameOf}
          keymapName={keymapName}
          actions={actions}
          onClose={onClose}
        />
      )}
    </>
  );
}
