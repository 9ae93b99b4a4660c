import Autocomplete from '@mui/material/Autocomplete';
import TextField from '@mui/material/TextField';

type Props<T> = {
  readonly label: string;
  readonly value: T;
  readonly options: readonly T[];
  readonly wordsOf: (one: T) => string;
  readonly onChange: (one: T) => void;
};

/** One choice of a list too long to go through: found by typing a part of its name. */
export function Picker<T>({ label, value, options, wordsOf, onChange }: Props<T>) {
  return (
    <Autocomplete
      disableClearable
      autoHighlight
      size="small"
      value={value as NonNullable<T>}
      options={options}
      getOptionLabel={wordsOf}
      noOptionsText="None is called so."
      onChange={(_, one) => onChange(one)}
      renderInput={(field) => <TextField {...field} label={label} />}
    />
  );
}
