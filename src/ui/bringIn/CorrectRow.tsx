import { joiResolver } from '@hookform/resolvers/joi';
import Button from '@mui/material/Button';
import Stack from '@mui/material/Stack';
import { useDeferredValue, useMemo, useState } from 'react';
import { useForm } from 'react-hook-form';
import { parseCanonical } from '@/core/chord/parseChord';
import { writeChord } from '@/core/chord/writeChord';
import { pathText } from '@/core/program/program';
import { type Correction, rowsAlike } from '@/core/reading/correctRows';
import type { ReadRow } from '@/core/reading/readTable';
import { counted } from '@/core/text/sentence';
import { chordsIn, listedCommand, stepsIn } from '@/schemas/forms';
import { Choice } from '../kit/Choice';
import { DialogFrame } from '../kit/DialogFrame';
import { FormField } from '../kit/FormField';
import { Tick } from '../kit/Tick';

type Props = {
  readonly row: ReadRow;
  readonly rows: readonly ReadRow[];
  readonly onSay: (rows: readonly string[], said: Correction | null) => void;
  readonly onClose: () => void;
};

const NOBODY: readonly ReadRow[] = [];

/** Says what a row is: a command with its name, place and keys, or none; of all rows like it at once, if wanted. */
export function CorrectRow({ row, rows, onSay, onClose }: Props) {
  const read = row.command ?? row.would;
  const [is, setIs] = useState<'command' | 'none'>(row.command ? 'command' : row.corrected ? 'none' : 'command');
  const [all, setAll] = useState(false);
  // Who is like it among thousands is looked for once the dialog stands there.
  const among = useDeferredValue(rows, NOBODY);
  const alike = useMemo(() => rowsAlike(among, row), [among, row]);
  const form = useForm({
    resolver: joiResolver(listedCommand),
    defaultValues: {
      name: read?.name ?? '',
      menu: pathText(read?.path ?? []),
      keys: (read?.keys ?? []).map(written).join(' or '),
    },
  });
  const { dirtyFields } = form.formState;
  const others = alike.filter((one) => one.key !== row.key).map((one) => one.key);
  const say = form.handleSubmit(({ name, menu, keys }) => {
    const path = stepsIn(menu);
    if (all) onSay(others, dirtyFields.menu ? { path } : {});
    onSay([row.key], { name, path, keys: chordsIn(keys) });
    onClose();
  });
  const none = (): void => {
    onSay(all ? alike.map((one) => one.key) : [row.key], { none: true });
    onClose();
  };
  return (
    <DialogFrame
      title={`Row ${row.line}`}
      soon
      onClose={onClose}
      onSubmit={(event) => {
        event.preventDefault();
        if (is === 'none') none();
        else void say(event);
      }}
      actions={
        <>
          {row.corrected && (
            <Button
              variant="text"
              onClick={() => {
                onSay(all ? alike.map((one) => one.key) : [row.key], null);
                onClose();
              }}
            >
              As it was read
            </Button>
          )}
          <span className="push" />
          <Button variant="outlined" onClick={onClose}>
            Cancel
          </Button>
          <Button variant="contained" type="submit">
            {all ? `Correct ${counted(alike.length, 'row')}` : 'Correct it'}
          </Button>
        </>
      }
    >
      <Stack spacing={4}>
        <div>
          <p className="keys">{row.cells.filter(Boolean).join(' | ')}</p>
          {row.why && <p className="soft">{row.why}</p>}
        </div>
        <Choice
          label="This row is"
          row
          value={is}
          options={[
            ['command', 'a command'],
            ['none', 'no command'],
          ]}
          onChange={setIs}
        />
        <Stack spacing={4} hidden={is === 'none'} sx={HIDES}>
          <FormField form={form} name="name" label="Name" fullWidth multiline sx={AS_ONE_LINE} />
          <FormField form={form} name="menu" label="Menu or group" hint="Steps with › or > between them." fullWidth />
          <FormField
            form={form}
            name="keys"
            label="Keys"
            hint="As Ctrl+Shift+F9; several with “or” between them; nothing where it has none."
            fullWidth
          />
        </Stack>
        {others.length > 0 && (
          <Tick checked={all} onChange={setAll}>
            {is === 'none'
              ? `None of the ${counted(alike.length, 'row')} like this one is a command.`
              : `All ${counted(alike.length, 'row')} like this one are commands, with the name and keys each has; a changed menu or group is for all.`}
          </Tick>
        )}
      </Stack>
    </DialogFrame>
  );
}

const HIDES = { '&[hidden]': { display: 'none' } } as const;
/** A field that grows with its text, as high as the others while it has one line. */
const AS_ONE_LINE = { '& .MuiInputBase-multiline': { padding: 0 } } as const;

const written = (chord: string): string => {
  const parsed = parseCanonical(chord);
  return parsed ? writeChord(parsed, 'windows') : chord;
};
