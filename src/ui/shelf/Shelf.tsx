'use client';

import Button from '@mui/material/Button';
import Link from 'next/link';
import { useRouter } from 'next/navigation';
import { useDeferredValue, useEffect, useState } from 'react';
import type { KeymapSummary } from '@/core/keymap/keymapView';
import { counted } from '@/core/text/sentence';
import type { ProgramSummary } from '@/core/view/shelf';
import { Column } from '../kit/Column';
import { Row } from '../kit/Row';
import { Standing } from '../kit/Standing';
import { ActionsMenu } from '../parts/ActionsMenu';
import { NameDialog } from '../parts/NameDialog';
import { ask, messageOf } from '../shell/api';
import { useNotice } from '../shell/Notices';
import { unpacked } from '../shell/unpacked';
import { KeyStrip } from './KeyStrip';
import styles from './shelf.module.css';

type Naming = {
  readonly title: string;
  readonly action: string;
  readonly name: string;
  readonly owner?: string;
  readonly done: (name: string, owner: string) => Promise<void>;
};

/** More programs than this don't fit a screen; those below are drawn when the first are there to be used. */
const AT_FIRST = 6;

/** Programs and their keymaps as what they are: strips of keys with pins. */
export function Shelf({ programs, at }: { programs: readonly ProgramSummary[]; at: string | null }) {
  const router = useRouter();
  const tell = useNotice();
  const [naming, setNaming] = useState<Naming | null>(null);
  const away = programs.flatMap((program): { program: ProgramSummary; keymap: KeymapSummary | null }[] =>
    program.putAway
      ? [{ program, keymap: null }]
      : program.keymaps.filter((one) => one.putAway).map((keymap) => ({ program, keymap })),
  );
  const standing = programs.filter((one) => !one.putAway);
  const shown = useDeferredValue(standing.length, Math.min(standing.length, AT_FIRST));
  useEffect(() => {
    if (at && shown > 0) document.getElementById(at)?.scrollIntoView({ block: 'start' });
  }, [at, shown]);

  const change = async (address: string, body: object, said: string, undo?: object): Promise<void> => {
    try {
      await ask('PATCH', address, body);
      router.refresh();
      tell(said, undo && { words: 'Bring it back', run: () => void change(address, undo, 'It is back on the Shelf.') });
    } catch (error) {
      tell(messageOf(error));
    }
  };
  const rename = (what: string, name: string, address: string, owner?: string): void =>
    setNaming({
      title: `Rename ${what}`,
      action: 'Rename it',
      name,
      ...(owner === undefined ? {} : { owner }),
      done: async (newName, newOwner) => {
        await ask('PATCH', address, { name: newName, ...(owner === undefined ? {} : { owner: newOwner }) });
        setNaming(null);
        router.refresh();
      },
    });
  const duplicate = (keymap: KeymapSummary): void =>
    setNaming({
      title: `Duplicate ${keymap.name}`,
      action: 'Make the copy',
      name: keymap.factory ? 'My keys' : `Copy of ${keymap.name}`,
      owner: keymap.owner,
      done: async (name, owner) => {
        await ask('POST', `/api/keymaps/${keymap.id}/duplicate`, { name, owner });
        setNaming(null);
        router.refresh();
        tell(`${name} stands on the Shelf.`);
      },
    });

  return (
    <div className="screen">
      <header className="bar">
        <h1>Shelf</h1>
        <span className="soft">{counted(standing.length, 'program')}</span>
        <span className="push" />
        <Button variant="text" href="/api/everything" download>
          Save everything…
        </Button>
        <Button variant="contained" component={Link} href="/shelf/bring-in">
          Bring a program in…
        </Button>
      </header>
      <main className={styles.shelf}>
        {standing.length === 0 && (
          <div className="empty">
            <p>
              No program stands here yet. Bring in the list of its commands: a table, a web page of shortcuts, or a file
              exported from another Gray Pin.
            </p>
          </div>
        )}
        {standing.slice(0, shown).map((program) => (
          <section
            key={program.slug}
            id={program.slug}
            className={styles.program}
            aria-labelledby={`${program.slug}-name`}
          >
            <Row className={styles.programHead} wraps gap={3} align="baseline">
              <h2 id={`${program.slug}-name`}>{program.label}</h2>
              <span className="soft">
                version {program.version} · {counted(program.commands, 'command')}
              </span>
              <span className="push" />
              <ActionsMenu
                label={`More for ${program.label}`}
                actions={[
                  ['Export as a file', `/api/programs/${program.slug}/file`],
                  [`What ${program.name} allows…`, `/shelf/allows/${program.slug}`],
                  ['Compare two keymaps…', `/shelf/compare/${program.slug}`],
                  ['Rename…', () => rename(program.name, program.name, `/api/programs/${program.slug}`)],
                  [
                    'Put away',
                    () =>
                      void change(
                        `/api/programs/${program.slug}`,
                        { putAway: true },
                        `${program.name} is put away with its keymaps.`,
                        { putAway: false },
                      ),
                  ],
                ]}
              />
            </Row>
            <ul className={styles.keymaps}>
              {program.keymaps
                .filter((one) => !one.putAway)
                .map((keymap) => (
                  <KeymapCard
                    key={keymap.id}
                    program={program}
                    keymap={keymap}
                    onDuplicate={() => duplicate(keymap)}
                    onRename={() => rename(keymap.name, keymap.name, `/api/keymaps/${keymap.id}`, keymap.owner)}
                    onPutAway={() =>
                      void change(`/api/keymaps/${keymap.id}`, { putAway: true }, `${keymap.name} is put away.`, {
                        putAway: false,
                      })
                    }
                  />
                ))}
            </ul>
          </section>
        ))}
        {away.length > 0 && shown >= standing.length && (
          <section className={styles.program} aria-labelledby="put-away">
            <h2 id="put-away">Put away</h2>
            <ul>
              {away.map(({ program, keymap }) => (
                <li key={`${program.slug} ${keymap?.id ?? ''}`}>
                  <span>
                    {keymap
                      ? `${keymap.name} · ${program.name}`
                      : `${program.name} with ${counted(program.keymaps.length, 'keymap')}`}
                  </span>
                  <Button
                    variant="text"
                    onClick={() =>
                      void change(
                        keymap ? `/api/keymaps/${keymap.id}` : `/api/programs/${program.slug}`,
                        { putAway: false },
                        `${keymap?.name ?? program.name} is back on the Shelf.`,
                      )
                    }
                  >
                    Bring back<span className="hidden"> {keymap?.name ?? program.name}</span>
                  </Button>
                </li>
              ))}
            </ul>
          </section>
        )}
      </main>
      {naming && <NameDialog {...naming} onClose={() => setNaming(null)} onDone={naming.done} />}
    </div>
  );
}

type CardProps = {
  readonly program: ProgramSummary;
  readonly keymap: KeymapSummary;
  readonly onDuplicate: () => void;
  readonly onRename: () => void;
  readonly onPutAway: () => void;
};
function KeymapCard({ program, keymap, onDuplicate, onRename, onPutAway }: CardProps) {
  const address = `${program.slug}/${keymap.slug}`;
  return (
    <li className={`card ${styles.keymap}`}>
      <KeyStrip pins={keymap.pins} />
      <div className={styles.about}>
        <h3>
          <Link href={`/board/${address}`} prefetch={false} className={styles.title}>
            {keymap.name}
          </Link>
        </h3>
        <p className="soft">
          {keymap.factory ? 'As the program came. Never changes.' : keymap.owner || 'Nobody’s in particular'}
        </p>
        <p>
          {keymap.factory ? (
            counted(keymap.bindings, 'key')
          ) : (
            <>
              <strong>{keymap.yours}</strong> yours of {counted(keymap.bindings, 'key')}
            </>
          )}
          {keymap.locked && <Standing>locked</Standing>}
          {keymap.unnamed ? (
            <Standing>not kept yet</Standing>
          ) : (
            keymap.draftChanges > 0 && <Standing>draft · {counted(keymap.draftChanges, 'change')}</Standing>
          )}
        </p>
        <p className="soft">{usedWords(keymap.lastUsed)}</p>
      </div>
      <Column gap={1} align="flex-end">
        <Button variant="outlined" component={Link} href={`/board/${address}`} prefetch={false}>
          Open
        </Button>
        <ActionsMenu
          label={`More for ${keymap.name} of ${program.label}`}
          actions={[
            ['Print a sheet', `/sheets/${address}`],
            ['Compare…', `/shelf/compare/${program.slug}?left=${keymap.slug}`],
            [keymap.factory ? 'Start a keymap of your own…' : 'Duplicate…', onDuplicate],
            ...(keymap.factory
              ? []
              : ([
                  ['Rename…', onRename],
                  ['Put away', onPutAway],
                ] as const)),
          ]}
        />
      </Column>
    </li>
  );
}

function usedWords(at: string | null): string {
  if (at === null) return 'Not opened yet';
  return `Opened ${new Date(at).toLocaleDateString('en-US', { day: 'numeric', month: 'long', timeZone: 'UTC' })}`;
}
export const PackedShelf = unpacked(Shelf);
