import type { XmlDocument } from '@rgrove/parse-xml';
import { XmlCdata, XmlElement, XmlText } from '@rgrove/parse-xml';
import { MOST_ROWS, type RawRow, type RawTable, type Span, tidyCell, UnreadableList } from '../tables';
import { readRecords } from './readRecords';
import { tooMany } from './tooMany';
import { DEEPEST_TREE, type Entry, type Tree } from './tree';

/** A property list in XML as a tree; null where the document is none. */
export function propertyTree({ root }: XmlDocument): Tree | null {
  if (root?.name !== 'plist') return null;
  const [first] = elementsIn(root);
  return first ? ofElement(first, 0) : null;
}

const elementsIn = (element: XmlElement): XmlElement[] =>
  element.children.filter((one): one is XmlElement => one instanceof XmlElement);

function textIn(element: XmlElement): { readonly text: string; readonly span: Span } {
  const texts = element.children.filter((one) => one instanceof XmlText || one instanceof XmlCdata);
  const [first, last] = [texts[0], texts.at(-1)];
  return {
    text: texts.map((one) => (one as XmlText).text).join(''),
    span: first && last ? [first.start, last.end] : [element.start, element.start],
  };
}

function ofElement(element: XmlElement, depth: number): Tree {
  const span = [element.start, element.end] as const;
  if (depth > DEEPEST_TREE) return { kind: 'text', text: '', span };
  if (element.name === 'array')
    return { kind: 'list', items: elementsIn(element).map((one) => ofElement(one, depth + 1)), span };
  if (element.name === 'dict') {
    const inner = elementsIn(element);
    const entries = inner.flatMap((one, i): Entry[] => {
      const value = inner[i + 1];
      if (one.name !== 'key' || !value || value.name === 'key') return [];
      const { text, span: nameSpan } = textIn(one);
      return [{ name: text, nameSpan, value: ofElement(value, depth + 1) }];
    });
    return { kind: 'map', entries, span };
  }
  const own = textIn(element);
  return own.text === '' && /^(?:true|false)$/u.test(element.name)
    ? { kind: 'text', text: element.name, span }
    : { kind: 'text', ...own };
}

/** A property list in its older form, `{ name = value; list = (a, b); }`, as a tree; null where the text is none. */
export function bracedTree(text: string): Tree | null {
  let at = text.startsWith('\uFEFF') ? 1 : 0;
  const skip = (): void => {
    for (;;) {
      while (/\s/u.test(text[at] ?? '')) at++;
      if (text.startsWith('//', at)) at = endOf('\n');
      else if (text.startsWith('/*', at)) at = endOf('*/');
      else return;
    }
  };
  const endOf = (sign: string): number => {
    const found = text.indexOf(sign, at + 1);
    return found < 0 ? text.length : found + sign.length;
  };
  const word = (): { text: string; span: Span } | null => {
    const start = at;
    if (text[at] === '"') {
      while (++at < text.length && text[at] !== '"') if (text[at] === '\\') at++;
      return { text: unescaped(text.slice(start + 1, at)), span: [start + 1, at++] };
    }
    while (at < text.length && /[^\s={}();,"]/u.test(text[at] ?? '')) at++;
    return at > start ? { text: text.slice(start, at), span: [start, at] } : null;
  };
  const value = (depth: number): Tree | null => {
    skip();
    const start = at;
    const closes = text[at] === '{' ? '}' : text[at] === '(' ? ')' : null;
    if (closes === null) {
      const own = word();
      return own && { kind: 'text', ...own };
    }
    if (depth > DEEPEST_TREE) return null;
    at++;
    const entries: Entry[] = [];
    const items: Tree[] = [];
    for (;;) {
      skip();
      if (at >= text.length) return null;
      if (text[at] === closes) break;
      if (closes === ')') {
        const item = value(depth + 1);
        if (!item) return null;
        items.push(item);
        skip();
        if (text[at] === ',') at++;
        continue;
      }
      const name = word();
      skip();
      if (!name || text[at++] !== '=') return null;
      const own = value(depth + 1);
      if (!own) return null;
      entries.push({ name: name.text, nameSpan: name.span, value: own });
      skip();
      if (text[at] === ';') at++;
    }
    const span = [start, ++at] as const;
    return closes === '}' ? { kind: 'map', entries, span } : { kind: 'list', items, span };
  };
  skip();
  if (!/[{(]/u.test(text[at] ?? '') || !text.includes(';')) return null;
  const tree = value(0);
  skip();
  return tree && at >= text.length ? tree : null;
}

function unescaped(text: string): string {
  return text.replace(/\\(?:[Uu]([\dA-Fa-f]{4})|([0-7]{3})|(.))/gsu, (_, hex, octal, sign: string) => {
    if (hex !== undefined) return String.fromCharCode(Number.parseInt(`${hex}`, 16));
    if (octal !== undefined) return String.fromCharCode(Number.parseInt(`${octal}`, 8));
    return { n: '\n', t: '\t', r: '\r', e: '\u001B' }[sign] ?? sign;
  });
}

/** What signs before a key are held with it, in property lists. */
const HELD: Readonly<Record<string, string>> = { '^': 'Control', '~': 'Option', $: 'Shift', '@': 'Command' };
const SIGNED = /^[\^~$@#]{0,5}(?:[^\p{L}\p{N}]|\p{L}|\p{N})$/u;
/** Keys without a sign of their own, which the desktop numbers from U+F700 on, and control characters. */
const NAMED: Readonly<Record<number, string>> = {
  3: 'Enter',
  8: 'Backspace',
  9: 'Tab',
  10: 'Enter',
  13: 'Enter',
  25: 'Shift+Tab',
  27: 'Escape',
  32: 'Space',
  127: 'Backspace',
  63232: 'Up',
  63233: 'Down',
  63234: 'Left',
  63235: 'Right',
  63271: 'Insert',
  63272: 'Delete',
  63273: 'Home',
  63275: 'End',
  63276: 'PageUp',
  63277: 'PageDown',
  63289: 'Clear',
};

/** Keys as signs before a key, such as `^~x`, in plain words; null for anything else. */
export function signedKeys(text: string): string | null {
  if (!SIGNED.test(text)) return null;
  const [...signs] = text;
  const key = signs.pop() ?? '';
  const code = key.codePointAt(0) ?? 0;
  const named = NAMED[code] ?? (code >= 63236 && code < 63260 ? `F${code - 63235}` : null);
  const pad = signs.includes('#') && named === null ? 'num ' : '';
  const capital = key !== key.toLowerCase() ? ['Shift'] : [];
  const held = new Set([...signs.flatMap((sign) => HELD[sign] ?? []), ...capital]);
  return [...held, `${pad}${named ?? key}`].join('+');
}

/** The lists in a property list; where its keys are written as signs before a key, in plain words. */
export function readProperties(tree: Tree, lineAt: (at: number) => number): RawTable[] {
  if (tree.kind === 'map' && mostlySigned(tree.entries.map((one) => one.name))) return [signedTable(tree, lineAt)];
  return readRecords(plainKeys(tree), lineAt);
}

const mostlySigned = (texts: readonly string[]): boolean =>
  texts.length > 1 &&
  texts.filter((text) => SIGNED.test(text)).length >= 0.6 * texts.length &&
  texts.some((text) => text.length > 1 && SIGNED.test(text));

/** A map from keys to what they do; where what they do is such a map itself, the keys are pressed one after the other. */
function signedTable(tree: Tree, lineAt: (at: number) => number): RawTable {
  const rows: RawRow[] = [];
  const visit = (map: Tree, before: readonly string[]): void => {
    if (map.kind !== 'map' || before.length > 4) return;
    for (const { name, nameSpan, value } of map.entries) {
      if (rows.length > MOST_ROWS) throw new UnreadableList(tooMany);
      const keys = [...before, signedKeys(name) ?? name];
      if (value.kind === 'map') {
        visit(value, keys);
        continue;
      }
      const texts =
        value.kind === 'list' ? value.items.flatMap((one) => (one.kind === 'text' ? one.text : [])) : [value.text];
      rows.push({
        line: lineAt(nameSpan[0]),
        cells: [tidyCell(keys.join(' then ')), tidyCell(texts.join(' ').replace(/:(?=$|\s)/gu, ''))],
        spans: [nameSpan, value.span],
        heading: false,
      });
    }
  };
  visit(tree, []);
  return { headings: [], header: ['Keys', 'Name'], roles: ['keys', 'name'], rows };
}

/** A tree in which lists of keys that are written as signs are in plain words. */
function plainKeys(tree: Tree): Tree {
  if (tree.kind === 'text') return tree;
  if (tree.kind === 'list') return { ...tree, items: tree.items.map(plainKeys) };
  const texts = tree.entries.flatMap(({ value }) => (value.kind === 'text' && value.text !== '' ? value.text : []));
  const signed = mostlySigned(texts);
  return {
    ...tree,
    entries: tree.entries.map((one) => ({
      ...one,
      value:
        signed && one.value.kind === 'text'
          ? { ...one.value, text: signedKeys(one.value.text) ?? one.value.text }
          : plainKeys(one.value),
    })),
  };
}
