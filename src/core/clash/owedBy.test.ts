import { expect, it } from 'vitest';
import { keymapOf, type Row } from '../keymap/keymap';
import { here, sampleProgram } from '../testing/sampleProgram';
import { buildClashIndex, programFacts } from './clashIndex';
import { giveBack, owedBy } from './owedBy';

const facts = programFacts(sampleProgram);
const command = (id: string) => facts.commands.get(id)!;
const factory = keymapOf([
  ['undo', 'Mod+Z'],
  ['trim', 'F5'],
  ['fill', 'F6'],
  ['clone', 'S'],
  ['dab', 'Mod+Plus'],
]);
const owed = (rows: Row[], ...by: string[]) =>
  owedBy(buildClashIndex(facts, keymapOf(rows), here.place), here.place, factory, by.map(command)).map(
    (one) => `${one.command.id} ${one.chord}`,
  );

it.each<[string, Row[], string[], string[]]>([
  ['its factory keys taken', [['trim', 'Mod+Z']], ['trim'], ['undo Mod+Z']],
  [
    'its keys still there',
    [
      ['trim', 'Mod+Z'],
      ['undo', 'Mod+Z'],
    ],
    ['trim'],
    [],
  ],
  [
    'keys that somebody else has besides',
    [
      ['trim', 'Mod+Z'],
      ['fill', 'Mod+Z'],
    ],
    ['trim'],
    [],
  ],
  [
    'keys that those asked for share',
    [
      ['trim', 'Mod+Z'],
      ['fill', 'Mod+Z'],
    ],
    ['trim', 'fill'],
    ['undo Mod+Z'],
  ],
  ['keys on which they would take turns', [['patch', 'S']], ['patch'], []],
  ['keys that were nobody’s', [['trim', 'F9']], ['trim'], []],
  ['keys that are the same, written otherwise', [['trim', 'Mod+Shift+=']], ['trim'], ['dab Mod+Plus']],
  [
    'several',
    [
      ['trim', 'Mod+Z'],
      ['trim', 'F6'],
    ],
    ['trim'],
    ['undo Mod+Z', 'fill F6'],
  ],
  [
    'those who trade among themselves',
    [
      ['trim', 'Mod+Z'],
      ['undo', 'F5'],
    ],
    ['trim', 'undo'],
    [],
  ],
])('names %s', (_, rows, by, wanted) => {
  expect(owed(rows, ...by)).toEqual(wanted);
});

it('gives keys back beside those that were got meanwhile, each command in one change', () => {
  const now = keymapOf([['undo', 'F3']]);
  const back = giveBack(now, [
    { command: command('undo'), chord: 'Mod+Z' },
    { command: command('undo'), chord: 'F7' },
    { command: command('fill'), chord: 'F6' },
  ]);
  expect(back).toEqual([
    { command: 'undo', before: [{ chord: 'F3' }], after: [{ chord: 'F3' }, { chord: 'Mod+Z' }, { chord: 'F7' }] },
    { command: 'fill', before: [], after: [{ chord: 'F6' }] },
  ]);
});
