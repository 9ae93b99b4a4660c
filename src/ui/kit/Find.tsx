import InputAdornment from '@mui/material/InputAdornment';
import TextField from '@mui/material/TextField';
import { Search } from 'lucide-react';

type Props = {
  readonly label: string;
  /** What the field says while it is empty, where that is not its label. */
  readonly placeholder?: string;
  readonly value: string;
  readonly onChange: (value: string) => void;
  readonly autoFocus?: boolean;
};

/** A field to find things by words. */
export function Find({ label, placeholder = label, value, onChange, autoFocus = false }: Props) {
  return (
    <TextField
      type="search"
      fullWidth
      autoFocus={autoFocus}
      placeholder={placeholder}
      value={value}
      onChange={(event) => onChange(event.target.value)}
      slotProps={{
        htmlInput: { 'aria-label': label, autoComplete: 'off', spellCheck: false, maxLength: 200 },
        input: {
          startAdornment: (
            <InputAdornment position="start">
              <Search size={16} aria-hidden />
            </InputAdornment>
          ),
        },
      }}
    />
  );
}
