'use client';

import Alert from '@mui/material/Alert';
import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import Link from 'next/link';
import { useRouter } from 'next/navigation';
import { useMemo, useState } from 'react';
import type { ChangeListView } from '@/core/changeList/changeListView';
import { planEntry } from '@/core/changeList/planEntry';
import { programFacts } from '@/core/clash/clashIndex';
import { draftOf } from '@/core/keymap/draft';
import type { KeymapLink } from '@/core/view/shelf';
import { besideLines } from '@/core/writeBack/besideLines';
import type { FileLink, FilesView } from '@/core/writeBack/writeBackView';
import { Column } from '../kit/Column';
import { FileButton } from '../kit/FileButton';
import { SidePanes } from '../kit/SidePanes';
import { ActionsMenu } from '../parts/ActionsMenu';
import { SheetBar } from '../parts/SheetBar';
import { useSettings } from '../shell/SettingsContext';
import { Beside } from './Beside';
import { Cannot } from './Cannot';
import { Proof, type Shown } from './Proof';
import { SpellingTable } from './SpellingTable';
import { useWriteBack } from './useWriteBack';

type Props = {
  readonly given: ChangeListView;
  readonly links: readonly KeymapLink[];
  readonly files: FilesView;
  /** The file that is written into; null where there is none. */
  readonly file: number | null;
};

/** A keymap written back into the file its program reads: what changes in it, how it writes keys, what it can't hold. */
export function WriteBack({ given, links, files: { files, spelling, printed }, file }: Props) {
  const { view, from } = given;
  const { program, programSlug, draft } = view;
  const address = `/sheets/${programSlug}/${draft.slug}`;
  const router = useRouter();
  const { where } = useSettings();
  const { written, problem, busy, look, give } = useWriteBack(draft.id, programSlug, file);
  const [shown, setShown] = useState<Shown>('change');
  const lines = useMemo(() => (written ? besideLines(written.text, written.edits) : []), [written]);
  const guessed = useMemo(
    () => written?.spelling.words.filter((one) => one.guessed).map((one) => one.word) ?? [],
    [written],
  );
  const cannot = useMemo(() => written?.commands.filter((one) => one.why !== null) ?? [], [written]);
  const stepOf = useMemo(() => {
    const facts = programFacts(program);
    const { steps } = planEntry(facts, where.place, draftOf(from).keymap, draftOf(view).keymap);
    return (id: string): number => steps.findIndex((one) => one.command === id) + 1;
  }, [program, where, from, view]);
  const show = async (one: File): Promise<void> => {
    const id = await give(one);
    if (id !== null) router.push(`${address}/write?file=${id}`);
  };
  const now = files.find((one) => one.id === file);
  return (
    <div className="screen">
      <SheetBar
        title="Write it back"
        {...{ view, links }}
        part="write"
        choices={
          now &&
          (files.length === 1 ? (
            <span className="soft">into {labelOf(now)}</span>
          ) : (
            <ActionsMenu
              label={`Into ${labelOf(now)}`}
              words={`into ${labelOf(now)}`}
              actions={files
                .filter((one) => one !== now)
                .map((one) => [labelOf(one), `${address}/write?file=${one.id}`])}
            />
          ))
        }
      >
        {now && (
          <FileButton label="A newer copy of the file" disabled={busy} onFile={(one) => void show(one)}>
            Give a newer copy…
          </FileButton>
        )}
        {now && written && (
          <Button
            variant="contained"
            component="a"
            disabled={busy}
            href={`/api/keymaps/${draft.id}/write-back/file?file=${now.id}`}
            download={now.name || `${program.name} keys.txt`}
          >
            Save the file
          </Button>
        )}
      </SheetBar>
      <SidePanes
        label="The file, as it is and as it will be"
        side={
          written &&
          spelling && {
            label: 'What becomes of the file',
            width: '18rem',
            parts: (
              <>
                <Proof written={written} lines={lines} cannot={cannot.length} shown={shown} onShow={setShown} />
                <SpellingTable spelling={written.spelling} kept={spelling} busy={busy} onSaid={look} />
              </>
            ),
          }
        }
      >
        {problem && <Alert severity="error">{problem}</Alert>}
        {!now && (
          <Column className="empty" align="center" gap={4}>
            <Box component="p" sx={{ maxWidth: '44rem' }}>
              {printed
                ? `${program.name} was brought in from a PDF. It tells which keys there are, but no program reads them from one.`
                : `No file of ${program.name} is kept here.`}{' '}
              Give the file it reads its keys from, and this keymap is written into it: as it spells keys, and nothing
              else in it is touched.
            </Box>
            <FileButton
              label="A file that the program reads"
              variant="contained"
              disabled={busy}
              onFile={(one) => void show(one)}
            >
              Choose the file…
            </FileButton>
            <p className="soft">
              Where it keeps them in no file, the <Link href={`${address}/changes`}>change list</Link> leads through it
              by hand. Where it reads a text but never gives one, write it in{' '}
              <Link href={`${address}/form`}>a form of your own</Link>.
            </p>
          </Column>
        )}
        {now && !written && !problem && <p role="status">Writing into {labelOf(now)}…</p>}
        {written && shown !== 'cannot' && <Beside lines={lines} shown={shown} guessed={guessed} />}
        {cannot.length > 0 && (
          <Cannot
            cannot={cannot}
            program={program}
            stepOf={stepOf}
            steps={`${address}/changes`}
            whole={shown === 'cannot'}
          />
        )}
      </SidePanes>
    </div>
  );
}

/** What a file is called, and when it was given where that was later than the program. */
function labelOf({ name, given, madeAt }: FileLink): string {
  const when = new Date(madeAt).toLocaleString('en-US', {
    day: 'numeric',
    month: 'short',
    hour: 'numeric',
    minute: '2-digit',
  });
  return `${name || 'a list that was pasted'}, ${given ? `given ${when}` : 'as brought in'}`;
}
