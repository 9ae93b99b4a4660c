import { parseXml } from '@rgrove/parse-xml';
import fc from 'fast-check';
import { parse } from 'ini';
import { describe, expect, it } from 'vitest';
import { EMPTY_KEYMAP, keymapOf } from '../keymap/keymap';
import { DEFAULT_RULES, EVERYWHERE, type Program } from '../program/program';
import { FormProblem, fillForm } from './fillForm';
import { EXAMPLES, type OwnForm } from './ownForm';

const program = (names: readonly string[]): Program => ({
  name: 'Fern press',
  version: '2',
  contexts: [EVERYWHERE],
  rules: DEFAULT_RULES,
  commands: names.map((name, i) => ({
    id: `c${i}`,
    name,
    kind: 'menu item',
    path: i % 2 === 0 ? ['Sheet'] : ['Leaf', 'Edge'],
    context: EVERYWHERE.id,
  })),
});
const fern = program(['Fold', 'Lift', 'Press flat', 'Turn']);
const keymap = keymapOf([
  ['c0', 'Mod+Shift+F'],
  ['c0', 'F7'],
  ['c1', 'Alt+PageUp'],
  ['c3', 'hold:Space'],
]);
const [lines, json, xml] = EXAMPLES as [OwnForm, OwnForm, OwnForm];

describe('a form of one’s own', () => {
  it('is filled with a keymap as its words say, and says what it can’t spell', () => {
    const { text, unspelled, unknown } = fillForm(lines, fern, 'Mine', keymap);
    expect(text).toBe(
      '# Fern press: Mine\n\n[Sheet]\nFold = ctrl+shift+f, f7\nPress flat = \n\n[Leaf › Edge]\nLift = alt+page_up\nTurn = \n',
    );
    expect(unspelled).toEqual([{ command: 'c3', chord: 'hold:Space' }]);
    expect(unknown).toEqual([]);
    const said = fillForm({ ...lines, words: 'PageUp = prior\nnothing here\nF7=seven' }, fern, 'Mine', keymap).text;
    expect(said).toContain('Lift = alt+prior');
    expect(parse(text).Sheet).toMatchObject({ Fold: 'ctrl+shift+f, f7' });
  });

  it('as JSON and as XML is read by others whatever commands are called', () => {
    fc.assert(
      fc.property(fc.array(fc.string({ unit: 'grapheme', minLength: 1 }), { minLength: 1, maxLength: 6 }), (names) => {
        const own = program(names.map((name) => name.replace(/\p{C}/gu, '') || 'x'));
        const keys = keymapOf(own.commands.map(({ id }) => [id, 'Mod+[']));
        const read = JSON.parse(fillForm(json, own, 'Say "it"', keys).text) as { keys: { press: string }[] };
        expect(read.keys.map((one) => one.press)).toEqual(names.map(() => 'Ctrl-BracketLeft'));
        const tree = parseXml(fillForm(xml, own, 'Mine', keys).text);
        const elements = tree.root?.children.filter((one) => 'name' in one) as unknown as {
          attributes: { name: string };
        }[];
        expect(elements.map((one) => one.attributes.name.trim())).toEqual(own.commands.map((one) => one.name.trim()));
        expect(tree.text).toContain('<Control>bracketleft');
      }),
      { numRuns: 60 },
    );
    expect(JSON.parse(fillForm(json, fern, 'Mine', EMPTY_KEYMAP).text)).toEqual({ keymap: 'Mine', keys: [] });
  });

  it.each([
    ['{{#commands}}{{name}}', /“\{\{#commands\}\}” in line 1 is never closed/],
    ['a\n{{/commands}}', /in line 2 closes what was not opened/],
    ['{{#commands}}{{name', /braces|never closed/],
    ['{{#commands}}{{#commands}}x{{/commands}}{{/commands}}', /lists it already/],
    ['{{#groups}}{{#commands}}{{#bound}}x{{/bound}}{{/commands}}{{/groups}}', /lists it already/],
    ['{{>part}}', /asks for another template/],
  ])('with %s is refused in a sentence', (template, message) => {
    const fill = () => fillForm({ ...lines, template }, fern, 'Mine', keymap);
    expect(fill).toThrow(FormProblem);
    expect(fill).toThrow(message);
  });

  it('tells words of the template that stand for nothing', () => {
    const { unknown } = fillForm(
      { ...lines, template: '{{#commands}}{{nmae}}{{keys}}{{/commands}}' },
      fern,
      'Mine',
      keymap,
    );
    expect(unknown).toEqual(['nmae']);
  });
});
