'use client';

import Alert from '@mui/material/Alert';
import Button from '@mui/material/Button';
import Link from 'next/link';
import { useEffect, useMemo, useState } from 'react';
import type { KeymapView } from '@/core/keymap/keymapView';
import { type Pack, packsOn } from '@/core/pack/pack';
import type { CommandId } from '@/core/program/program';
import { counted } from '@/core/text/sentence';
import type { KeymapLink } from '@/core/view/shelf';
import { useDraft } from '../draft/useDraft';
import { usePull } from '../draft/usePull';
import { Column } from '../kit/Column';
import { FileButton } from '../kit/FileButton';
import { SidePanes } from '../kit/SidePanes';
import { KeymapPicker } from '../parts/KeymapPicker';
import { ask, messageOf } from '../shell/api';
import { useNotice } from '../shell/Notices';
import { unpacked } from '../shell/unpacked';
import { MakePack } from './MakePack';
import { PutOn } from './PutOn';

type Props = {
  readonly view: KeymapView;
  readonly links: readonly KeymapLink[];
  readonly uses: Readonly<Record<CommandId, number>>;
  /** The keymap that this one is compared with; the factory's otherwise. */
  readonly from: KeymapView | null;
};

/** Packs of a keymap: made of some of its changes, put on, listed and pulled off again. */
export function Packs({ view, links, uses, from }: Props) {
  const { program, programSlug } = view;
  const { draft, actions } = useDraft(view);
  const tell = useNotice();
  const [pack, setPack] = useState<Pack | null>(null);
  const [problem, setProblem] = useState('');
  const { pull, dialog } = usePull(actions);
  const { cursor, slug, name } = draft.state;
  useEffect(() => {
    // Of long tapes only the newest tickets come with the page.
    if (draft.earlier > 0) void actions.whole();
  }, [draft.earlier, actions]);
  const on = useMemo(
    () => packsOn(draft.tape.slice(0, cursor - draft.earlier), draft.earlier).toReversed(),
    [draft.tape, draft.earlier, cursor],
  );
  const open = async (file: File): Promise<void> => {
    setProblem('');
    try {
      setPack(await ask<Pack>('POST', '/api/reading/pack', { text: await file.text() }));
    } catch (error) {
      setPack(null);
      setProblem(messageOf(error));
    }
  };
  const side = (
    <Column gap={4}>
      <Column component="section" aria-label="Put a pack on" gap={2} align="flex-start">
        <h2>Put a pack on</h2>
        <p className="soft">A few changes that somebody saved, for this program or another.</p>
        <FileButton label="A pack to put on" variant="outlined" accept=".json" onFile={(file) => void open(file)}>
          Choose a pack…
        </FileButton>
      </Column>
      <section aria-label="On this keymap">
        <h2>On this keymap</h2>
        {on.length === 0 && <p className="soft">No pack was put on it yet.</p>}
        <Column component="ul" gap={3}>
          {on.map(({ name: called, position, commands }) => (
            <li key={position}>
              <strong>{called}</strong>
              <br />
              <span className="soft small">{counted(commands, 'command')} changed</span>{' '}
              <Button variant="inline" aria-label={`Pull ${called} off`} onClick={() => pull(position)}>
                Pull it off
              </Button>
            </li>
          ))}
        </Column>
      </section>
    </Column>
  );
  return (
    <div className="screen">
      <header className="bar">
        <h1>Packs</h1>
        <KeymapPicker
          programName={program.name}
          label={name}
          links={links}
          program={programSlug}
          keymap={slug}
          to={(one, keymap) => `/shelf/packs/${one}/${keymap}`}
        />
        <span className="push" />
        <Button variant="text" component={Link} href={`/board/${programSlug}/${slug}`} prefetch={false}>
          Back to the Board
        </Button>
      </header>
      <SidePanes label="A pack" side={{ label: 'Packs of this keymap', width: '18rem', parts: side }}>
        {problem && <Alert severity="error">{problem}</Alert>}
        {pack ? (
          <PutOn
            key={JSON.stringify(pack)}
            pack={pack}
            view={view}
            draft={draft}
            uses={uses}
            onPut={async (ticket) => {
              if (!(await actions.edit(ticket))) return;
              tell(`“${pack.name}” is on, as one ticket of the tape.`);
              setPack(null);
            }}
            onLeave={() => setPack(null)}
          />
        ) : (
          <MakePack program={program} draft={draft} from={from} />
        )}
      </SidePanes>
      {dialog}
    </div>
  );
}

export const PackedPacks = unpacked(Packs);
