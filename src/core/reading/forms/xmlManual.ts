import { XmlCdata, type XmlDocument, XmlElement, XmlText } from '@rgrove/parse-xml';
import type { DefaultTreeAdapterTypes } from 'parse5';
import { entityWords } from './entityWords';
import { choiceOf, elementsIn } from './menuChoices';
import { DEEPEST_TREE } from './tree';

type Node = DefaultTreeAdapterTypes.ChildNode;

/** Elements that manuals written in XML have, and the ones of a web page that do the same. */
const AS_ON_A_PAGE: Readonly<Record<string, string>> = {
  row: 'tr',
  entry: 'td',
  informaltable: 'table',
  keycap: 'kbd',
  key: 'kbd',
  term: 'dt',
  variablelist: 'dl',
  terms: 'dl',
  varlistentry: 'div',
  itemizedlist: 'ul',
  orderedlist: 'ol',
  simplelist: 'ul',
  list: 'ul',
  para: 'p',
  simpara: 'p',
  tgroup: 'tbody',
  literal: 'code',
};
const PROSE = new Set(['para', 'p', 'entry', 'td', 'keycap', 'keyseq', 'keycombo', 'listitem', 'simpara']);

/** Whether XML is written to be read by people: paragraphs, tables and lists with keys in caps. */
export function isManual({ root }: XmlDocument): boolean {
  let prose = 0;
  const walk = (element: XmlElement, depth: number): void => {
    for (const one of element.children) {
      if (!(one instanceof XmlElement) || depth > DEEPEST_TREE) continue;
      if (PROSE.has(one.name)) prose++;
      walk(one, depth + 1);
    }
  };
  if (root) walk(root, 0);
  return prose >= 5;
}

/** A manual in XML as the tree of a page that says the same. @param withoutChoices without what is a command of a menu, which `menuChoices` reads. */
export function manualTree(parsed: XmlDocument, withoutChoices: boolean): { readonly childNodes: readonly Node[] } {
  const tree = parsed.root ? elementOf(parsed.root, '', 0, withoutChoices) : null;
  return { childNodes: tree ? [tree as unknown as Node] : [] };
}

type Made = {
  readonly nodeName: string;
  readonly tagName: string;
  readonly attrs: readonly { readonly name: string; readonly value: string }[];
  readonly childNodes: readonly object[];
  readonly sourceCodeLocation: { readonly startOffset: number; readonly endOffset: number };
};

function elementOf(element: XmlElement, parent: string, depth: number, without: boolean): Made {
  const inner = element.children.flatMap((one): object[] => {
    if (one instanceof XmlText || one instanceof XmlCdata) return [{ nodeName: '#text', value: entityWords(one.text) }];
    if (without && one instanceof XmlElement && one.name === 'varlistentry' && choiceOf(one)) return [];
    if (!(one instanceof XmlElement) || depth >= DEEPEST_TREE) return [];
    const within = element.name === 'item' && parent === 'terms' ? 'meaning' : element.name;
    // What stands in an entry that is left out stands beside its list, with lists of its own.
    const beside = without ? itemsOfChoices(one) : [];
    return [one, ...beside].map((each) => elementOf(each, within, depth + 1, without));
  });
  const tagName = tagOf(element.name, parent, depth);
  return {
    nodeName: tagName,
    tagName,
    attrs: Object.entries(element.attributes).map(([name, value]) => ({ name, value })),
    childNodes: inner,
    sourceCodeLocation: { startOffset: element.start, endOffset: element.end },
  };
}

/** What is said of the commands of menus in a list. */
const itemsOfChoices = (list: XmlElement): XmlElement[] =>
  elementsIn(list)
    .filter((entry) => entry.name === 'varlistentry' && choiceOf(entry) !== null)
    .flatMap((entry) => elementsIn(entry).filter((one) => one.name === 'listitem'));

function tagOf(name: string, parent: string, depth: number): string {
  if (name === 'title')
    return parent === 'table' || parent === 'informaltable'
      ? 'caption'
      : parent === 'meaning'
        ? 'dt'
        : `h${Math.min(6, Math.max(1, depth))}`;
  if (name === 'listitem') return parent === 'varlistentry' ? 'dd' : 'li';
  if (name === 'item') return parent === 'terms' ? 'div' : 'li';
  if (parent === 'meaning' && name === 'p') return 'dd';
  return AS_ON_A_PAGE[name] ?? name;
}
