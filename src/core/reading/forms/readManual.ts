import { manualWords } from '../manualWords';
import { HEADS, type RawRow, type RawTables, type Span, tidyCell } from '../tables';
import { rowWith, type Written } from './cells';
import { type Line, linesOf } from './lines';
import { underHeadings } from './underHeadings';

/** Requests of the source of a manual page (man, mdoc), and of Texinfo. */
const HEADING =
  /^\.\s*S[SsHh]\s+(\S.*)$|^@(?:chapter|(?:sub){0,2}section|unnumbered(?:(?:sub){0,2}sec)?|heading)\s+(\S.*)$/u;
const TERM_NEXT = /^\.\s*T[PQ]\b/u;
const TERM = /^\.\s*(?:IP|It)\s+(\S.*)$|^@itemx?\s+(\S.*)$/u;
const FONT = /^\.\s*(?:B|I|BR|BI|IB|IR|RB|RI|SM|SB|R|Ic|Cm|Sy|Em|Li|Ql|Nm|Ar|Fl|Xr|Dq|Sq)\s+(\S.*)$/u;
const JOINED = /^\.\s*(?:BR|BI|IB|IR|RB|RI)\s/u;
const PARAGRAPH = /^\.\s*(?:PP|P|LP|Pp|sp|El|RE|EE)\b|^@end\b/u;
const OTHER =
  /^[.']|^@(?:c|comment|[kvfc]index|node|menu|table|ftable|vtable|itemize|anchor|page|noindent|need|group|end|iftex|ifinfo)\b/u;
/** Words of mdoc that say how those behind them look. */
const LOOKS = /^(?:Ic|Cm|Sy|Em|Li|Ql|Ar|Fl|Ns|No|Xo|Xc|Dq|Sq|Pq|Oo|Oc|Op)$/u;
const HEADER = ['Keys', 'Name'];
const LONGEST_TEXT = 1000;

/** Terms that are told of together, with what is said of them. */
type Told = { readonly line: number; readonly terms: Written[]; readonly said: Written[] };

/** Whether a text is the source of a manual: many of its lines are requests of one. */
export function looksLikeManual(text: string): boolean {
  const lines = text.slice(0, 60_000).split('\n');
  const terms = lines.filter((line) => TERM_NEXT.test(line) || TERM.test(line)).length;
  const others = lines.filter((line) => /^[.@'][A-Za-z\\]/u.test(line)).length;
  return terms >= 3 && others >= 0.15 * lines.length;
}

/**
 * The terms of a manual with what is said of each, from its source (man, mdoc, Texinfo), under the headings these stand
 * under. @returns no tables where there are no terms.
 */
export function readManual(text: string): RawTables {
  const lines = linesOf(text);
  const found = underHeadings();
  /** What is being told of. */
  let open: Told | null = null;
  let rows = 0;
  const close = (told: Told | null): void => {
    open = null;
    if (told && told.said.length > 0) {
      rows++;
      found.add(rowOf(told));
    } else if (told) found.add({ ...rowWith(told.line, told.terms.slice(0, 1)), left: 'Nothing is said of it.' });
  };
  for (let i = 0; i < lines.length; i++) {
    const line = lines[i] as Line;
    const told: Told | null = open;
    const heading = HEADING.exec(line.text);
    if (heading) {
      close(told);
      const name = bare(heading[1] ?? heading[2] ?? '');
      found.under([name]);
      const all: Written = { text: name, span: [line.from, line.from + line.text.length] };
      found.add({ ...rowWith(line.number, [all], true), left: HEADS });
      continue;
    }
    const next = lines[i + 1];
    const own = TERM_NEXT.test(line.text) ? (next ? saidIn(next, true) : null) : termIn(line);
    if (own) {
      if (TERM_NEXT.test(line.text)) i++;
      // Terms one after the other are told of together.
      if (told && told.said.length === 0) told.terms.push(own);
      else {
        close(told);
        open = { line: line.number, terms: [own], said: [] };
      }
      continue;
    }
    if (PARAGRAPH.test(line.text) || TERM.test(line.text)) {
      if (told && told.said.length > 0) close(told);
      continue;
    }
    const said = saidIn(line, false);
    if (said && told) {
      if (told.said.reduce((sum, one) => sum + one.text.length, 0) < LONGEST_TEXT) told.said.push(said);
    } else if (said) found.add({ ...rowWith(line.number, [said]), left: 'A text between the rows.' });
  }
  close(open);
  return {
    title: null,
    format: 'manual source',
    tables: rows === 0 ? [] : found.tables().map((table) => ({ ...table, header: HEADER })),
  };
}

function rowOf({ line, terms, said }: Told): RawRow {
  const [first, last] = [said[0], said.at(-1)];
  const [term] = terms;
  const end = terms.at(-1);
  return rowWith(line, [
    { text: terms.map((one) => one.text).join('\n'), span: [term?.span[0] ?? 0, end?.span[1] ?? 0] },
    { text: tidyCell(said.map((one) => one.text).join(' ')), span: [first?.span[0] ?? 0, last?.span[1] ?? 0] },
  ]);
}

function termIn(line: Line): Written | null {
  const found = TERM.exec(line.text);
  const words = found?.[1] ?? found?.[2];
  // A bullet or a number is no term.
  if (words === undefined || /^"?(?:\\\(bu|\\\[bu\]|[•*o-]|\d{1,2}[.)])"?(?:\s|$)/u.test(words)) return null;
  const at = line.text.lastIndexOf(words);
  // The first word of `.IP` is the term, and may be quoted; a number behind it is how far the text is set in.
  const [quoted] = /^"(?:[^"]|"")*"/u.exec(words) ?? [];
  if (/^\.\s*IP/u.test(line.text)) {
    const own = quoted ? words.slice(1, quoted.length - 1) : (words.split(/\s/u)[0] ?? '');
    return written(own, line.from + at + (quoted ? 1 : 0));
  }
  if (line.text.startsWith('@')) return written(words, line.from + at);
  return written(
    words.replace(/(?:^|(?<=\s))\S{2}(?=\s|$)/gu, (word) => (LOOKS.test(word) ? '  ' : word)),
    line.from + at,
  );
}

/** What a line says: all of it, or what stands behind a request for a font; null for another request. */
function saidIn(line: Line, term: boolean): Written | null {
  const found = FONT.exec(line.text);
  if (found) {
    const words = found[1] ?? '';
    const at = line.from + line.text.lastIndexOf(words);
    if (!JOINED.test(line.text)) return written(/^"[^"]*"$/u.test(words) ? words.slice(1, -1) : words, at);
    // Words in turns of two fonts stand side by side.
    const all = [...words.matchAll(/"((?:[^"]|"")*)"|\S+/gu)].map(([word, inside]) => inside ?? word);
    return { ...written(words, at), text: tidyCell(manualWords(all.join(''))) };
  }
  if (OTHER.test(line.text) || (term && line.text.trim() === '')) return null;
  return line.text.trim() === '' ? null : written(line.text, line.from);
}

const bare = (source: string): string => tidyCell(manualWords(source.trim().replace(/^"(.*)"$/u, '$1')));

/** A part of the source as it is read, with the place of what is read there: without fonts around it. */
function written(source: string, at: number): Written {
  const lead =
    /^(?:\s|\\f(?:\(..|\[[^\]]{0,12}\]|.)|@(?:kbd|key|code|samp)\{(?=[^{}]{0,200}\}$))*/u.exec(source)?.[0].length ?? 0;
  const tail = /(?:\\f(?:\(..|\[[^\]]{0,12}\]|.))$/u.exec(source.trimEnd())?.[0].length ?? 0;
  const braced = /@\w+\{$/u.test(source.slice(0, lead)) ? 1 : 0;
  const span: Span = [at + lead, Math.max(at + lead, at + source.trimEnd().length - tail - braced)];
  return { text: tidyCell(manualWords(source)), span };
}
