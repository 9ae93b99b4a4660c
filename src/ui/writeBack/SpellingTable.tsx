import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import TextField from '@mui/material/TextField';
import { TriangleAlert } from 'lucide-react';
import { type ReactNode, useMemo, useRef, useState } from 'react';
import { MODIFIERS, type Modifier } from '@/core/chord/chord';
import { keyLabel } from '@/core/chord/keyNames';
import { modifierLabel } from '@/core/chord/writeChord';
import { counted } from '@/core/text/sentence';
import { type Said, SEVERAL } from '@/core/writeBack/spelling';
import type { FilesView, WriteBackView } from '@/core/writeBack/writeBackView';
import { Column } from '../kit/Column';
import { Disclosure } from '../kit/Disclosure';
import { Row } from '../kit/Row';
import { useFocusKept } from '../parts/useFocusKept';
import { useNotice } from '../shell/Notices';
import { useSettings } from '../shell/SettingsContext';
import { useKept } from '../sync/useKept';
import { spellingWay } from '../sync/ways';

type Props = {
  readonly spelling: WriteBackView['spelling'];
  readonly kept: NonNullable<FilesView['spelling']>;
  readonly busy: boolean;
  /** What was said is kept: the file is to be written by it. */
  readonly onSaid: () => Promise<void>;
};

/** How the file writes keys, as learned from it; words that stand nowhere in it can be confirmed or corrected. */
export function SpellingTable({ spelling, kept: { file, said: given }, busy, onSaid }: Props) {
  const { notation } = useSettings().settings;
  const called = (what: string): string =>
    (MODIFIERS as readonly string[]).includes(what)
      ? modifierLabel(what as Modifier, notation)
      : keyLabel(what, notation);
  const way = useMemo(() => spellingWay(file), [file]);
  const [said, edit] = useKept(`spelling ${file}`, given, way);
  const tell = useNotice();
  const section = useRef<HTMLElement>(null);
  useFocusKept(section);
  const keep = async (words: Partial<Said>): Promise<boolean> => {
    const stored = await edit(words);
    if (stored) await onSaid();
    return stored;
  };
  const say = async (what: string, word: string): Promise<void> => {
    const before = { [what]: said[what] };
    if (!(await keep({ [what]: word }))) return;
    tell(`${called(what)}: “${word}”, as you said.`, { words: 'Undo', run: () => void keep(before) });
  };
  const guessed = spelling.words.filter((one) => one.guessed);
  const known = spelling.words.filter((one) => !one.guessed);
  const asked = [...spelling.missing.map((what) => ({ what, word: '' })), ...guessed];
  return (
    <section aria-label="How this file writes keys" ref={section} tabIndex={-1}>
      <h2>How this file writes keys</h2>
      <p className="soft">learned from its {counted(spelling.learnedFrom, 'key')}</p>
      <Box component="dl" sx={LIST}>
        <Told what="joined by">{spelling.joint === '' ? 'nothing' : <Written text={spelling.joint} />}</Told>
        <Told what="order">
          {spelling.order.map((word) => word.replace(/^<|>$/gu, '')).join(', ') || 'no modifiers'}
        </Told>
        <Told what="several keys">
          {spelling.several === null ? 'none has any' : <Written text={spelling.several} />}
        </Told>
        <Told what="no key">
          {noneWords(spelling.none)}
          {spelling.noneGuessed && <span className="soft"> (guessed: every command in it has keys)</span>}
        </Told>
      </Box>
      {asked.length > 0 && (
        <>
          <h3 style={{ margin: 'var(--space-3) 0 var(--space-2)' }}>
            <TriangleAlert size={16} aria-hidden style={{ verticalAlign: '-2px' }} />{' '}
            {guessed.length > 0 ? 'Guessed, or left to you' : 'Left to you'}: what stands nowhere in the file
          </h3>
          <Column component="ul" gap={3}>
            {asked.map(({ what, word }) => (
              <li key={`${what} ${word}`}>
                <Say
                  text={word}
                  label={called(what)}
                  busy={busy}
                  onSay={(text) => void say(what, what === SEVERAL ? text : text.trim())}
                />
              </li>
            ))}
          </Column>
        </>
      )}
      {known.length > 0 && (
        <Disclosure title={`Words that are written ${known.length}`}>
          <Box component="dl" sx={LIST}>
            {known.map(({ what, word }) => (
              <Told key={what} what={called(what)}>
                <Written text={word} />
                {said[what] !== undefined && <span className="soft"> as you said</span>}
              </Told>
            ))}
          </Box>
        </Disclosure>
      )}
    </section>
  );
}

const LIST = {
  display: 'grid',
  margin: 0,
  '& > div': {
    display: 'grid',
    gridTemplateColumns: '5.5rem minmax(0, 1fr)',
    gap: 'var(--space-2)',
    padding: 'var(--space-2) 0',
    borderBottom: '1px solid var(--line-soft)',
  },
  '& dd': { margin: 0 },
} as const;

function Told({ what, children }: { readonly what: string; readonly children: ReactNode }) {
  return (
    <div>
      <dt>{what}</dt>
      <dd>{children}</dd>
    </div>
  );
}

/** A text just as it is written, blanks told. */
function Written({ text }: { readonly text: string }) {
  const seen = text.replaceAll('\n', '↵').replaceAll(' ', '␣');
  return <kbd className="cap">{seen}</kbd>;
}

function noneWords(none: Props['spelling']['none']): ReactNode {
  if (none.kind === 'absent') return 'its record names no keys';
  if (none.kind === 'no line') return 'it has no line';
  if (none.kind === 'commented out')
    return (
      <>
        its line begins with <Written text={none.sign} />
      </>
    );
  return none.raw === '' ? 'its line stands with nothing for keys' : <Written text={none.raw} />;
}

type SayProps = {
  readonly text: string;
  readonly label: string;
  readonly busy: boolean;
  readonly onSay: (text: string) => void;
};

/** How something is written, to be confirmed or said otherwise. */
function Say({ text: given, label, busy, onSay }: SayProps) {
  const [text, setText] = useState(given);
  return (
    <Row
      gap={2}
      align="flex-end"
      component="form"
      onSubmit={(event) => {
        event.preventDefault();
        if (text !== '') onSay(text);
      }}
    >
      <TextField
        label={label}
        value={text}
        slotProps={{ htmlInput: { spellCheck: false, maxLength: 40 } }}
        sx={{ '& .MuiInputBase-input': { fontFamily: 'var(--face-keys)' } }}
        onChange={(event) => setText(event.target.value)}
      />
      <Button type="submit" variant="outlined" disabled={busy || text === ''}>
        Confirm
      </Button>
    </Row>
  );
}
