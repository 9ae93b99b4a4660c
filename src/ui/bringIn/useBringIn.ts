import { joiResolver } from '@hookform/resolvers/joi';
import { useRouter } from 'next/navigation';
import { useEffect, useRef, useState } from 'react';
import { useForm } from 'react-hook-form';
import type { Role } from '@/core/reading/columnRoles';
import type { Preview } from '@/core/reading/preview';
import { programNaming } from '@/schemas/forms';
import { ask, messageOf } from '../shell/api';
import { useNotice } from '../shell/Notices';

/** What a program is brought in from. */
export type Source = { readonly blob: Blob; readonly name: string };
const MOST = 5 * 1024 * 1024;

/** A file or a text looked at, what was understood of it, and what comes onto the Shelf of it. */
export function useBringIn() {
  const router = useRouter();
  const tell = useNotice();
  const [source, setSource] = useState<Source | null>(null);
  const [preview, setPreview] = useState<Preview | null>(null);
  const [roles, setRoles] = useState<readonly (readonly Role[] | null)[]>([]);
  const naming = useForm({ resolver: joiResolver(programNaming), defaultValues: { name: '', version: '' } });
  const [problem, setProblem] = useState('');
  const [busy, setBusy] = useState(false);
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
      const { slug, clashes } = await ask<{ slug: string; clashes: { keymap: string; chords: number } | null }>(
        'POST',
        '/api/programs',
        form(source, roles, named),
      );
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
    setPreview(null);
    setSource(null);
    setRoles([]);
    setProblem('');
  };

  const lookAgain = (chosen: readonly (readonly Role[] | null)[]): void => {
    if (source) void look(source, chosen);
  };
  return { source, preview, naming, problem, busy, look, lookAgain, bringIn, start };
}

const keysClash = (chords: number): string =>
  chords === 1 ? 'On one chord its keys clash.' : `On ${chords} chords its keys clash.`;
