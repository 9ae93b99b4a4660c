import type { Command } from '@/core/program/program';
import { CommandIcon } from './CommandIcon';
import styles from './room.module.css';

/** The front of a drawer: what its tools are for, else a few of them in small. */
export function DrawerFront({
  tools,
  purpose,
  open,
  onOpen,
}: {
  tools: readonly Command[];
  purpose: string | null;
  open: boolean;
  onOpen: (() => void) | undefined;
}) {
  const face =
    purpose ?? (open ? <hr /> : tools.slice(0, 4).map((one) => <CommandIcon key={one.id} command={one.id} />));
  if (!onOpen)
    return (
      <span className={styles.front} aria-hidden="true">
        {face}
      </span>
    );
  const names = tools.map((one) => one.name).join(', ');
  return (
    <button
      type="button"
      className={styles.front}
      aria-expanded={open}
      aria-label={purpose ? `${purpose} tools` : names}
      data-tip={names}
      onClick={onOpen}
    >
      {face}
    </button>
  );
}
