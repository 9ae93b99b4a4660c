import { type AST, parseTOML } from 'toml-eslint-parser';
import { DEEPEST_TREE, type Entry, type Tree, tooDeep } from './tree';

/** TOML; null where the text is none. */
export function tomlTree(text: string): Tree | null {
  if (tooDeep(text)) return null;
  try {
    return ofToml(parseTOML(text).body[0]);
  } catch {
    return null;
  }
}

/** A table while it is filled: tables lie in each other by name, and a list of them grows with each `[[name]]`. */
type Table = { readonly entries: Entry[]; inside: Map<string, Table> | null; lists: Map<string, Tree[]> | null };
/** Most tables have nothing but values. */
const newTable = (): Table => ({ entries: [], inside: null, lists: null });

function ofToml(top: AST.TOMLTopLevelTable): Tree {
  const root = newTable();
  for (const node of top.body) {
    if (node.type === 'TOMLKeyValue') put(root, node.key.keys, tomlValue(node.value, 0), false);
    else {
      const own = newTable();
      for (const pair of node.body) put(own, pair.key.keys, tomlValue(pair.value, 0), false);
      put(root, node.key.keys, { kind: 'map', entries: own.entries, span: node.range }, node.kind === 'array');
    }
  }
  return { kind: 'map', entries: root.entries, span: top.range };
}

/** Puts a value under a name, or one in another; into the list of that name, if it is of one. */
function put(to: Table, keys: AST.TOMLKey['keys'], value: Tree, listed: boolean): void {
  let table = to;
  keys.forEach((key, i) => {
    const name = key.type === 'TOMLBare' ? key.name : key.value;
    const quote = key.type === 'TOMLQuoted' ? 1 : 0;
    const nameSpan = [key.range[0] + quote, key.range[1] - quote] as const;
    if (i < keys.length - 1) {
      table.inside ??= new Map();
      const known = table.inside.get(name);
      const inner = known ?? newTable();
      if (!known) {
        table.inside.set(name, inner);
        table.entries.push({ name, nameSpan, value: { kind: 'map', entries: inner.entries, span: nameSpan } });
      }
      table = inner;
      return;
    }
    const list = listed ? table.lists?.get(name) : undefined;
    if (list) {
      list.push(value);
      return;
    }
    const items = [value];
    if (listed) {
      table.lists ??= new Map();
      table.lists.set(name, items);
    }
    table.entries.push({ name, nameSpan, value: listed ? { kind: 'list', items, span: value.span } : value });
  });
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
