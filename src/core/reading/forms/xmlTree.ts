import { parseXml, XmlCdata, type XmlDocument, XmlElement, XmlText } from '@rgrove/parse-xml';
import { DEEPEST_TREE, type Entry, type Tree } from './tree';

/** XML as maps of attributes, inner elements and text; null where the text is none. */
export function parsedXml(text: string): XmlDocument | null {
  if (!/^[\s\uFEFF]*<(?:\?xml|!--|!DOCTYPE|[\p{L}_])/u.test(text) || tooDeepTags(text)) return null;
  try {
    return parseXml(text, { includeOffsets: true, ignoreUndefinedEntities: true });
  } catch {
    return null;
  }
}

function tooDeepTags(text: string): boolean {
  let depth = 0;
  for (const [tag] of text.matchAll(/<\/?[\p{L}_][^<>]*>/gu)) {
    if (tag.startsWith('</')) depth--;
    else if (!tag.endsWith('/>')) depth++;
    if (depth > 10 * DEEPEST_TREE) return true;
  }
  return false;
}

/** Elements of one name beside each other are a list. */
export function xmlTree(parsed: XmlDocument, source: string): Tree {
  const root = parsed.root;
  return root ? ofElement(root, source, 0) : { kind: 'map', entries: [], span: [0, 0] };
}

function ofElement(element: XmlElement, source: string, depth: number): Tree {
  const span = [element.start, element.end] as const;
  if (depth > DEEPEST_TREE) return { kind: 'text', text: '', span };
  const inner = element.children.filter((one): one is XmlElement => one instanceof XmlElement);
  const texts = element.children.filter(
    (one) => (one instanceof XmlText || one instanceof XmlCdata) && one.text.trim() !== '',
  );
  // What tells of the form itself is no part of what it holds.
  const names = Object.keys(element.attributes).filter((name) => !/^xml(?:ns)?(?::|$)/u.test(name));
  const [first, last] = [texts[0], texts.at(-1)];
  const words = texts
    .map((one) => (one as XmlText).text)
    .join(' ')
    .trim();
  const own: Entry[] = [];
  if (first && last)
    own.push({
      name: '',
      nameSpan: [first.start, first.start],
      value: { kind: 'text', text: words, span: [first.start, last.end] },
    });
  if (names.length === 0 && inner.length === 0)
    return own[0]?.value ?? { kind: 'text', text: '', span: emptyIn(element, source) };
  const head = source.slice(element.start, inner[0]?.start ?? first?.start ?? element.end);
  const written = new Map<string, number>();
  for (const found of head.matchAll(/\s([^\s=<>/"']+)\s*=\s*(?:"[^"]*"|'[^']*')/gu)) {
    const quote = found[0].search(/["']/u) + 1;
    if (!written.has(found[1] ?? '')) written.set(found[1] ?? '', element.start + found.index + quote);
  }
  for (const name of names) {
    const from = written.get(name) ?? element.start;
    const to = from === element.start ? from : source.indexOf(source[from - 1] ?? '"', from);
    own.push({
      name,
      nameSpan: [from, from],
      value: { kind: 'text', text: element.attributes[name] ?? '', span: [from, to] },
    });
  }
  const byName = new Map<string, XmlElement[]>();
  for (const one of inner) {
    const some = byName.get(one.name);
    if (some) some.push(one);
    else byName.set(one.name, [one]);
  }
  for (const [name, some] of byName) {
    const items = some.map((one) => ofElement(one, source, depth + 1));
    const [only] = items;
    const at = some[0]?.start ?? element.start;
    own.push({ name, nameSpan: [at, at], value: items.length === 1 && only ? only : { kind: 'list', items, span } });
  }
  return { kind: 'map', entries: own, span };
}

function emptyIn(element: XmlElement, source: string): readonly [number, number] {
  const at = source.indexOf('>', element.start) + 1;
  return [at, at];
}
