/**
 * Counts how much two keymaps have in common by another route than the application's: run by itself, it reads both as the
 * server sends them, and what was said of their counterparts; it prints how many things are done in both with keys
 * there, and how many of them answer alike.
 */
import { readFileSync } from 'node:fs';
import { findCounterparts, NO_EVIDENCE } from '../../src/core/counterpart/findCounterparts';
import type { KeymapView } from '../../src/core/keymap/keymapView';

type Given = { mine: KeymapView; theirs: KeymapView; said: [mine: string, theirs: string][]; alone: string[] };

const { mine, theirs, said, alone } = JSON.parse(readFileSync(0, 'utf8')) as Given;
const factoryKeys = (view: KeymapView) => (id: string) =>
  view.toFactory.find((change) => change.command === id)?.after.map((one) => one.chord) ??
  view.bindings.flatMap(([of, chord]) => (of === id ? [chord] : []));
const named = (view: KeymapView, name: string): string =>
  view.program.commands.find((command) => command.name === name)?.id ?? '';
const found = findCounterparts(mine.program.commands, theirs.program.commands, {
  ...NO_EVIDENCE,
  leftKeys: factoryKeys(mine),
  rightKeys: factoryKeys(theirs),
  known: new Map(said.map(([a, b]) => [named(mine, a), { counterpart: named(theirs, b), through: null }])),
  alone: new Set(alone.map((name) => named(theirs, name))),
});
let same = 0;
let both = 0;
for (const { command, counterpart, confidence } of found ?? []) {
  const there = theirs.bindings.flatMap(([id, chord]) => (id === counterpart ? [chord] : []));
  if (confidence !== 'sure' || there.length === 0) continue;
  both++;
  if (mine.bindings.some(([id, chord]) => id === command && there.includes(chord))) same++;
}
console.log(JSON.stringify([same, both]));
