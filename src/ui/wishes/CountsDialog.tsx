'use client';

import Button from '@mui/material/Button';
import Stack from '@mui/material/Stack';
import TextField from '@mui/material/TextField';
import { useMemo, useState } from 'react';
import { readCounts } from '@/core/effort/readCounts';
import { GUESSED_USES } from '@/core/effort/uses';
import { KIND_PLURALS, KINDS, type Program } from '@/core/program/program';
import { counted } from '@/core/text/sentence';
import { FileButton } from '../kit/FileButton';
import { ScreenDialog } from '../parts/ScreenDialog';

type Props = {
  readonly program: Program;
  readonly told: Readonly<Record<string, number>>;
  readonly onClose: () => void;
  readonly onDone: (counts: Readonly<Record<string, number>>) => void;
};
const MOST_SHOWN = 30;
const LARGEST = 2 * 1024 * 1024;

/** Reads a person's own counts from two columns, or forgets them. */
export function CountsDialog({ program, told, onClose, onDone }: Props) {
  const [text, setText] = useState('');
  const [refused, setRefused] = useState('');
  const read = useMemo(() => readCounts(text, program.commands), [text, program]);
  const had = Object.keys(told).length;
  const take = async (file: File): Promise<void> => {
    if (file.size > LARGEST) {
      setRefused(`${file.name} is larger than 2 MB, so it was not read.`);
      return;
    }
    setRefused('');
    setText(await file.text());
  };
  return (
    <ScreenDialog
      title="How often a day"
      onClose={onClose}
      actions={
        <>
          {had > 0 && (
            <Button variant="text" onClick={() => onDone({})}>
              Forget what was told ({had})
            </Button>
          )}
          <Button
            variant="contained"
            disabled={read.uses.size === 0}
            onClick={() => onDone({ ...told, ...Object.fromEntries(read.uses) })}
          >
            {read.uses.size === 0 ? 'Use these counts' : `Use ${counted(read.uses.size, 'count')}`}
          </Button>
        </>
      }
    >
      <p>
        Until told, uses a day are a guess by kind:{' '}
        {KINDS.map((kind) => `${KIND_PLURALS[kind].toLowerCase()} ${GUESSED_USES[kind]}`).join(', ')}. Type your own
        beside a command, or read them from two columns: a command and a count.
      </p>
      <Stack spacing={3} sx={{ my: 3, alignItems: 'flex-start' }}>
        <FileButton
          label="A file"
          variant="outlined"
          accept=".csv,.tsv,.txt,text/csv,text/plain"
          onFile={(file) => void take(file)}
        >
          Choose a file…
        </FileButton>
        <TextField
          label="or paste it here"
          fullWidth
          multiline
          minRows={7}
          maxRows={12}
          value={text}
          slotProps={{ htmlInput: { spellCheck: false, className: 'keys' } }}
          placeholder={`${program.commands[0]?.name ?? 'Command'}; 40\n${program.commands[1]?.name ?? 'Command'}; 12`}
          onChange={(event) => setText(event.target.value)}
        />
      </Stack>
      <div role="status">
        {refused !== '' && <p className="problem">{refused}</p>}
        {text.trim() !== '' && (
          <p>
            {counted(read.uses.size, 'command')} found
            {read.problems.length > 0 ? `, ${counted(read.problems.length, 'line')} left out:` : '.'}
          </p>
        )}
      </div>
      <ul>
        {read.problems.slice(0, MOST_SHOWN).map((one) => (
          <li key={one.line} className="soft">
            Line {one.line}, “{one.text}”: {one.why}
          </li>
        ))}
        {read.problems.length > MOST_SHOWN && <li className="soft">and {read.problems.length - MOST_SHOWN} more</li>}
      </ul>
    </ScreenDialog>
  );
}
