import TextField from '@mui/material/TextField';
import { type ReactNode, useId } from 'react';

type Props<T extends string> = {
  readonly label: string;
  /** Said only to those who listen. */
  readonly hidden?: boolean;
  readonly value: T;
  readonly options?: readonly (readonly [value: T, words: string])[];
  readonly onChange: (value: T) => void;
  readonly disabled?: boolean;
  readonly full?: boolean;
  readonly hint?: string;
  /** Options in groups, instead. */
  readonly children?: ReactNode;
};

/** One choice of a list that opens; the browser's own list, which fits every window and every finger. */
export function Pick<T extends string>(props: Props<T>) {
  const { label, hidden = false, value, options = [], onChange, disabled, full = false, hint, children } = props;
  const id = useId();
  return (
    <TextField
      select
      id={id}
      label={hidden ? undefined : label}
      value={value}
      disabled={disabled}
      fullWidth={full}
      helperText={hint}
      onChange={(event) => onChange(event.target.value as T)}
      slotProps={{ select: { native: true }, htmlInput: { 'aria-label': hidden ? label : undefined } }}
    >
      {children ??
        options.map(([option, words]) => (
          <option key={option} value={option}>
            {words}
          </option>
        ))}
    </TextField>
  );
}
