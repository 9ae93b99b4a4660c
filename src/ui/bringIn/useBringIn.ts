import { joiResolver } from '@hookform/resolvers/joi';
import { useRouter } from 'next/navigation';
import { startTransition, useEffect, useRef, useState } from 'react';
import { useForm } from 'react-hook-form';
import { type Choices, NO_CHOICES } from '@/core/reading/choices';
import type { Preview } from '@/core/reading/preview';
import type { ReadRow } from '@/core/reading/readTable';
import { programNaming } from '@/schemas/forms';
import { ask, messageOf } from '../shell/api';
import { askInParts } from '../shell/askInParts';
import { useNotice } from '../shell/Notices';
import { useCorrections } from './useCorrections';

/** What a program is brought in from. */
export type Source = { readonly blob: Blob; readonly name: string };
const MOST = 5 * 1024 * 1024;
/** Pages are shown together that came within so many milliseconds. */
const TOGETHER = 120;

/** A file or a text looked at, what was understood of it, and what comes onto the Shelf of it. */
export function useBringIn() {
  const router = useRouter();
  const tell = useNotice();
  const [source, setSource] = useState<Source | null>(null);
  const [preview, setPreview] = useState<Preview | null>(null);
  const [rows, setRows] = useState<readonly ReadRow[]>([]);
  const corrections = useCorrections();
  const naming = useForm({ resolver: joiResolver(programNaming), defaultValues: { name: '', version: '' } });
  const [problem, setProblem] = useState('');
  const [busy, setBusy] = useState(false);
  /** Whether it becomes the next version of the program that it seems to be of. */
  const [asVersion, setAsVersion] = useState(false);
  const looking = useRef<AbortController | null>(null);
  useEffect(() => () => looking.current?.abort(), []);

  const forget = (): void => {
    setPreview(null);
    setRows([]);
    corrections.forget();
  };
  /** Reads a file. @param choices what was said of it; null: nothing yet. */
  const look = async (from: Source, choices: Choices | null): Promise<boolean> => {
    setProblem('');
    if (from.blob.size > MOST) {
      setProblem(
        'This file is larger than 5 MB, more than a list of commands needs. Save only the list and try again.',
      );
      return false;
    }
    setBusy(true);
    // Whoever looks at another file, or leaves, no longer waits for this one.
    looking.current?.abort();
    const own = new AbortController();
    looking.current = own;
    const gathered: ReadRow[] = [];
    let shownAt = 0;
    try {
      await askInParts('/api/reading', formOf(from, choices), own.signal, (part, index) => {
        if (own.signal.aborted) return;
        if (index === 0) {
          const found = part as Preview;
          if (source !== from) {
            const said = found.kind === 'program file' ? found.version : (versionIn(from.name) ?? '');
            const next = found.follows !== null && said !== found.follows.version;
            setAsVersion(next);
            naming.reset({ name: found.name, version: said || (next ? '' : '1') });
            corrections.forget();
          }
          // Drawn bit by bit, as what follows is.
          startTransition(() => {
            setSource(from);
            setPreview(found);
          });
          return;
        }
        gathered.push(...(part as ReadRow[]));
        if (index > 1 && performance.now() - shownAt < TOGETHER) return;
        shownAt = performance.now();
        startTransition(() => setRows([...gathered]));
      });
      startTransition(() => setRows(gathered));
      return true;
    } catch (error) {
      if (own.signal.aborted) return false;
      // What stands there is of another file.
      if (source !== from) forget();
      setSource(from);
      setProblem(messageOf(error));
      return false;
    } finally {
      if (looking.current === own) setBusy(false);
    }
  };
  const bringIn = naming.handleSubmit(async (named) => {
    if (!source) return;
    setBusy(true);
    try {
      const follows = asVersion ? (preview?.follows?.slug ?? '') : '';
      const choices = preview?.kind === 'list' ? preview.choices : null;
      const { slug, clashes } = await ask<{ slug: string; clashes: { keymap: string; chords: number } | null }>(
        'POST',
        '/api/programs',
        formOf(source, choices, { ...named, follows, corrections: JSON.stringify(corrections.now) }),
      );
      if (follows !== '') {
        tell(`${preview?.follows?.label} ${named.version} stands on the Shelf, beside ${preview?.follows?.version}.`);
        router.push(`/shelf/version/${slug}`);
        return;
      }
      if (!clashes) tell(`${named.name} stands on the Shelf.`);
      else
        tell(`${named.name} stands on the Shelf. ${keysClash(clashes.chords)}`, {
          words: 'Settle them',
          run: () => router.push(`/board/${slug}/${clashes.keymap}?show=check`),
        });
      router.push(`/shelf/${slug}`);
    } catch (error) {
      setProblem(messageOf(error));
      setBusy(false);
    }
  });
  const start = (): void => {
    forget();
    setSource(null);
    setProblem('');
  };
  /** The same file once more, with something else said of it. */
  const lookAgain = (said: Partial<Choices>): Promise<boolean> => {
    if (!source) return Promise.resolve(false);
    const before = preview?.kind === 'list' ? preview.choices : NO_CHOICES;
    return look(source, { ...before, ...said });
  };
  const as = { asVersion, setAsVersion };
  return { source, preview, rows, corrections, naming, problem, busy, as, look, lookAgain, bringIn, start };
}

/** The version that a file's name tells, if any. */
const versionIn = (name: string): string | undefined => /(?<!\d)\d{1,4}(?:\.\d{1,4}){1,4}/u.exec(name)?.[0];

/** A file as it is sent, with what was said of it. */
export function formOf(from: Source, choices: Choices | null, extra: Readonly<Record<string, string>> = {}): FormData {
  const data = new FormData();
  data.set('file', from.blob, from.blob instanceof File ? from.name : 'list.txt');
  if (choices) data.set('choices', JSON.stringify(choices));
  for (const [key, value] of Object.entries(extra)) data.set(key, value);
  return data;
}

const keysClash = (chords: number): string =>
  chords === 1 ? 'On one chord its keys clash.' : `On ${chords} chords its keys clash.`;
