import FormControl from '@mui/material/FormControl';
import FormGroup from '@mui/material/FormGroup';
import FormLabel from '@mui/material/FormLabel';
import { type ReactNode, useId } from 'react';
import { Tick } from './Tick';

type Props<T extends string> = {
  readonly label: string;
  readonly all: readonly (readonly [value: T, words: ReactNode])[];
  readonly chosen: readonly T[];
  readonly onToggle: (one: T) => void;
};

/** Any of several, each a line of its own. */
export function Ticks<T extends string>({ label, all, chosen, onToggle }: Props<T>) {
  const id = useId();
  return (
    <FormControl role="group" aria-labelledby={id}>
      <FormLabel id={id} component="span">
        {label}
      </FormLabel>
      <FormGroup sx={{ gap: 1, mt: 1 }}>
        {all.map(([one, words]) => (
          <Tick key={one} checked={chosen.includes(one)} onChange={() => onToggle(one)}>
            {words}
          </Tick>
        ))}
      </FormGroup>
    </FormControl>
  );
}
