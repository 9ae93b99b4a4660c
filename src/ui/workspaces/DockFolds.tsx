import type { Arrangement } from '@/core/workspace/arrangement';
import { FOLDS, type Fold, SIDES, type Side } from '@/core/workspace/arrangement';
import { foldDock } from '@/core/workspace/changePanels';
import { sideWords } from '@/core/workspace/dropSpots';
import { Segments } from '../kit/Segments';
import type { RoomActions } from '../room/useRoom';
import styles from './workspaces.module.css';

const FOLD_WORDS: Readonly<Record<Fold, string>> = { open: 'Open', icons: 'Icons', words: 'Words' };
const DOCK_NAMES: Readonly<Record<Side, string>> = { left: 'Left dock', right: 'Right dock', bottom: 'Bottom dock' };

/** How each dock is folded. */
export function DockFolds({ panels, actions }: { readonly panels: Arrangement; readonly actions: RoomActions }) {
  return (
    <div className={styles.docks}>
      {SIDES.map((side) => (
        <Segments
          key={side}
          label={DOCK_NAMES[side]}
          value={panels.docks[side].fold}
          options={FOLDS.map((one) => [one, FOLD_WORDS[one]] as const)}
          onChange={(fold) =>
            actions.edit(fold === 'open' ? `Unfold ${sideWords(side)}` : `Fold ${sideWords(side)}`, {
              panels: foldDock(panels, side, fold),
            })
          }
        />
      ))}
    </div>
  );
}
