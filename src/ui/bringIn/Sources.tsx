import Button from '@mui/material/Button';
import Stack from '@mui/material/Stack';
import TextField from '@mui/material/TextField';
import { useState } from 'react';
import { FileButton } from '../kit/FileButton';
import styles from './bringIn.module.css';
import type { Source } from './useBringIn';

type Props = {
  /** Whether a file is held over the page. */
  readonly over: boolean;
  readonly busy: boolean;
  readonly onLook: (from: Source) => void;
};

/** The two ways to begin: a file, or pasted text. */
export function Sources({ over, busy, onLook }: Props) {
  const [pasted, setPasted] = useState('');
  return (
    <div className={styles.sources}>
      <Stack
        component="section"
        className={`card ${styles.source}`}
        spacing={3}
        sx={{ p: 5, alignItems: 'flex-start' }}
        data-over={over || undefined}
        aria-labelledby="from-file"
      >
        <h2 id="from-file">From a file</h2>
        <p>
          A table, a saved web page, a PDF, a manual, a file of settings (INI, JSON, XML, YAML, TOML), a text in
          columns, or a file exported from another Gray Pin. Drop it here, or
        </p>
        <FileButton
          variant="contained"
          label="File with the list of commands"
          disabled={busy}
          onFile={(file) => onLook({ blob: file, name: file.name })}
        >
          {busy ? 'Reading…' : 'Choose a file…'}
        </FileButton>
        <p className="soft">
          Nothing in the file is run, and nothing changes until you say so. At most 5 MB and 20,000 rows.
        </p>
      </Stack>
      <Stack
        component="section"
        className={`card ${styles.source}`}
        spacing={3}
        sx={{ p: 5, alignItems: 'flex-start' }}
        aria-labelledby="from-text"
      >
        <h2 id="from-text">Pasted</h2>
        <TextField
          label="Copy the table from a page or a spreadsheet and paste it here."
          fullWidth
          multiline
          minRows={8}
          maxRows={14}
          value={pasted}
          slotProps={{ htmlInput: { spellCheck: false, className: 'keys' } }}
          placeholder={'Menu\tCommand\tKeys\nRepair\tLift stain\tCtrl+Shift+F9'}
          onChange={(event) => setPasted(event.target.value)}
        />
        <Button
          variant="outlined"
          disabled={busy || pasted.trim() === ''}
          onClick={() => onLook({ blob: new Blob([pasted], { type: 'text/plain' }), name: 'Pasted text' })}
        >
          Read it
        </Button>
      </Stack>
    </div>
  );
}
