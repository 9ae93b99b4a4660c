import Chip from '@mui/material/Chip';
import type { MouseEvent, ReactNode } from 'react';

type Props = {
  readonly pressed: boolean;
  readonly onClick: (event: MouseEvent<HTMLElement>) => void;
  readonly children: ReactNode;
  readonly disabled?: boolean;
  readonly 'aria-label'?: string;
};

/** A filter that is on or off. */
export function FilterChip({ pressed, children, ...rest }: Props) {
  return (
    <Chip component="button" type="button" clickable size="small" aria-pressed={pressed} label={children} {...rest} />
  );
}
