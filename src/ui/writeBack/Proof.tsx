import Button from '@mui/material/Button';
import { counted } from '@/core/text/sentence';
import type { BesideLine } from '@/core/writeBack/besideLines';
import type { WriteBackView } from '@/core/writeBack/writeBackView';
import { Column } from '../kit/Column';

/** Which lines of the file are shown. */
export type Shown = 'change' | 'add' | 'cannot' | 'whole';
type Props = {
  readonly written: WriteBackView;
  readonly lines: readonly BesideLine[];
  readonly cannot: number;
  readonly shown: Shown;
  readonly onShow: (shown: Shown) => void;
};

/** Whether the new file was read as it is meant, in figures, and which of its lines are shown. */
export function Proof({ written, lines, cannot, shown, onShow }: Props) {
  const { asWanted, of, mac } = written;
  const added = lines.filter((line) => line.before === null).length;
  const changed = lines.filter((line) => line.changed).length - added;
  const kinds: readonly (readonly [Shown, string, number])[] = [
    ['change', 'Lines that change', changed],
    ['add', 'Lines to add', added],
    ['cannot', "Can't be written", cannot],
    ['whole', 'Whole file', lines.length],
  ];
  return (
    <>
      <div role="status">
        <h2>
          Read back: {asWanted} of {of} as wanted
        </h2>
        <p>{proofOf(written, cannot)}</p>
        {mac && (
          <p>
            Its part for a Mac, read in the same way: {mac.asWanted} of {mac.of} as wanted.
          </p>
        )}
      </div>
      <Column gap={2} role="group" aria-label="Lines shown">
        {kinds.map(([kind, words, count]) => (
          <Button
            key={kind}
            variant={shown === kind ? 'contained' : 'outlined'}
            aria-pressed={shown === kind}
            disabled={count === 0 && shown !== kind}
            sx={{ justifyContent: 'flex-start' }}
            onClick={() => onShow(kind)}
          >
            {words} {count}
          </Button>
        ))}
      </Column>
    </>
  );
}

/** What reading the new file once more has shown. */
function proofOf({ asWanted, of, edits }: WriteBackView, cannot: number): string {
  if (asWanted < of)
    return `The new file was read once more, and ${counted(of - asWanted, 'command')} did not come back as wanted. They are told below.`;
  if (edits.length === 0)
    return cannot > 0
      ? 'The file holds already what can be written of this keymap.'
      : 'The file holds this keymap as it is. Nothing in it has to change.';
  const all = cannot > 0 ? "but for what can't be written" : 'to the last key';
  return `The new file was read once more and holds this keymap ${all}. All else in it is as it was, byte for byte.`;
}
