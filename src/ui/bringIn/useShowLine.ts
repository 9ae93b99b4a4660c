import { useEffect, useMemo, useRef, useState } from 'react';
import { NO_CHOICES } from '@/core/reading/choices';
import type { ReadRow } from '@/core/reading/readTable';
import { guessMarks, withMark } from '@/core/reading/shown/guessMarks';
import { type Field, LONGEST_SHOWN, type Mark, MOST_SHOWN, type ShownLine } from '@/core/reading/shown/shownLine';
import { ask, messageOf } from '../shell/api';
import { askInParts } from '../shell/askInParts';
import { formOf, type Source } from './useBringIn';

/** Reading begins when nothing was marked for so many milliseconds. */
const PAUSE = 200;

/** The lines of a file, those that are shown with their marks, and what the file is read as by them. */
export function useShowLine(source: Source, before: readonly ShownLine[]) {
  const [lines, setLines] = useState<readonly string[] | null>(null);
  const [others, setOthers] = useState<readonly ShownLine[]>(before.slice(0, -1));
  const [current, setCurrent] = useState<ShownLine | null>(before.at(-1) ?? null);
  const [rows, setRows] = useState<readonly ReadRow[]>([]);
  const [problem, setProblem] = useState('');
  const [busy, setBusy] = useState(false);
  const reading = useRef<AbortController | null>(null);

  useEffect(() => {
    const own = new AbortController();
    ask<{ lines: string }>('POST', '/api/reading/lines', formOf(source, null), false, own.signal).then(
      (found) => setLines(found.lines.split('\n')),
      (error) => !own.signal.aborted && setProblem(messageOf(error)),
    );
    return () => own.abort();
  }, [source]);

  const shown = useMemo(
    () => [...others, ...(current && (current.name || current.path) ? [current] : [])],
    [others, current],
  );
  // The same lines, whichever of them is the one that is marked, are read once.
  const said = JSON.stringify(shown);
  useEffect(() => {
    const shown = JSON.parse(said) as readonly ShownLine[];
    reading.current?.abort();
    if (!shown.some((one) => one.name)) {
      setRows([]);
      setBusy(false);
      return;
    }
    const own = new AbortController();
    reading.current = own;
    setBusy(true);
    const later = setTimeout(async () => {
      const gathered: ReadRow[] = [];
      try {
        await askInParts('/api/reading', formOf(source, { ...NO_CHOICES, shown }), own.signal, (part, index) => {
          if (index > 0) gathered.push(...(part as ReadRow[]));
        });
        if (!own.signal.aborted) setRows(gathered);
      } catch (error) {
        if (!own.signal.aborted) setProblem(messageOf(error));
      } finally {
        if (!own.signal.aborted) setBusy(false);
      }
    }, PAUSE);
    return () => {
      clearTimeout(later);
      own.abort();
    };
  }, [source, said]);

  const read = useMemo(() => new Map(rows.map((row) => [row.line, row])), [rows]);
  const commands = useMemo(() => rows.filter((row) => row.command), [rows]);
  return {
    lines,
    current,
    others,
    shown,
    read,
    commands,
    problem,
    busy,
    /** A line is the one that is marked; one that was shown before, with its marks. */
    choose: (text: string): void => {
      if (text.length > LONGEST_SHOWN) return;
      const again = others.find((one) => one.text === text);
      setOthers((all) => all.filter((one) => one !== again));
      setCurrent(again ?? guessMarks(text));
    },
    mark: (field: Field, mark: Mark | null): void => setCurrent((line) => (line ? withMark(line, field, mark) : line)),
    /** Keeps what is marked, and lets one more line be chosen. */
    more: (): void => {
      if (!current || others.length >= MOST_SHOWN - 1) return;
      setOthers((all) => [...all, current]);
      setCurrent(null);
    },
    drop: (line: ShownLine): void => setOthers((all) => all.filter((one) => one !== line)),
  };
}
