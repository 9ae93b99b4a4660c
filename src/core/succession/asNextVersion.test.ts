import { describe, expect, it } from 'vitest';
import { EMPTY_KEYMAP } from '../keymap/keymap';
import { type Command, DEFAULT_RULES, type Program } from '../program/program';
import { asNextVersion } from './asNextVersion';

const CONTEXTS = [
  { id: 'all', name: 'everywhere', parent: null },
  { id: 'sheet', name: 'over the sheet', parent: 'all' },
];
/** A command as `Menu › Name | kind | context`. */
const command = (line: string): Command => {
  const [place = '', kind = 'menu item', context = 'all'] = line.split(' | ');
  const path = place.split(' › ');
  const name = path.pop() ?? '';
  return { id: name.toLowerCase().replaceAll(' ', '-'), name, path, kind: kind as Command['kind'], context };
};
const program = (version: string, ...lines: string[]): Program => ({
  ...{ name: 'Walk', version, contexts: CONTEXTS },
  rules: { ...DEFAULT_RULES, menuLetters: { Mend: 'M', Paper: 'P' }, turns: [['Tools']] },
  commands: lines.map(command),
});
const BEFORE = program(
  '1',
  'Tools › Dust brush | tool | sheet',
  'Tools › Stain brush | tool | sheet',
  'Tools › Brush size | value | sheet',
  'Mend › Close tear',
  'Mend › Fill pinhole',
  'Paper › Even paper',
);
/** A list says no more than names, places and keys. */
const next = (lines: readonly string[], over: Partial<Program> = {}, factory = EMPTY_KEYMAP) => {
  const list: Program = { ...program('2', ...lines), contexts: [CONTEXTS[0]!], rules: DEFAULT_RULES, ...over };
  return asNextVersion({ program: BEFORE, factory: EMPTY_KEYMAP }, { program: list, factory });
};
const told = ({ commands }: Program) => commands.map((one) => `${one.name} | ${one.kind} | ${one.context}`);

describe('a list as the next version of a program', () => {
  it('has kinds and contexts of what it knows, wherever that lives by now', () => {
    const now = next(['Brushes › Dust brush', 'Brushes › Stain brush', 'Mend › Close tears', 'Mend › Fill pinhole']);
    expect(told(now)).toEqual([
      'Dust brush | tool | sheet',
      'Stain brush | tool | sheet',
      'Close tears | menu item | all',
      'Fill pinhole | menu item | all',
    ]);
    expect([now.name, now.version, now.contexts]).toEqual(['Walk', '2', CONTEXTS]);
  });

  it('takes what is new for what most are that live beside it, and else for the usual', () => {
    const now = next([
      'Tools › Dust brush',
      'Tools › Stain brush',
      'Tools › Brush size',
      'Tools › Feather liner',
      'Elsewhere › Count seeds | script',
    ]);
    expect(told(now).slice(3)).toEqual(['Feather liner | tool | sheet', 'Count seeds | script | all']);
  });

  it('allows what the program allowed and what the list shows besides, letters for the menus there are', () => {
    const factory = { ...EMPTY_KEYMAP, bindings: new Map([['close-tear', [{ chord: 'K' }]]]) };
    const { rules } = next(['Mend › Close tear'], { rules: { ...DEFAULT_RULES, sequences: true } }, factory);
    expect([rules.menuLetters, rules.sequences, rules.turns]).toEqual([{ Mend: 'M' }, true, [['Tools']]]);
    // A menu item on a letter alone: the list shows that this version allows it.
    expect(rules.forms).toEqual({ ...DEFAULT_RULES.forms, 'menu item': ['named', 'modified', 'bare'] });
  });
});
