import Checkbox from '@mui/material/Checkbox';
import FormControlLabel from '@mui/material/FormControlLabel';
import type { ReactNode } from 'react';

type Props = {
  readonly checked: boolean;
  readonly onChange: (checked: boolean) => void;
  readonly disabled?: boolean;
  readonly className?: string;
  readonly tip?: string;
  /** What it is called where no words stand beside it. */
  readonly label?: string;
  readonly children?: ReactNode;
};

/** Something that is so or is not, with its words beside it. */
export function Tick({ checked, onChange, disabled = false, className, tip, label, children }: Props) {
  const box = (
    <Checkbox
      checked={checked}
      disabled={disabled}
      onChange={(event) => onChange(event.target.checked)}
      slotProps={{ input: { 'aria-label': label } }}
    />
  );
  if (children === undefined) return box;
  return <FormControlLabel className={className} data-tip={tip} control={box} label={children} />;
}
