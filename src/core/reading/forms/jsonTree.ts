import { type Node as JsonNode, type ParseError, parseTree } from 'jsonc-parser';
import { MOST_ROWS, UnreadableList } from '../tables';
import { tooMany } from './tooMany';
import { DEEPEST_TREE, type Entry, type Tree, tooDeep } from './tree';

/** JSON, with comments and commas at the end too; null where the text is none. */
export function jsonTree(text: string): Tree | null {
  if (!/^[\s\uFEFF]*(?:[[{]|\/[/*])/u.test(text) || tooDeep(text)) return null;
  const errors: ParseError[] = [];
  const root = parseTree(text, errors, { allowTrailingComma: true });
  return root && errors.length === 0 ? ofJson(root, 0) : jsonLines(text);
}

/** A record in each line, with nothing between them; null where lines are otherwise. @throws UnreadableList past 20,000 rows. */
function jsonLines(text: string): Tree | null {
  const items: Tree[] = [];
  let at = 0;
  for (const line of text.split('\n')) {
    const errors: ParseError[] = [];
    const from = at;
    at += line.length + 1;
    if (line.trim() === '') continue;
    if (items.length > MOST_ROWS) throw new UnreadableList(tooMany);
    const root = line.trimStart().startsWith('{') ? parseTree(line, errors) : undefined;
    if (root?.type !== 'object' || errors.length > 0) return null;
    items.push(moved(ofJson(root, 1), from));
  }
  return items.length > 1 ? { kind: 'list', items, span: [0, text.length] } : null;
}

function moved(tree: Tree, by: number): Tree {
  const span = [tree.span[0] + by, tree.span[1] + by] as const;
  if (tree.kind === 'list') return { ...tree, span, items: tree.items.map((one) => moved(one, by)) };
  if (tree.kind === 'text') return { ...tree, span };
  return {
    ...tree,
    span,
    entries: tree.entries.map(({ name, nameSpan, value }) => ({
      name,
      nameSpan: [nameSpan[0] + by, nameSpan[1] + by],
      value: moved(value, by),
    })),
  };
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
