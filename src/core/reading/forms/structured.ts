import { parseXml, XmlCdata, type XmlDocument, XmlElement, XmlText } from '@rgrove/parse-xml';
import { type Node as JsonNode, type ParseError, parseTree } from 'jsonc-parser';
import { type AST, parseTOML } from 'toml-eslint-parser';
import { isAlias, isMap, isPair, isScalar, isSeq, parseAllDocuments } from 'yaml';
import { DEEPEST_TREE, type Entry, type Tree } from './tree';

/** The first comma, colon or bracket that nests deeper than any list. */
function tooDeep(text: string): boolean {
  let depth = 0;
  for (let i = 0; i < text.length; i++) {
    const code = text.charCodeAt(i);
    if (code === 91 || code === 123) depth++;
    else if (code === 93 || code === 125) depth--;
    if (depth > 10 * DEEPEST_TREE) return true;
  }
  return false;
}

/** JSON, with comments and commas at the end too; null where the text is none. */
export function jsonTree(text: string): Tree | null {
  if (!/^[\s\uFEFF]*(?:[[{]|\/[/*])/u.test(text) || tooDeep(text)) return null;
  const errors: ParseError[] = [];
  const root = parseTree(text, errors, { allowTrailingComma: true });
  return root && errors.length === 0 ? ofJson(root, 0) : null;
}

function ofJson(node: JsonNode, depth: number): Tree {
  const span = [node.offset, node.offset + node.length] as const;
  if (depth > DEEPEST_TREE) return { kind: 'text', text: '', span };
  if (node.type === 'array')
    return { kind: 'list', items: (node.children ?? []).map((one) => ofJson(one, depth + 1)), span };
  if (node.type === 'object') {
    const entries = (node.children ?? []).flatMap((pair): Entry[] => {
      const [name, value] = pair.children ?? [];
      return name && value
        ? [
            {
              name: String(name.value),
              nameSpan: [name.offset + 1, name.offset + name.length - 1],
              value: ofJson(value, depth + 1),
            },
          ]
        : [];
    });
    return { kind: 'map', entries, span };
  }
  const text = node.value === null || node.value === undefined ? '' : String(node.value);
  return { kind: 'text', text, span: node.type === 'string' ? [span[0] + 1, span[1] - 1] : span };
}

/** So often is a YAML text looked through again, once lines that end within quotes were joined. */
const ROUNDS = 4;

/** YAML, several documents one after the other too; null where the text is none, or nothing but one text. */
export function yamlTree(text: string): Tree | null {
  if (tooDeep(text)) return null;
  let source = text;
  for (let round = 0; ; round++) {
    const documents = parseAllDocuments(source, { logLevel: 'silent', strict: false, uniqueKeys: false });
    if (!Array.isArray(documents)) return null;
    const errors = documents.flatMap((one) => one.errors);
    // Some writers set the second line of a quoted text in too little: it is read as if it stood in the first.
    const broken = errors.flatMap((one) =>
      /Missing closing .quote/u.test(one.message) ? [source.indexOf('\n', one.pos[0] - 1)] : [],
    );
    const joined = round < ROUNDS ? broken.filter((at) => at >= 0) : [];
    if (joined.length > 0) {
      const signs = [...joined].sort((one, other) => one - other);
      let next = '';
      let from = 0;
      for (const at of signs) {
        if (at < from) continue;
        next += `${source.slice(from, at)} `;
        from = at + 1;
      }
      source = next + source.slice(from);
      continue;
    }
    if (errors.length > text.length / 4000) return null;
    const trees = documents.flatMap((one) => ofYaml(one.contents, 0) ?? []);
    const [only] = trees;
    if (!only || trees.every((one) => one.kind === 'text')) return null;
    return trees.length === 1 ? only : { kind: 'list', items: trees, span: [0, text.length] };
  }
}

function ofYaml(node: unknown, depth: number): Tree | null {
  const range = (node as { range?: readonly number[] | null } | null)?.range;
  const span = [range?.[0] ?? 0, range?.[1] ?? 0] as const;
  if (depth > DEEPEST_TREE || isAlias(node)) return { kind: 'text', text: '', span };
  if (isMap(node)) {
    const entries = node.items.flatMap((pair): Entry[] => {
      if (!isPair(pair) || !isScalar(pair.key)) return [];
      const { source, value, range: at, type } = pair.key;
      const name = String(source ?? value ?? '');
      const inQuotes = type === 'QUOTE_SINGLE' || type === 'QUOTE_DOUBLE' ? 1 : 0;
      const nameSpan = [(at?.[0] ?? 0) + inQuotes, (at?.[1] ?? 0) - inQuotes] as const;
      return [
        {
          name,
          nameSpan,
          value: ofYaml(pair.value, depth + 1) ?? { kind: 'text', text: '', span: [nameSpan[1], nameSpan[1]] },
        },
      ];
    });
    return { kind: 'map', entries, span };
  }
  if (isSeq(node))
    return {
      kind: 'list',
      items: node.items.map((one) => ofYaml(one, depth + 1) ?? { kind: 'text', text: '', span }),
      span,
    };
  if (!isScalar(node)) return null;
  const quoted = node.type === 'QUOTE_SINGLE' || node.type === 'QUOTE_DOUBLE' ? 1 : 0;
  const text = node.value === null ? '' : String(node.source ?? node.value);
  return { kind: 'text', text, span: [span[0] + quoted, span[1] - quoted] };
}

/** TOML; null where the text is none. */
export function tomlTree(text: string): Tree | null {
  if (tooDeep(text)) return null;
  try {
    return ofToml(parseTOML(text).body[0]);
  } catch {
    return null;
  }
}

type TomlMap = { entries: Entry[]; byName: Map<string, TomlValue> };
type TomlValue = TomlMap | Tree;

function ofToml(top: AST.TOMLTopLevelTable): Tree {
  const root: TomlMap = { entries: [], byName: new Map() };
  const put = (
    to: TomlMap,
    names: readonly AST.TOMLBare[] | readonly AST.TOMLQuoted[] | AST.TOMLKey['keys'],
    value: Tree,
    listed = false,
  ): void => {
    let map = to;
    names.forEach((one, i) => {
      const name = one.type === 'TOMLBare' ? one.name : one.value;
      const quoted = one.type === 'TOMLQuoted' ? 1 : 0;
      const nameSpan = [one.range[0] + quoted, one.range[1] - quoted] as const;
      if (i < names.length - 1) {
        const inner = map.byName.get(name);
        const next: TomlMap = inner && 'byName' in inner ? inner : { entries: [], byName: new Map() };
        if (next !== inner) {
          map.byName.set(name, next);
          map.entries.push({ name, nameSpan, value: { kind: 'map', entries: next.entries, span: nameSpan } });
        }
        map = next;
        return;
      }
      const before = map.entries.findIndex((entry) => entry.name === name);
      const there = map.entries[before]?.value;
      if (listed && there?.kind === 'list') {
        map.entries[before] = {
          name,
          nameSpan: map.entries[before]?.nameSpan ?? nameSpan,
          value: { ...there, items: [...there.items, value] },
        };
      } else
        map.entries.push({
          name,
          nameSpan,
          value: listed ? { kind: 'list', items: [value], span: value.span } : value,
        });
    });
  };
  for (const node of top.body) {
    if (node.type === 'TOMLKeyValue') put(root, node.key.keys, tomlValue(node.value, 0));
    else {
      const inside: TomlMap = { entries: [], byName: new Map() };
      for (const pair of node.body) put(inside, pair.key.keys, tomlValue(pair.value, 0));
      put(root, node.key.keys, { kind: 'map', entries: inside.entries, span: node.range }, node.kind === 'array');
    }
  }
  return { kind: 'map', entries: root.entries, span: top.range };
}

function tomlValue(node: AST.TOMLContentNode, depth: number): Tree {
  const span = node.range;
  if (depth > DEEPEST_TREE) return { kind: 'text', text: '', span };
  if (node.type === 'TOMLArray')
    return { kind: 'list', items: node.elements.map((one) => tomlValue(one, depth + 1)), span };
  if (node.type === 'TOMLInlineTable') {
    const entries = node.body.map(({ key, value }): Entry => {
      const last = key.keys.at(-1);
      const name = key.keys.map((one) => (one.type === 'TOMLBare' ? one.name : one.value)).join(' ');
      return { name, nameSpan: last?.range ?? key.range, value: tomlValue(value, depth + 1) };
    });
    return { kind: 'map', entries, span };
  }
  const quoted = node.kind === 'string' ? 1 : 0;
  return { kind: 'text', text: String(node.value), span: [span[0] + quoted, span[1] - quoted] };
}

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
  const names = Object.keys(element.attributes);
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
  for (const one of inner) byName.set(one.name, [...(byName.get(one.name) ?? []), one]);
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
  return at > 0 && at <= element.end ? [at, at] : [element.start, element.start];
}
