import FormControl from '@mui/material/FormControl';
import FormLabel from '@mui/material/FormLabel';
import ToggleButton from '@mui/material/ToggleButton';
import ToggleButtonGroup from '@mui/material/ToggleButtonGroup';
import { type ReactNode, useId } from 'react';

type Props<T extends string> = {
  readonly label: string;
  /** Said only to those who listen. */
  readonly hidden?: boolean;
  /** None of them where it is null. */
  readonly value: T | null;
  readonly options: readonly (readonly [value: T, words: ReactNode])[];
  readonly onChange: (value: T) => void;
  /** The one that is chosen was pressed once more. */
  readonly onAgain?: (value: T) => void;
};

/** One choice of a few, side by side. */
export function Segments<T extends string>({ label, hidden = false, value, options, onChange, onAgain }: Props<T>) {
  const id = useId();
  const group = (
    <ToggleButtonGroup
      exclusive
      fullWidth={!hidden}
      value={value}
      aria-label={hidden ? label : undefined}
      aria-labelledby={hidden ? undefined : id}
      onChange={(_, next: T | null) => (next !== null ? onChange(next) : value !== null && onAgain?.(value))}
    >
      {options.map(([option, words]) => (
        <ToggleButton key={option} value={option}>
          {words}
        </ToggleButton>
      ))}
    </ToggleButtonGroup>
  );
  if (hidden) return group;
  return (
    <FormControl>
      <FormLabel id={id} component="span" sx={{ mb: 1 }}>
        {label}
      </FormLabel>
      {group}
    </FormControl>
  );
}
