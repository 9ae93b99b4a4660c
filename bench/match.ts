import { join } from 'node:path';
import { buildAdvisor } from '../src/core/advice/advisor';
import { programFacts } from '../src/core/clash/clashIndex';
import { findCounterparts } from '../src/core/counterpart/findCounterparts';
import { usesOf } from '../src/core/effort/uses';
import type { ProgramWithKeymaps } from '../src/core/file/programFile';
import { DEFAULT_KEYBOARD } from '../src/core/keyboard/usKeyboard';
import { whereOf } from '../src/core/keyboard/where';
import { type Binding, type Keymap, type Row as KeymapRow, keymapOf } from '../src/core/keymap/keymap';
import { type Command, DEFAULT_RULES, FORMS } from '../src/core/program/program';
import { EMPTY_PLAN } from '../src/core/transfer/matchPlan';
import { transfer } from '../src/core/transfer/transfer';
import { demoLists, markedListsIn, measureCounterparts } from './counterparts';
import { randomFrom } from './generate';
import { median, ms, type Row } from './measure';

const SIZES = [200, 500, 1000, 1500, 3000] as const;
const AGAIN = ['', ' of plate', ' in batch', ' by mask', ' on copy', ' of margin'];
const MODIFIERS = ['Mod+', 'Alt+', 'Mod+Alt+', 'Mod+Shift+', 'Alt+Shift+', 'Mod+Alt+Shift+', 'Shift+', ''];
const KEYS = [...'ABCDEFGHIJKLMNOPQRSTUVWXYZ1234567890', ...Array.from({ length: 9 }, (_, i) => `F${i + 1}`)];

const lists = markedListsIn(join(import.meta.dirname, 'counterparts'));

/** A made-up program of any size: the commands of one side of the marked lists, then those again for other things. */
export function manyCommands(side: 'left' | 'right', size: number, bindings: number): ProgramWithKeymaps {
  const all = lists.flatMap((one) => one[side].map((command) => ({ ...command, id: `${one.name}-${command.id}` })));
  const commands = Array.from({ length: size }, (_, i): Command => {
    const command = all[i % all.length] as Command;
    const round = Math.floor(i / all.length);
    if (round === 0) return command;
    return {
      ...command,
      id: `${command.id}-${round}`,
      name: `${command.name}${AGAIN[round % AGAIN.length]}`,
      path: [...command.path, `Part ${round}`],
    };
  });
  const random = randomFrom(side === 'left' ? 3 : 11);
  const chords = MODIFIERS.flatMap((modifiers) => KEYS.map((key) => modifiers + key)).sort(() => random() - 0.5);
  const rows = commands
    .slice(0, Math.min(bindings, chords.length))
    .map((one, i): KeymapRow => [one.id, chords[i] as string]);
  return {
    program: {
      name: side === 'left' ? 'Bench left' : 'Bench right',
      version: '1',
      contexts: [{ id: 'everywhere', name: 'everywhere', parent: null }],
      rules: {
        ...DEFAULT_RULES,
        forms: { 'menu item': FORMS, tool: FORMS, panel: FORMS, value: FORMS, script: FORMS, 'held action': FORMS },
      },
      commands,
    },
    factory: keymapOf(rows),
    keymaps: [],
  };
}

/** Measures how well counterparts are found, how the time for them grows, and a transfer. */
export async function benchMatch(): Promise<{ rows: Row[]; failures: string[] }> {
  const rows: Row[] = [];
  const failures: string[] = [];
  const percent = (part: number): string => `${(100 * part).toFixed(1)} %`;
  for (const marked of lists) {
    const said = measureCounterparts(marked);
    rows.push([
      `Counterparts of ${marked.left.length} and ${marked.right.length} commands (${marked.name}, ${marked.truth.size} true ones): of those said to be sure, right; of the true ones, sure or suggested first`,
      `${percent(said.sureRight)} of ${said.sure}; ${percent(said.found)}`,
      'wanted: 98 %; 90 %',
      '',
    ]);
    if (said.sureRight < 0.98 || said.found < 0.9) failures.push(`counterparts of ${marked.name} are not found well`);
  }
  for (const marked of demoLists()) {
    const said = measureCounterparts(marked);
    rows.push([
      `Counterparts of the demo’s ${marked.name}, ${marked.left.length} and ${marked.right.length} commands with ${marked.truth.size} true ones: of the sure ones right; of the true ones, sure or suggested first`,
      `${percent(said.sureRight)} of ${said.sure}; ${percent(said.found)}`,
      '',
      '',
    ]);
  }
  let before = 0;
  for (const size of SIZES) {
    const [left, right] = [manyCommands('left', size, 0), manyCommands('right', size, 0)];
    const took = await median(() => findCounterparts(left.program.commands, right.program.commands), 1200);
    rows.push([
      `Find the counterparts of ${size} by ${size} commands`,
      ms(took),
      size === 1500 ? 'wanted: within 500 ms' : size === 3000 ? 'wanted: at most five times the line before' : '',
      before === 0 ? '' : `${(took / before).toFixed(1)} times the line before`,
    ]);
    if (size === 3000 && took > 5 * before) failures.push('counterparts of 3,000 take over five times those of 1,500');
    before = took;
    if (size === 1500 && took > 500) failures.push('counterparts of 1,500 by 1,500 take over 500 ms');
  }
  const [mine, theirs] = [manyCommands('left', 716, 340), manyCommands('right', 698, 340)];
  const where = whereOf(DEFAULT_KEYBOARD);
  const advisor = buildAdvisor(programFacts(mine.program), where, 'left', []);
  const pairs = (findCounterparts(mine.program.commands, theirs.program.commands) ?? []).flatMap((one) =>
    one.confidence === 'sure' && one.counterpart !== null ? [{ mine: one.command, theirs: one.counterpart }] : [],
  );
  const task = {
    advisor,
    keymap: mine.factory as Keymap,
    theirCommands: new Map(theirs.program.commands.map((one) => [one.id, one])),
    theirKeys: theirs.factory as Keymap,
    pairs,
    rules: EMPTY_PLAN.rules,
    choices: new Map(),
    instead: new Map(),
    settled: new Map<string, readonly Binding[]>(),
    usesOf: (command: Command) => usesOf(command, new Map()),
  };
  const done = transfer(task, 'Bench');
  rows.push([
    `A transfer of ${done.lines.length} lines with ${done.knockOns.length} knock-on changes, planned together`,
    ms(await median(() => transfer(task, 'Bench'), 800)),
    '',
    '',
  ]);
  return { rows, failures };
}
