import Mustache from 'mustache';
import type { ChordText, Modifier } from '../chord/chord';
import { parseCanonical } from '../chord/parseChord';
import { bindingsOf, type Keymap } from '../keymap/keymap';
import { type Command, type CommandId, type Program, pathText } from '../program/program';
import { KEY_FAMILIES } from '../writeBack/keyWords';
import { spellChord } from '../writeBack/spellChord';
import type { Sort, SortName, Spelling } from '../writeBack/spelling';
import { FORM_MODIFIERS, type OwnForm } from './ownForm';

/** A template that can't be filled; the message is for people. */
export class FormProblem extends Error {
  override name = 'FormProblem';
}
/** A keymap in a form of one's own, and what can't be spelled in it. */
export type FilledForm = {
  readonly text: string;
  readonly unspelled: readonly { readonly command: CommandId; readonly chord: ChordText }[];
  /** Words of the template that stand for nothing. */
  readonly unknown: readonly string[];
};

const LISTS = ['groups', 'commands', 'bound', 'chords'];
const WORDS = [
  ...LISTS,
  'program',
  'version',
  'keymap',
  'name',
  'id',
  'kind',
  'path',
  'keys',
  'hasKeys',
  'first',
  'last',
];

/**
 * Writes a keymap by a template: `{{#commands}}` with `{{name}}`, `{{id}}`, `{{path}}`, `{{keys}}` and `{{#chords}}` of each;
 * `{{#bound}}` for those with keys alone; `{{#groups}}` for the menus, each with its commands. @throws FormProblem
 */
export function fillForm(form: OwnForm, program: Program, keymapName: string, keymap: Keymap): FilledForm {
  const unknown = new Set<string>();
  look(parsed(form.template), [], unknown);
  const unspelled: { command: CommandId; chord: ChordText }[] = [];
  const spelling = spellingOf(form);
  const said = saidIn(form.words);
  const written = program.commands.map((command) => {
    const chords = bindingsOf(keymap, command.id).flatMap(({ chord }) => {
      const read = parseCanonical(chord);
      const spelled = read && spellChord(spelling, read, said);
      if (!spelled || 'why' in spelled) {
        unspelled.push({ command: command.id, chord });
        return [];
      }
      return [spelled.strokes.join(spelled.between)];
    });
    return { command, chords };
  });
  const all = placed(written.map((one) => lineOf(one, form)));
  const groups = new Map<string, typeof written>();
  for (const one of written) {
    const path = pathText(one.command.path);
    groups.set(path, [...(groups.get(path) ?? []), one]);
  }
  const listed = (some: typeof written) => ({
    commands: placed(some.map((one) => lineOf(one, form))),
    bound: placed(some.filter((one) => one.chords.length > 0).map((one) => lineOf(one, form))),
  });
  const view = {
    program: program.name,
    version: program.version,
    keymap: keymapName,
    commands: all,
    bound: placed(all.filter((one) => one.hasKeys)),
    groups: placed([...groups].map(([path, some]) => ({ path, name: path, ...listed(some) }))),
  };
  const text = Mustache.render(form.template, view, undefined, { escape: ESCAPED[form.escape] });
  return { text, unspelled, unknown: [...unknown] };
}

const ESCAPED: Readonly<Record<OwnForm['escape'], (value: unknown) => string>> = {
  nothing: (value) => String(value),
  JSON: (value) => JSON.stringify(String(value)).slice(1, -1),
  XML: (value) =>
    String(value).replace(
      /[<>&"]/gu,
      (sign) => ({ '<': '&lt;', '>': '&gt;', '&': '&amp;', '"': '&quot;' })[sign] ?? sign,
    ),
};

function lineOf({ command, chords }: { readonly command: Command; readonly chords: readonly string[] }, form: OwnForm) {
  return {
    name: command.name,
    id: command.id,
    kind: command.kind,
    path: pathText(command.path),
    keys: chords.length > 0 ? chords.join(form.several) : form.none,
    hasKeys: chords.length > 0,
    chords: placed(chords.map((keys) => ({ keys }))),
  };
}

/** Things that know whether they are the first and the last of their list. */
const placed = <T extends object>(all: readonly T[]) =>
  all.map((one, i) => ({ ...one, first: i === 0, last: i === all.length - 1 }));

type Token = readonly [type: string, value: string, start: number, end: number, inner?: readonly Token[]];

function parsed(template: string): readonly Token[] {
  try {
    return Mustache.parse(template) as unknown as readonly Token[];
  } catch (error) {
    const said = error instanceof Error ? error.message : '';
    const [, name, at] = /"([^"]{0,80})" at (\d{1,9})/u.exec(said) ?? [];
    const line = template.slice(0, Number(at ?? template.length)).split('\n').length;
    throw new FormProblem(
      /^Unclosed section/u.test(said)
        ? `“{{#${name}}}” in line ${line} is never closed. Close it with “{{/${name}}}”.`
        : /^Unopened section/u.test(said)
          ? `“{{/${name}}}” in line ${line} closes what was not opened. Take it out, or open it above.`
          : `The braces of this template don't fit each other by line ${line}. Each “{{” needs its “}}”.`,
    );
  }
}

/** Goes through a template: which words of it stand for nothing, and whether it says the same list within itself. */
function look(tokens: readonly Token[], within: readonly string[], unknown: Set<string>): void {
  for (const [type, value, , , inner] of tokens) {
    if (type === 'text' || type === '!' || type === '=') continue;
    if (type === '>') throw new FormProblem(`“{{>${value}}}” asks for another template, and there is none.`);
    if (value !== '.' && !WORDS.includes(value)) unknown.add(value);
    if (!inner) continue;
    // Thousands of commands within each of thousands would never end.
    const again = LISTS.includes(value) && (within.includes(value) || (value === 'groups' && within.length > 0));
    const doubled =
      type === '#' &&
      (value === 'commands' || value === 'bound') &&
      within.some((one) => one === 'commands' || one === 'bound');
    if (type === '#' && (again || doubled))
      throw new FormProblem(
        `“{{#${value}}}” stands within “{{#${within.at(-1)}}}”, which lists it already. Take one of them out.`,
      );
    look(inner, type === '#' && LISTS.includes(value) ? [...within, value] : within, unknown);
  }
}

/** How keys are spelled in a form, as a source file would say it. */
function spellingOf({ modifiers, joint, several, letters, family }: OwnForm): Spelling {
  const sort: Sort = { around: ['', ''], upper: letters === 'capital' };
  const sorts: readonly SortName[] = ['letter', 'letter, held', 'letter, with Shift', 'digit'];
  const named = KEY_FAMILIES.find((one) => one.name === family) ?? KEY_FAMILIES[0];
  const words = [...(named?.words ?? [])].map(([key, word]): [string, string] => [
    key,
    named?.exact ? word : letters === 'small' ? word.toLowerCase() : word,
  ]);
  const upper = named?.exact || letters === 'capital';
  return {
    modifiers: new Map<Modifier, string>(FORM_MODIFIERS.map((one) => [one, modifiers[one]])),
    modifiersWith: new Map(),
    before: new Map(),
    joint,
    jointAfter: new Map(),
    varied: new Map(),
    keyFirst: false,
    around: new Map(),
    keys: new Map(words),
    sorts: new Map<SortName, Sort>([
      ...sorts.map((one) => [one, sort] as const),
      ['function key', { around: ['', ''], upper: upper ?? false }],
    ]),
    capitals: { alone: false, held: false },
    strokes: ' ',
    several,
    hold: null,
    lead: '',
    cell: ['', ''],
    none: { kind: 'text', raw: '' },
    noneGuessed: false,
    learnedFrom: 0,
  };
}

/** Words for keys as they were said, one a line. */
export function saidIn(words: string): Readonly<Record<string, string>> {
  return Object.fromEntries(
    words.split('\n').flatMap((line): [string, string][] => {
      const at = line.indexOf('=', 1);
      const [key, word] = [line.slice(0, at).trim(), line.slice(at + 1).trim()];
      return at < 1 || key === '' || word === '' ? [] : [[key, word]];
    }),
  );
}
