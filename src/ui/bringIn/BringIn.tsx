'use client';

import { joiResolver } from '@hookform/resolvers/joi';
import Alert from '@mui/material/Alert';
import Button from '@mui/material/Button';
import Stack from '@mui/material/Stack';
import TextField from '@mui/material/TextField';
import Link from 'next/link';
import { useRouter } from 'next/navigation';
import { type DragEvent, useEffect, useRef, useState } from 'react';
import { useForm } from 'react-hook-form';
import type { Role } from '@/core/reading/columnRoles';
import type { Preview } from '@/core/reading/preview';
import { counted } from '@/core/text/sentence';
import { programNaming } from '@/schemas/forms';
import { FileButton } from '../kit/FileButton';
import { FormField } from '../kit/FormField';
import { Row } from '../kit/Row';
import { ask, messageOf } from '../shell/api';
import { useNotice } from '../shell/Notices';
import styles from './bringIn.module.css';
import { ListPreview } from './ListPreview';

type Source = { readonly blob: Blob; readonly name: string };
const MOST = 5 * 1024 * 1024;

/** Brings a program in: a file or pasted text, what was understood of it, corrections, then onto the Shelf. */
export function BringIn() {
  const router = useRouter();
  const tell = useNotice();
  const [source, setSource] = useState<Source | null>(null);
  const [preview, setPreview] = useState<Preview | null>(null);
  const [roles, setRoles] = useState<readonly (readonly Role[] | null)[]>([]);
  const naming = useForm({ resolver: joiResolver(programNaming), defaultValues: { name: '', version: '' } });
  const [pasted, setPasted] = useState('');
  const [problem, setProblem] = useState('');
  const [busy, setBusy] = useState(false);
  const [over, setOver] = useState(false);
  const looking = useRef<AbortController | null>(null);
  useEffect(() => () => looking.current?.abort(), []);

  const form = (
    from: Source,
    chosen: readonly (readonly Role[] | null)[],
    extra: Record<string, string> = {},
  ): FormData => {
    const data = new FormData();
    data.set('file', from.blob, 'list');
    data.set('roles', JSON.stringify(chosen));
    for (const [key, value] of Object.entries(extra)) data.set(key, value);
    return data;
  };
  const look = async (from: Source, chosen: readonly (readonly Role[] | null)[]): Promise<void> => {
    setProblem('');
    if (from.blob.size > MOST) {
      setProblem(
        'This file is larger than 5 MB, more than a list of commands needs. Save only the list and try again.',
      );
      return;
    }
    setBusy(true);
    // Whoever looks at another file, or leaves, no longer waits for this one.
    looking.current?.abort();
    const own = new AbortController();
    looking.current = own;
    try {
      const found = await ask<Preview>('POST', '/api/reading', form(from, chosen), false, own.signal);
      if (source !== from) {
        naming.reset({ name: found.name, version: found.kind === 'program file' ? found.version : '1' });
      }
      setSource(from);
      setRoles(chosen);
      setPreview(found);
    } catch (error) {
      if (!own.signal.aborted) setProblem(messageOf(error));
    } finally {
      if (looking.current === own) setBusy(false);
    }
  };
  const bringIn = naming.handleSubmit(async (named) => {
    if (!source) return;
    setBusy(true);
    try {
      const { slug } = await ask<{ slug: string }>('POST', '/api/programs', form(source, roles, named));
      tell(`${named.name} stands on the Shelf.`);
      router.push(`/shelf/${slug}`);
    } catch (error) {
      setProblem(messageOf(error));
      setBusy(false);
    }
  });
  const drop = (event: DragEvent): void => {
    event.preventDefault();
    setOver(false);
    const file = event.dataTransfer.files[0];
    if (file) void look({ blob: file, name: file.name }, []);
  };
  const start = (): void => {
    setPreview(null);
    setSource(null);
    setRoles([]);
    setProblem('');
  };

  return (
    <div className="screen">
      <header className="bar">
        <h1>Bring a program in</h1>
        <span className="soft">{source ? source.name : 'its list of commands, as a table or a web page'}</span>
        <span className="push" />
        {preview && (
          <Button variant="text" onClick={start}>
            Choose another file
          </Button>
        )}
        <Button variant="outlined" component={Link} href="/shelf">
          Back to the Shelf
        </Button>
        {preview && (
          <Button variant="contained" disabled={busy} onClick={() => void bringIn()}>
            Put it on the Shelf
          </Button>
        )}
      </header>
      <main
        className={`panes ${styles.bringIn}`}
        onDragOver={(event) => {
          event.preventDefault();
          setOver(true);
        }}
        onDragLeave={() => setOver(false)}
        onDrop={drop}
      >
        {problem && <Alert severity="error">{problem}</Alert>}
        {!preview && (
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
                A table (CSV or TSV), a saved web page of shortcuts, or a file exported from another Gray Pin. Drop it
                here, or
              </p>
              <FileButton
                variant="contained"
                label="File with the list of commands"
                disabled={busy}
                onFile={(file) => void look({ blob: file, name: file.name }, [])}
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
                onClick={() => void look({ blob: new Blob([pasted], { type: 'text/plain' }), name: 'Pasted text' }, [])}
              >
                Read it
              </Button>
            </Stack>
          </div>
        )}
        {preview && (
          <Row gap={4} wraps align="flex-start">
            <FormField form={naming} name="name" label="Name of the program" />
            <FormField form={naming} name="version" label="Version" />
          </Row>
        )}
        {preview?.kind === 'program file' && (
          <Stack
            component="section"
            className={`card ${styles.source}`}
            spacing={3}
            sx={{ p: 5, alignItems: 'flex-start' }}
            aria-label="What the file holds"
          >
            <p>
              This is a Gray Pin file: <strong>{preview.name}</strong>, version {preview.version}, with{' '}
              {counted(preview.commands, 'command')} and its factory keys.
            </p>
            {preview.keymaps.length > 0 ? (
              <>
                <p>{counted(preview.keymaps.length, 'keymap')} come with it:</p>
                <ul>
                  {preview.keymaps.map((one) => (
                    <li key={one.name}>
                      {one.name}
                      {one.owner && <span className="soft"> · {one.owner}</span>}
                    </li>
                  ))}
                </ul>
              </>
            ) : (
              <p>No keymaps but the factory's come with it.</p>
            )}
          </Stack>
        )}
        {preview?.kind === 'list' && (
          <ListPreview preview={preview} onRoles={(next) => source && void look(source, next)} busy={busy} />
        )}
      </main>
    </div>
  );
}
