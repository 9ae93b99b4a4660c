import { edited, type TextEdit } from './edits';
import { lineEnd, lineStart } from './lineBounds';

/** A part of a line, and whether it is written anew. */
export type LinePart = { readonly text: string; readonly anew: boolean };
/** A line as it is and as it will be, side by side; null where there is none on that side. */
export type BesideLine = {
  readonly before: { readonly number: number; readonly text: string } | null;
  readonly after: { readonly number: number; readonly parts: readonly LinePart[] } | null;
  readonly changed: boolean;
};

/** The lines of a file beside what becomes of them. @param edits in order and apart. */
export function besideLines(text: string, edits: readonly TextEdit[]): readonly BesideLine[] {
  const lines: BesideLine[] = [];
  let [at, number, later] = [0, 1, 1];
  const same = (to: number): void => {
    while (at < to) {
      const end = lineEnd(text, at);
      const line = text.slice(at, end);
      lines.push({
        before: { number: number++, text: line },
        after: { number: later++, parts: [{ text: line, anew: false }] },
        changed: false,
      });
      at = behind(text, end);
    }
  };
  for (let i = 0; i < edits.length; ) {
    const first = edits[i] as TextEdit;
    const start = lineStart(text, first.from);
    let end = endOfLines(text, first);
    const own: TextEdit[] = [];
    // Behind the last sign of a text whose last line does not end, that line goes on.
    const goesOn = (one: TextEdit): boolean => one.from < end || (end === text.length && !/[\r\n]$/u.test(text));
    for (;;) {
      for (; i < edits.length && goesOn(edits[i] as TextEdit); i++) {
        own.push(edits[i] as TextEdit);
        end = Math.max(end, endOfLines(text, edits[i] as TextEdit));
      }
      if (own.length === 0) own.push(edits[i++] as TextEdit);
      // A line that has lost its end goes on with the next.
      const anew = partAnew(text, start, end, own);
      const ends = anew === '' || /[\r\n]$/u.test(anew);
      if (ends || (end >= text.length && i >= edits.length)) break;
      if (end >= text.length) own.push(edits[i++] as TextEdit);
      else end = behind(text, lineEnd(text, end));
    }
    same(start);
    const gone = split(text.slice(start, end));
    const come = anewIn(text, start, end, own);
    for (let k = 0; k < Math.max(gone.length, come.length); k++) {
      const [was, is] = [gone[k], come[k]];
      const plain = is !== undefined && was === is.map((part) => part.text).join('');
      lines.push({
        before: was === undefined ? null : { number: number + k, text: was },
        after: is === undefined ? null : { number: later + k, parts: plain ? [{ text: was ?? '', anew: false }] : is },
        changed: !plain,
      });
    }
    number += gone.length;
    later += come.length;
    at = end;
  }
  same(text.length);
  return lines;
}

/** The place behind the last line that an edit touches. */
function endOfLines(text: string, { from, to }: TextEdit): number {
  const last = to > from && /[\r\n]/u.test(text[to - 1] ?? '') ? to - 1 : to;
  return behind(text, lineEnd(text, last));
}

const behind = (text: string, end: number): number =>
  text.startsWith('\r\n', end) ? end + 2 : Math.min(text.length, end + 1);

function split(text: string): string[] {
  const lines = text.split(/\r\n|\r|\n/u);
  if (lines.at(-1) === '') lines.pop();
  return lines;
}

/** A part of a text with edits done. */
const partAnew = (text: string, start: number, end: number, edits: readonly TextEdit[]): string =>
  edited(
    text.slice(start, end),
    edits.map((one) => ({ ...one, from: one.from - start, to: one.to - start })),
  );

/** A part of a text with edits done, as lines of parts. */
function anewIn(text: string, start: number, end: number, edits: readonly TextEdit[]): LinePart[][] {
  const parts: LinePart[] = [];
  let at = start;
  for (const one of edits) {
    const words = one.text.trim();
    const lead = words === '' ? one.text : one.text.slice(0, one.text.indexOf(words));
    const tail = one.text.slice(lead.length + words.length);
    parts.push(
      { text: text.slice(at, one.from) + lead, anew: false },
      { text: words, anew: true },
      { text: tail, anew: false },
    );
    at = one.to;
  }
  parts.push({ text: text.slice(at, end), anew: false });
  const lines: LinePart[][] = [[]];
  for (const part of parts) {
    part.text.split(/\r\n|\r|\n/u).forEach((piece, i) => {
      if (i > 0) lines.push([]);
      if (piece !== '') lines.at(-1)?.push({ ...part, text: piece });
    });
  }
  if (lines.at(-1)?.length === 0) lines.pop();
  return lines;
}

/** Lines that change with a few around them, and how many are left out between. */
export type InContext = BesideLine | { readonly skipped: number };

/** Of all lines those that are wanted, with some around them. */
export function inContext(
  lines: readonly BesideLine[],
  wanted: (line: BesideLine) => boolean,
  around: number,
): readonly InContext[] {
  const shown = new Uint8Array(lines.length);
  lines.forEach((line, i) => {
    if (wanted(line)) shown.fill(1, Math.max(0, i - around), Math.min(lines.length, i + around + 1));
  });
  const found: InContext[] = [];
  let skipped = 0;
  lines.forEach((line, i) => {
    if (!shown[i]) {
      skipped++;
      return;
    }
    if (skipped > 0) found.push({ skipped });
    skipped = 0;
    found.push(line);
  });
  return skipped > 0 && found.length > 0 ? [...found, { skipped }] : found;
}
