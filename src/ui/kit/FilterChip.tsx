import Chip from '@mui/material/Chip';
import { Children, type MouseEvent, memo, type ReactNode } from 'react';
import { useStable } from './useStable';

type Props = {
  readonly pressed: boolean;
  readonly onClick: (event: MouseEvent<HTMLElement>) => void;
  readonly children: ReactNode;
  readonly disabled?: boolean;
  readonly 'aria-label'?: string;
  readonly 'aria-haspopup'?: 'dialog';
};

/** A filter that is on or off. Drawn again only where it changes: pages have many, and a standard chip is dear. */
export function FilterChip({ children, onClick, ...rest }: Props) {
  const parts = Children.toArray(children);
  const words = parts.every((one) => typeof one === 'string' || typeof one === 'number') ? parts.join('') : children;
  return <Drawn {...rest} words={words} onClick={useStable(onClick)} />;
}

const Drawn = memo(function Drawn({
  pressed,
  words,
  ...rest
}: Omit<Props, 'children'> & { readonly words: ReactNode }) {
  return (
    <Chip component="button" type="button" clickable size="small" aria-pressed={pressed} label={words} {...rest} />
  );
});
