import type { Modifier } from '../chord/chord';

/** The modifiers that keymaps are made of on all desktops. */
export const FORM_MODIFIERS = ['Mod', 'Alt', 'Shift', 'Meta'] as const satisfies readonly Modifier[];
export const ESCAPES = ['nothing', 'JSON', 'XML'] as const;
export const LETTERS = ['small', 'capital'] as const;

/** A form of one's own for the file that a program reads: a template (https://mustache.github.io/mustache.5.html) and how keys are spelled in it. */
export type OwnForm = {
  readonly name: string;
  readonly fileName: string;
  readonly template: string;
  /** As what the words put into it are escaped. */
  readonly escape: (typeof ESCAPES)[number];
  readonly modifiers: Readonly<Record<(typeof FORM_MODIFIERS)[number], string>>;
  readonly joint: string;
  /** What stands between several keys of a command. */
  readonly several: string;
  /** What stands where it has none. */
  readonly none: string;
  readonly letters: (typeof LETTERS)[number];
  /** The family of words for keys, by its name. */
  readonly family: string;
  /** Words for keys that are written otherwise, one a line: `PageUp = prior`. */
  readonly words: string;
};

const WORDS = { Mod: 'ctrl', Alt: 'alt', Shift: 'shift', Meta: 'super' };

/** Three forms to begin with, of no program there is. */
export const EXAMPLES: readonly OwnForm[] = [
  {
    name: 'Lines under headings',
    fileName: 'keys.conf',
    template: `# {{program}}: {{keymap}}
{{#groups}}

[{{path}}]
{{#commands}}
{{name}} = {{keys}}
{{/commands}}
{{/groups}}
`,
    escape: 'nothing',
    modifiers: WORDS,
    joint: '+',
    several: ', ',
    none: '',
    letters: 'small',
    family: 'plain words',
    words: '',
  },
  {
    name: 'Records in JSON',
    fileName: 'keys.json',
    template: `{
  "keymap": "{{keymap}}",
  "keys": [
{{#bound}}
    { "press": "{{keys}}", "does": "{{id}}" }{{^last}},{{/last}}
{{/bound}}
  ]
}
`,
    escape: 'JSON',
    modifiers: { Mod: 'Ctrl', Alt: 'Alt', Shift: 'Shift', Meta: 'Meta' },
    joint: '-',
    several: ' ',
    none: '',
    letters: 'capital',
    family: 'codes of W3C UI Events',
    words: '',
  },
  {
    name: 'Elements in XML',
    fileName: 'keys.xml',
    template: `<?xml version="1.0" encoding="UTF-8"?>
<keys for="{{program}}">
{{#commands}}
  <command name="{{name}}">{{#chords}}<key>{{keys}}</key>{{/chords}}{{^hasKeys}}<none/>{{/hasKeys}}</command>
{{/commands}}
</keys>
`,
    escape: 'XML',
    modifiers: { Mod: '<Control>', Alt: '<Alt>', Shift: '<Shift>', Meta: '<Super>' },
    joint: '',
    several: ' ',
    none: '',
    letters: 'small',
    family: 'names of the X keyboard',
    words: '',
  },
];
