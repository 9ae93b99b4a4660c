import { useRouter } from 'next/navigation';
import { useEffect, useRef, useState } from 'react';
import type { TakingView } from '@/core/whole/takingView';
import { ask, messageOf, Refused } from '../shell/api';
import { useNotice } from '../shell/Notices';

/** What taking a file in would do, and the mark of that. */
type LookedAt = { readonly view: TakingView; readonly mark: string };
export type Wishes = { readonly label: string; readonly goOn: readonly string[]; readonly apart: readonly string[] };
export const USUAL_LABEL = 'other computer';

const formOf = (file: File, wishes: object): FormData => {
  const form = new FormData();
  form.set('file', file);
  form.set('wishes', JSON.stringify(wishes));
  return form;
};

/** A file with everything of another computer: looked at, wished for, and taken in as it was shown. */
export function useTakeIn() {
  const router = useRouter();
  const tell = useNotice();
  const [file, setFile] = useState<File | null>(null);
  const [wishes, setWishes] = useState<Wishes>({ label: USUAL_LABEL, goOn: [], apart: [] });
  const [looked, setLooked] = useState<LookedAt | null>(null);
  const [busy, setBusy] = useState<'looking' | 'taking' | null>(null);
  const [problem, setProblem] = useState('');
  const looking = useRef<AbortController | null>(null);
  useEffect(() => () => looking.current?.abort(), []);

  const look = async (from: File, wished: Wishes): Promise<void> => {
    setProblem('');
    setBusy('looking');
    looking.current?.abort();
    const own = new AbortController();
    looking.current = own;
    try {
      const answer = await ask<LookedAt>('POST', '/api/everything/look', formOf(from, wished), false, own.signal);
      if (!own.signal.aborted) setLooked(answer);
    } catch (error) {
      if (own.signal.aborted) return;
      setLooked(null);
      setProblem(messageOf(error));
    } finally {
      if (!own.signal.aborted) setBusy(null);
    }
  };
  const wish = (next: Partial<Wishes>): void => {
    const wished = { ...wishes, ...next };
    setWishes(wished);
    if (file) void look(file, wished);
  };
  const choose = (one: File): void => {
    const wished = { ...wishes, goOn: [], apart: [] };
    setFile(one);
    setWishes(wished);
    setLooked(null);
    void look(one, wished);
  };
  const leave = (): void => {
    looking.current?.abort();
    setFile(null);
    setLooked(null);
    setBusy(null);
    setProblem('');
  };
  const take = async (): Promise<void> => {
    if (!file || !looked) return;
    setProblem('');
    setBusy('taking');
    try {
      await ask('POST', '/api/everything/take', formOf(file, { ...wishes, shown: looked.mark }));
      tell('All of it is on the Shelf. What was here before is kept as a copy in data/copies.');
      router.push('/shelf');
      router.refresh();
    } catch (error) {
      const now = error instanceof Refused ? (error.details.now as LookedAt | undefined) : undefined;
      if (now) setLooked(now);
      setProblem(messageOf(error));
    } finally {
      setBusy(null);
    }
  };
  return { file, wishes, looked, busy, problem, choose, wish, leave, take };
}
