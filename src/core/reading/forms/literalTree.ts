import { DEEPEST_TREE, type Entry, type Tree } from './tree';

/** What a list in a program begins behind: an assignment, a return, a call. */
const BEGINS = /(?:=|\breturn|\bdefault|\(|,)[ \t\n]{0,80}(?=[[{])/gu;
const BARE = /[\p{L}_$][\w$.-]{0,80}|-?\d[\w.]{0,20}/uy;
const BLANK = /(?:\s|\/\/[^\n]{0,400}|#[^\n]{0,400}|--[^\n]{0,400}|\/\*[^*]{0,2000}\*\/)/uy;
/** So many lists of a program are taken, and so many values looked at for them. */
const [MOST, LOOKS] = [200, 1_000_000];

/**
 * The lists that a program has written out in itself, as `keys = [{ name: 'Lift', keys: "Ctrl+K" }]`: JSON with what most
 * languages allow besides (bare names, single quotes, `=` for a colon, commas at the end, comments). Only what is written
 * out as texts is read; what is worked out in one line is taken as it stands there, so that it can be told. Null where
 * there are no lists.
 */
export function literalTree(text: string): Tree | null {
  const entries: Entry[] = [];
  let from = 0;
  const budget = { left: LOOKS };
  for (const { index, 0: lead } of text.matchAll(BEGINS)) {
    const at = index + lead.length;
    if (at < from) continue;
    const read = valueAt(text, at, 0, budget);
    if (!read || read.tree.kind === 'text') continue;
    from = read.end;
    entries.push({ name: '', nameSpan: [at, at], value: read.tree });
    if (entries.length >= MOST) break;
  }
  const [only] = entries;
  if (!only) return null;
  return entries.length === 1 ? only.value : { kind: 'map', entries, span: [0, text.length] };
}

type Budget = { left: number };
type Read = { readonly tree: Tree; readonly end: number };

/** The value that begins at a place, and where it ends; null where it is none that is written out. */
function valueAt(text: string, place: number, depth: number, budget: Budget): Read | null {
  const at = skipped(text, place);
  if (depth > DEEPEST_TREE || --budget.left < 0) return null;
  const sign = text[at] ?? '';
  if (sign === '[' || sign === '{') return listAt(text, at, depth, budget);
  return quotedAt(text, at) ?? bareAt(text, at);
}

function listAt(text: string, at: number, depth: number, budget: Budget): Read | null {
  const close = text[at] === '[' ? ']' : '}';
  const items: Tree[] = [];
  const entries: Entry[] = [];
  let place = skipped(text, at + 1);
  while (place < text.length && text[place] !== close) {
    const bracketed = text[place] === '[' && close === '}' ? quotedAt(text, skipped(text, place + 1)) : null;
    const first = bracketed
      ? { ...bracketed, end: skipped(text, bracketed.end) + 1 }
      : valueAt(text, place, depth + 1, budget);
    if (!first) return null;
    let end = skipped(text, first.end);
    if ((text[end] === ':' || text[end] === '=') && first.tree.kind === 'text') {
      const written = valueAt(text, end + 1, depth + 1, budget);
      const after = written ? skipped(text, written.end) : -1;
      const value = written && /[,;\]}]/u.test(text[after] ?? '') ? written : workedOut(text, skipped(text, end + 1));
      if (!value) return null;
      entries.push({ name: first.tree.text, nameSpan: first.tree.span, value: value.tree });
      end = skipped(text, value.end);
    } else items.push(first.tree);
    if (text[end] !== ',' && text[end] !== ';' && text[end] !== close) return null;
    place = text[end] === close ? end : skipped(text, end + 1);
  }
  if (text[place] !== close || (items.length > 0 && entries.length > 0)) return null;
  const span = [at, place + 1] as const;
  return {
    tree: items.length > 0 || close === ']' ? { kind: 'list', items, span } : { kind: 'map', entries, span },
    end: place + 1,
  };
}

/** What is worked out by a program, as it stands there, up to the comma or bracket that ends it; null where that is far. */
function workedOut(text: string, at: number): Read | null {
  let depth = 0;
  for (let end = at; end < Math.min(text.length, at + LONGEST); end++) {
    const sign = text[end] ?? '';
    const quoted = quotedAt(text, end);
    if (quoted) end = quoted.end - 1;
    else if ('([{'.includes(sign)) depth++;
    else if (depth === 0 && ',;)]}'.includes(sign)) {
      const body = text.slice(at, end).trimEnd();
      if (body === '') return null;
      return {
        tree: { kind: 'text', text: body.replace(/\s+/gu, ' '), span: [at, at + body.length] },
        end: at + body.length,
      };
    } else if (')]}'.includes(sign)) depth--;
  }
  return null;
}
const LONGEST = 300;

function quotedAt(text: string, at: number): Read | null {
  const quote = text[at] ?? '';
  if (quote === '' || !'"\'`'.includes(quote)) return null;
  let end = at + 1;
  while (end < text.length && text[end] !== quote && text[end] !== '\n') end += text[end] === '\\' ? 2 : 1;
  if (text[end] !== quote) return null;
  const inside = text.slice(at + 1, end).replace(/\\(.)/gu, '$1');
  return { tree: { kind: 'text', text: inside, span: [at + 1, end] }, end: end + 1 };
}

function bareAt(text: string, at: number): Read | null {
  BARE.lastIndex = at;
  const word = BARE.exec(text)?.[0];
  return word === undefined
    ? null
    : { tree: { kind: 'text', text: word, span: [at, at + word.length] }, end: at + word.length };
}

/** The place behind blanks and comments. */
function skipped(text: string, from: number): number {
  let at = from;
  for (BLANK.lastIndex = at; BLANK.test(text); BLANK.lastIndex = at) at = BLANK.lastIndex;
  return at;
}
