import Chip from '@mui/material/Chip';
import { X } from 'lucide-react';
import type { ReactNode } from 'react';

type Props = {
  /** What dropping it does. */
  readonly label: string;
  readonly onDrop: () => void;
  readonly children: ReactNode;
};

/** One of a few that were said, which can be dropped again. */
export function DropChip({ label, onDrop, children }: Props) {
  return (
    <Chip
      component="button"
      type="button"
      clickable
      size="small"
      aria-label={label}
      data-tip={label}
      label={
        <>
          {children} <X size={12} aria-hidden />
        </>
      }
      onClick={onDrop}
    />
  );
}
