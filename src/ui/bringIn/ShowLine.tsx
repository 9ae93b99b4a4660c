'use client';

import Alert from '@mui/material/Alert';
import Button from '@mui/material/Button';
import Chip from '@mui/material/Chip';
import Stack from '@mui/material/Stack';
import type { ShownLine } from '@/core/reading/shown/shownLine';
import { counted } from '@/core/text/sentence';
import { Row } from '../kit/Row';
import { LinesOfFile } from './LinesOfFile';
import { MarkLine } from './MarkLine';
import type { Source } from './useBringIn';
import { useShowLine } from './useShowLine';

type Props = {
  readonly source: Source;
  readonly shown: readonly ShownLine[];
  readonly onDone: (shown: readonly ShownLine[]) => Promise<void>;
  readonly onCancel: () => void;
};
/** One line of a file is shown: what in it is the name, the keys, the place; all lines that fit are read, and seen so at once. */
export function ShowLine({ source, shown: before, onDone, onCancel }: Props) {
  const { lines, current, choose, mark, more, drop, shown, others, read, commands, problem, busy } = useShowLine(
    source,
    before,
  );
  if (problem)
    return (
      <Alert severity="error" action={<Button onClick={onCancel}>Back</Button>}>
        {problem}
      </Alert>
    );
  if (!lines) return <p role="status">Reading…</p>;
  const withKeys = commands.filter((row) => (row.command?.keys.length ?? 0) > 0).length;
  return (
    <>
      <Stack component="section" className="card" spacing={3} sx={{ p: 4, flex: 'none' }} aria-labelledby="show-line">
        <Row wraps gap={3} align="baseline" apart>
          <h2 id="show-line">
            {current ? 'Mark what is what in this line' : 'Choose a line that holds a command and its keys'}
          </h2>
          <Row gap={2}>
            <Button variant="text" onClick={onCancel}>
              Cancel
            </Button>
            <Button variant="contained" disabled={busy || commands.length === 0} onClick={() => void onDone(shown)}>
              Read it this way
            </Button>
          </Row>
        </Row>
        {current ? (
          <MarkLine key={current.text} line={current} onMark={mark} />
        ) : (
          <p className="soft">
            Any line of the list will do, best one with keys that have a modifier. All lines like it are then read the
            same way; below you see at once what that makes of them.
          </p>
        )}
        {others.length > 0 && (
          <Row wraps gap={2}>
            <span className="soft">Also shown:</span>
            {others.map((one) => (
              <Chip key={one.text} label={one.text.trim()} onDelete={() => drop(one)} />
            ))}
          </Row>
        )}
        <Row wraps gap={3} align="baseline">
          <p role="status">
            {current &&
              (busy
                ? 'Reading…'
                : `${counted(commands.length, 'line')} ${commands.length === 1 ? 'is' : 'are'} read as commands, ${withKeys} of them with keys.`)}
          </p>
          {current && (current.name || current.path) && (
            <Button variant="text" onClick={more}>
              Some lines are written otherwise: show one more
            </Button>
          )}
        </Row>
      </Stack>
      <LinesOfFile lines={lines} chosen={current?.text ?? null} read={read} onChoose={choose} />
    </>
  );
}
