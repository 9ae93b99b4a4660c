import type { ProgramFile } from '../file/programFile';

const command = (id: string, name: string, kind: string, path: string[], context: string, keys: unknown[] = []) => ({
  id,
  name,
  kind,
  path,
  context,
  ...(keys.length > 0 ? { keys } : {}),
});

/** A small program in which every verdict and every choice can be met. */
export const walkFile = {
  format: 'gray-pin-program',
  formatVersion: 1,
  program: {
    name: 'Walk',
    version: '1',
    contexts: [
      { id: 'everywhere', name: 'everywhere', parent: null },
      { id: 'canvas', name: 'over the canvas', parent: 'everywhere' },
    ],
    rules: {
      turns: [['Tools']],
      fixed: [{ chord: 'Escape', why: 'it leaves a tool' }],
      shadow: true,
      sequences: true,
      menuLetters: { Repair: 'R' },
    },
    commands: [
      command('mend', 'Mend', 'menu item', ['Repair'], 'everywhere', ['F9']),
      command('wash', 'Wash', 'menu item', ['Repair'], 'everywhere', ['Alt+W']),
      command('undo', 'Undo', 'menu item', ['Edit'], 'everywhere', [{ keys: 'Mod+Z', keeper: true }]),
      command('press-flat', 'Press flat', 'menu item', ['Repair'], 'everywhere', ['F7', 'Shift+F7']),
      command('gild', 'Gild', 'menu item', ['Repair'], 'everywhere', ['Alt+G']),
      command('two-steps', 'Two steps', 'menu item', ['Repair'], 'everywhere', ['Mod+K Mod+S']),
      command('pad', 'Pad step', 'menu item', ['Look'], 'everywhere', ['Mod+NumpadAdd']),
      command('stamp', 'Stamp', 'tool', ['Tools'], 'canvas', ['S']),
      command('press', 'Press', 'tool', ['Tools'], 'canvas'),
      command('dot', 'Dot', 'value', ['Look'], 'canvas', ['Q']),
      command('far', 'Far', 'value', ['Look'], 'everywhere', ['Shift+F8']),
      command('slide', 'Slide', 'held action', ['Look'], 'everywhere', ['hold:Space']),
      command('bare', 'Bare', 'value', ['Look'], 'everywhere'),
    ],
  },
  keymaps: [{ name: 'Walk keys', owner: '', bindings: {}, spares: ['gild'] }],
} as unknown as ProgramFile;
