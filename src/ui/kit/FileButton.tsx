import Button from '@mui/material/Button';
import InputBase from '@mui/material/InputBase';
import { type ReactNode, useRef } from 'react';

type Props = {
  /** What the file is, for those who listen. */
  readonly label: string;
  readonly variant?: 'contained' | 'outlined' | 'text';
  readonly accept?: string;
  readonly disabled?: boolean;
  readonly onFile: (file: File) => void;
  readonly children: ReactNode;
};

/** A button that lets a file be chosen. */
export function FileButton({ label, variant = 'text', accept, disabled = false, onFile, children }: Props) {
  const chooser = useRef<HTMLInputElement>(null);
  return (
    <>
      <InputBase
        inputRef={chooser}
        type="file"
        sx={{ display: 'none' }}
        inputProps={{ 'aria-label': label, accept }}
        onChange={(event) => {
          const field = event.target as HTMLInputElement;
          const file = field.files?.[0];
          if (!file) return;
          onFile(file);
          // The same file may be chosen once more.
          field.value = '';
        }}
      />
      <Button variant={variant} disabled={disabled} onClick={() => chooser.current?.click()}>
        {children}
      </Button>
    </>
  );
}
