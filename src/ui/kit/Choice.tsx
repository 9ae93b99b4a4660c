import FormControl from '@mui/material/FormControl';
import FormControlLabel from '@mui/material/FormControlLabel';
import FormLabel from '@mui/material/FormLabel';
import Radio from '@mui/material/Radio';
import RadioGroup from '@mui/material/RadioGroup';
import { type KeyboardEventHandler, type ReactNode, useId } from 'react';

type Props<T extends string> = {
  readonly label: string;
  readonly hidden?: boolean;
  readonly row?: boolean;
  readonly value: T;
  readonly options: readonly (readonly [value: T, words: ReactNode])[];
  readonly onChange: (value: T) => void;
  readonly onKeyDown?: KeyboardEventHandler;
};

/** One choice of several, each a line of its own. */
export function Choice<T extends string>(props: Props<T>) {
  const { label, hidden = false, row = false, value, options, onChange, onKeyDown } = props;
  const id = useId();
  return (
    <FormControl>
      <FormLabel id={id} className={hidden ? 'hidden' : undefined}>
        {label}
      </FormLabel>
      <RadioGroup
        row={row}
        aria-labelledby={id}
        value={value}
        onKeyDown={onKeyDown}
        onChange={(event) => onChange(event.target.value as T)}
        sx={{ gap: row ? 3 : 1 }}
      >
        {options.map(([option, words]) => (
          <FormControlLabel key={option} value={option} control={<Radio />} label={words} />
        ))}
      </RadioGroup>
    </FormControl>
  );
}
