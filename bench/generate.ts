import type { ProgramWithKeymaps } from '../src/core/file/programFile';
import { keymapOf } from '../src/core/keymap/keymap';
import { type Command, DEFAULT_RULES, FORMS, type Program } from '../src/core/program/program';

const VERBS =
  'Mend Lift Smooth Blend Trim Match Align Fill Patch Turn Soften Sharpen Mask Mark Split Join Copy Lower Raise Hide Show Lock Pick Place Shift'.split(
    ' ',
  );
const THINGS =
  'stain leaf stem petal paper edge layer strip label margin root seam plate note color tone mask grid guide corner fold shadow grain line frame'.split(
    ' ',
  );
const ENDINGS = ['', ' by hand', ' again', ' below', ' on all', ' from left', ' from right', ' as copy', ' lightly'];
const MENUS = 'File Edit Repair Mask Layer Tone Color Look Panels Scripts Select Sheet'.split(' ');
const KEYS = [...'ABCDEFGHIJKLMNOPQRSTUVWXYZ1234567890,./;[]-=', ...Array.from({ length: 12 }, (_, i) => `F${i + 1}`)];
const MODIFIERS = ['', 'Mod+', 'Alt+', 'Shift+', 'Mod+Alt+', 'Mod+Shift+', 'Alt+Shift+', 'Mod+Alt+Shift+'];

/** A small deterministic generator (mulberry32), so that every run measures the same. */
export function randomFrom(seed: number): () => number {
  let state = seed;
  return () => {
    state = (state + 0x6d2b79f5) | 0;
    let t = Math.imul(state ^ (state >>> 15), 1 | state);
    t = (t + Math.imul(t ^ (t >>> 7), 61 | t)) ^ t;
    return ((t ^ (t >>> 14)) >>> 0) / 4294967296;
  };
}

/** A made-up program with the given numbers of commands and bindings, in 40 work areas so that chords recur. */
export function generate(commands: number, bindings: number, seed = 7): ProgramWithKeymaps {
  const random = randomFrom(seed);
  const pick = <T>(from: readonly T[]): T => from[Math.floor(random() * from.length)] as T;
  const areas = Array.from({ length: 40 }, (_, i) => ({ id: `area-${i}`, name: `in area ${i}`, parent: 'everywhere' }));
  const list = Array.from({ length: commands }, (_, i): Command => {
    const name = `${VERBS[i % VERBS.length]} ${THINGS[Math.floor(i / VERBS.length) % THINGS.length]}${ENDINGS[Math.floor(i / 625) % ENDINGS.length]}`;
    return {
      id: `c${i}`,
      name,
      kind: 'menu item',
      path: [MENUS[Math.floor((i / commands) * MENUS.length)] as string, `Group ${Math.floor(i / 25)}`],
      context: pick(areas).id,
    };
  });
  const program: Program = {
    name: 'Bench',
    version: '1',
    contexts: [{ id: 'everywhere', name: 'everywhere', parent: null }, ...areas],
    // Every kind takes every form, so that a verdict turns on who holds what.
    rules: {
      ...DEFAULT_RULES,
      fixed: [{ chord: 'Escape', why: 'it leaves' }],
      forms: { 'menu item': FORMS, tool: FORMS, panel: FORMS, value: FORMS, script: FORMS, 'held action': FORMS },
    },
    commands: list,
  };
  const taken = new Set<string>();
  const rows: [string, string][] = [];
  while (rows.length < bindings) {
    const command = rows.length < commands ? list[rows.length] : pick(list);
    const chord = `${pick(MODIFIERS)}${pick(KEYS)}`;
    const place = `${command?.context} ${chord}`;
    if (!command || taken.has(place)) continue;
    taken.add(place);
    rows.push([command.id, chord]);
  }
  return { program, factory: keymapOf(rows), keymaps: [] };
}
