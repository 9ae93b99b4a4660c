import { isAlias, isMap, isPair, isScalar, isSeq, parseAllDocuments } from 'yaml';
import { MOST_ROWS, UnreadableList } from '../tables';
import { tooMany } from './tooMany';
import { DEEPEST_TREE, type Entry, type Tree, tooDeep } from './tree';

/** So often is a YAML text looked through again, once lines that end within quotes were joined. */
const ROUNDS = 4;
/** What begins at the edge is an item or an entry of the whole, or parts two of its documents. */
const AT_EDGE = /^[^\s#]/gmu;

/**
 * YAML, several documents one after the other too; null where the text is none, or nothing but one text.
 * @throws UnreadableList where it has more entries than a list may have rows: the package would take long for them.
 */
export function yamlTree(text: string): Tree | null {
  if (tooDeep(text)) return null;
  AT_EDGE.lastIndex = 0;
  for (let entries = 0; AT_EDGE.test(text); ) if (++entries > 2 * MOST_ROWS) throw new UnreadableList(tooMany);
  let source = text;
  for (let round = 0; ; round++) {
    const documents = parseAllDocuments(source, {
      logLevel: 'silent',
      prettyErrors: false,
      strict: false,
      uniqueKeys: false,
    });
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
    if (trees.length === 1) return only;
    // Parts of one file are one; documents that say something themselves are records.
    const parts = trees.flatMap((one) => (one.kind === 'map' ? one.entries : []));
    return parts.length > 0 && parts.every(({ value }) => value.kind !== 'text')
      ? { kind: 'map', entries: parts, span: [0, text.length] }
      : { kind: 'list', items: trees, span: [0, text.length] };
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
