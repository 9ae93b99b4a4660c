import IconButton from '@mui/material/IconButton';
import type { LucideIcon } from 'lucide-react';
import type { ComponentProps } from 'react';

type Props = Omit<ComponentProps<typeof IconButton>, 'children'> & {
  /** What it does, said to all: beside the pointer, and to those who listen. */
  readonly label: string;
  /** More than its label, where there is more to say. */
  readonly tip?: string;
  readonly icon: LucideIcon;
};

/** A button that is only an icon. */
export function IconAction({ label, tip = label, icon: Icon, ...rest }: Props) {
  return (
    <IconButton aria-label={label} data-tip={tip} {...rest}>
      <Icon size={17} strokeWidth={1.75} aria-hidden />
    </IconButton>
  );
}
