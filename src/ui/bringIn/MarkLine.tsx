import Button from '@mui/material/Button';
import TextField from '@mui/material/TextField';
import { type KeyboardEvent, useRef, useState } from 'react';
import { FIELDS, type Field, type Mark, type ShownLine } from '@/core/reading/shown/shownLine';
import { Row } from '../kit/Row';
import { Segments } from '../kit/Segments';

type Props = { readonly line: ShownLine; readonly onMark: (field: Field, mark: Mark | null) => void };

const WORDS: Readonly<Record<Field, string>> = { name: 'Name', keys: 'Keys', path: 'Menu or group' };

/** One line in which a person marks what is the name, what the keys and what the place. */
export function MarkLine({ line, onMark }: Props) {
  const [field, setField] = useState<Field>(FIELDS.find((one) => line[one] === null && one !== 'path') ?? 'name');
  const box = useRef<HTMLTextAreaElement | null>(null);
  const take = (): void => {
    const { selectionStart: from = 0, selectionEnd: to = 0 } = box.current ?? {};
    const part = line.text.slice(from, to);
    const start = from + part.length - part.trimStart().length;
    const end = from + part.trimEnd().length;
    if (end <= start) return;
    onMark(field, [start, end]);
    // What is still missing comes next.
    if (field !== 'path') setField(field === 'name' && line.keys === null ? 'keys' : field);
  };
  return (
    <>
      <Row wraps gap={3} align="flex-end">
        <Segments
          label="You mark the"
          value={field}
          options={FIELDS.map((one) => [one, WORDS[one]])}
          onChange={setField}
        />
        <TextField
          sx={{ flex: '1 1 24rem', '& textarea': { fontFamily: 'var(--face-keys)' } }}
          label={`Draw over the ${WORDS[field].toLowerCase()} in the line; by keyboard, Shift with the arrows, then Enter`}
          multiline
          maxRows={4}
          value={line.text}
          inputRef={box}
          // Not read-only as such, where browsers let nobody select by keyboard: nothing that is typed is kept.
          onChange={() => undefined}
          slotProps={{ htmlInput: { 'aria-readonly': true, spellCheck: false } }}
          // Where the browser sets the selection after the pointer was lifted.
          onPointerUp={() => setTimeout(take)}
          onKeyDown={(event: KeyboardEvent) => {
            if (event.key !== 'Enter') return;
            event.preventDefault();
            take();
          }}
        />
      </Row>
      <Row wraps gap={4}>
        {FIELDS.map((one) => {
          const mark = line[one];
          return (
            <Row key={one} gap={2} align="baseline">
              <span className="soft">{WORDS[one]}:</span>
              {mark ? (
                <>
                  <strong className="keys">{line.text.slice(...mark)}</strong>
                  <Button variant="inline" onClick={() => onMark(one, null)}>
                    {one === 'path' ? 'none here' : 'not that'}
                  </Button>
                </>
              ) : (
                <span className="soft">{one === 'path' ? 'not in this line' : 'not marked yet'}</span>
              )}
            </Row>
          );
        })}
      </Row>
    </>
  );
}
