import { type XmlDocument, XmlElement, XmlText } from '@rgrove/parse-xml';
import { type RawRow, type RawTable, tidyCell } from '../tables';
import { rowWith, type Written } from './cells';
import { entityWords } from './entityWords';
import { DEEPEST_TREE } from './tree';
import { underHeadings } from './underHeadings';

const HEADER = ['Menu', 'Command', 'Keys'];
const PART = /^gui(?:menu|submenu|menuitem|button|label)$/u;

export const elementsIn = (element: XmlElement): XmlElement[] =>
  element.children.filter((one): one is XmlElement => one instanceof XmlElement);

/** What an element says, with what is pressed at once joined by a plus. */
function wordsOf(element: XmlElement, depth = 0): string {
  if (depth > DEEPEST_TREE) return '';
  const parts = element.children.map((one) =>
    one instanceof XmlText ? entityWords(one.text) : one instanceof XmlElement ? wordsOf(one, depth + 1) : '',
  );
  if (element.name !== 'keycombo') return parts.join('');
  const filled = parts.map((part) => part.trim()).filter((part) => part !== '');
  return filled.reduce((all, part) => (all === '' || all.endsWith('+') ? all + part : `${all}+${part}`), '');
}

function written(element: XmlElement): Written {
  return { text: tidyCell(wordsOf(element).replace(/\s+/gu, ' ')), span: [element.start, element.end] };
}

/** Whether an entry of a manual is a command of a menu, as DocBook marks these. */
export function choiceOf(entry: XmlElement): XmlElement | null {
  for (const term of elementsIn(entry).filter((one) => one.name === 'term'))
    for (const one of elementsIn(term)) if (one.name === 'menuchoice') return one;
  return null;
}

/**
 * The commands of menus that a manual in DocBook tells of, each with its place and its keys: `menuchoice` with `guimenu`,
 * `guimenuitem` and `shortcut` in it. Rows are numbered from 1.
 */
export function menuChoices({ root }: XmlDocument): readonly RawTable[] {
  const found = underHeadings();
  let line = 0;
  const walk = (element: XmlElement, depth: number): void => {
    if (depth > DEEPEST_TREE) return;
    for (const one of elementsIn(element)) {
      if (one.name === 'title' && /^(?:chapter|sect\d?|section)$/u.test(element.name)) found.under([written(one).text]);
      const row = one.name === 'varlistentry' ? rowOf(choiceOf(one), line + 1) : null;
      if (row) {
        line++;
        found.add(row);
      }
      walk(one, depth + 1);
    }
  };
  if (root) walk(root, 0);
  const tables = found.tables().map((table) => ({ ...table, header: HEADER }));
  return tables.some(({ rows }) => rows.some((row) => row.cells[2] !== '')) ? tables : [];
}

function rowOf(choice: XmlElement | null, line: number): RawRow | null {
  if (!choice) return null;
  const parts = elementsIn(choice);
  const steps = parts.filter((one) => PART.test(one.name)).map(written);
  const name = steps.pop();
  const shortcuts = parts
    .filter((one) => one.name === 'shortcut')
    .flatMap((one) => {
      const combos = elementsIn(one);
      return combos.length > 1 ? combos : [one];
    });
  if (!name || name.text === '') return null;
  const [first, last] = [shortcuts[0], shortcuts.at(-1)];
  const at = choice.start;
  return rowWith(line, [
    { text: steps.map((one) => one.text).join(' › '), span: [steps[0]?.span[0] ?? at, steps.at(-1)?.span[1] ?? at] },
    name,
    {
      text: shortcuts.map((one) => written(one).text).join('\n'),
      span: first && last ? [first.start, last.end] : [at, at],
    },
  ]);
}
