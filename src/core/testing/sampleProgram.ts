import fc from 'fast-check';
import { usKeyboard } from '../keyboard/usKeyboard';
import { type Where, whereOf } from '../keyboard/where';
import { type Keymap, keymapOf } from '../keymap/keymap';
import { type Command, DEFAULT_RULES, FORMS, type Program } from '../program/program';

/** A small program for tests: two nested contexts, one apart, an area that takes turns, one fixed chord. */
export const sampleProgram: Program = {
  name: 'Sample',
  version: '1',
  contexts: [
    { id: 'everywhere', name: 'everywhere', parent: null },
    { id: 'canvas', name: 'over the canvas', parent: 'everywhere' },
    { id: 'list', name: 'in the list', parent: 'everywhere' },
  ],
  rules: {
    ...DEFAULT_RULES,
    turns: [['Tool rail']],
    fixed: [{ chord: 'Escape', why: 'it leaves a tool' }],
    sequences: true,
    forms: { 'menu item': FORMS, tool: FORMS, panel: FORMS, value: FORMS, script: FORMS, 'held action': FORMS },
  },
  commands: [
    ...['lift-stain', 'stain-mask', 'undo', 'trim'].map((id) => command(id, 'menu item', ['Repair'], 'everywhere')),
    ...['dab', 'smear'].map((id) => command(id, 'menu item', ['Brush'], 'canvas')),
    ...['open-row', 'fold-row'].map((id) => command(id, 'menu item', ['Rows'], 'list')),
    ...['clone', 'patch', 'fill'].map((id) => command(id, 'tool', ['Tool rail'], 'everywhere')),
  ],
};

function command(id: string, kind: Command['kind'], path: string[], context: string): Command {
  return { id, name: `${id[0]?.toUpperCase()}${id.slice(1).replace('-', ' ')}`, kind, path, context };
}

/** A US keyboard under Windows. */
export const here: Where = whereOf(usKeyboard.choice, 'windows');

export const CHORDS = ['S', 'W', 'Mod+Z', 'Alt+W', 'Mod+Plus', 'Mod+Shift+=', 'Escape', 'hold:Space'];

/** Any keymap of the sample program over a handful of chords, clashes, keepers, hooks, spares and all. */
export const anyKeymap: fc.Arbitrary<Keymap> = fc
  .tuple(
    fc.array(
      fc.tuple(
        fc.constantFrom(...sampleProgram.commands.map((one) => one.id)),
        fc.constantFrom(...CHORDS),
        fc.boolean(),
        fc.constantFrom('', 'S for sheet'),
      ),
      { maxLength: 14 },
    ),
    fc.subarray(sampleProgram.commands.map((one) => one.id)),
  )
  .map(([rows, spares]) => keymapOf(rows, spares));
