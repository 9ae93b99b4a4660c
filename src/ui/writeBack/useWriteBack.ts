import { useCallback, useEffect, useRef, useState } from 'react';
import type { WriteBackView } from '@/core/writeBack/writeBackView';
import { ask, messageOf } from '../shell/api';

type Found = { readonly file: number; readonly written: WriteBackView };

/**
 * A keymap written into a file of its program.
 * @param file null where there is none.
 * @returns what becomes of the file (null while that is not known), why not, and how to look once more or give a file.
 */
export function useWriteBack(keymapId: number, program: string, file: number | null) {
  const [found, setFound] = useState<Found | null>(null);
  const [problem, setProblem] = useState<string | null>(null);
  const [busy, setBusy] = useState(false);
  const asked = useRef<AbortController | null>(null);
  const look = useCallback(async (): Promise<void> => {
    asked.current?.abort();
    if (file === null) return;
    const own = new AbortController();
    asked.current = own;
    setBusy(true);
    try {
      const address = `/api/keymaps/${keymapId}/write-back?file=${file}`;
      const written = await ask<WriteBackView>('GET', address, undefined, false, own.signal);
      if (own.signal.aborted) return;
      setFound({ file, written });
      setProblem(null);
    } catch (error) {
      if (own.signal.aborted) return;
      setFound(null);
      setProblem(messageOf(error));
    } finally {
      if (asked.current === own) setBusy(false);
    }
  }, [keymapId, file]);
  useEffect(() => {
    void look();
    return () => asked.current?.abort();
  }, [look]);
  /** Gives a file of the program, such as a newer copy. @returns its number, or null where it is none of it. */
  const give = async (given: File): Promise<number | null> => {
    const form = new FormData();
    form.set('file', given);
    setBusy(true);
    try {
      const { file: id } = await ask<{ file: number }>('POST', `/api/programs/${program}/source-files`, form);
      return id;
    } catch (error) {
      setProblem(messageOf(error));
      return null;
    } finally {
      setBusy(false);
    }
  };
  return { written: found?.file === file ? found.written : null, problem, busy, look, give };
}
