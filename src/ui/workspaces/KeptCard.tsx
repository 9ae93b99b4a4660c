import Button from '@mui/material/Button';
import { PART_WORDS, partsOf, standsAs } from '@/core/workspace/room';
import type { RoomState, WorkspaceSummary } from '@/core/workspace/roomView';
import { Row } from '../kit/Row';
import { ActionsMenu } from '../parts/ActionsMenu';
import styles from './workspaces.module.css';

type Props = {
  readonly one: WorkspaceSummary;
  readonly state: RoomState;
  readonly onOpen: (workspace: WorkspaceSummary) => void;
  readonly onSwitch: () => void;
  /** It is to have another name, or a copy is. */
  readonly onName: (copy: boolean) => void;
  readonly onPutAway: () => void;
};

/** One workspace in the list: what belongs to it, and whether the room stands as it. */
export function KeptCard({ one, state, onOpen, onSwitch, onName, onPutAway }: Props) {
  const contents = one.versions[0]?.contents ?? {};
  const parts = partsOf(contents);
  const here = one.id === state.workspace;
  return (
    <li className={styles.keptCard} data-here={here || undefined}>
      <Row gap={1}>
        <Button variant="line" onClick={() => onOpen(one)} style={{ marginLeft: 'calc(-1 * var(--space-2))' }}>
          <strong>{one.name}</strong>
        </Button>
        <ActionsMenu
          label={`More for ${one.name}`}
          actions={[
            ['Look at it, and its versions', () => onOpen(one)],
            ['Duplicate…', () => onName(true)],
            ['Rename…', () => onName(false)],
            ['Save as a file', () => window.location.assign(`/api/workspaces/${one.id}/file`)],
            ['Put away', onPutAway],
          ]}
        />
      </Row>
      {one.owner && <small className="soft">{one.owner}</small>}
      <small>{parts.map((part) => PART_WORDS[part]).join(' · ')}</small>
      {here && standsAs(state.room, contents) ? (
        <small>In use</small>
      ) : (
        <Button variant="outlined" onClick={onSwitch}>
          {here ? 'Back to it' : 'Switch to it'}
          <span className="hidden"> ({one.name})</span>
        </Button>
      )}
    </li>
  );
}
