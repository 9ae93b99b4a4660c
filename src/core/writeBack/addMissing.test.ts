import { describe, expect, it } from 'vitest';
import type { ChordText } from '../chord/chord';
import { NO_CHOICES } from '../reading/choices';
import { readSource, spellingOf, type Wanted } from './sourceText';
import { writeBack } from './writeBack';

/** Writes the commands of a file as they are, with one more behind the one named. */
function withOneMore(
  file: string,
  behind: string,
  more: {
    readonly name: string;
    readonly keys: readonly ChordText[];
    readonly path?: readonly string[];
    readonly usual?: boolean;
  },
) {
  const source = readSource(file, NO_CHOICES);
  const wanted = [...source.places.listed.values()].flatMap(({ key, command }): Wanted[] => {
    const own = { id: key, name: command.name, path: command.path, keys: command.keys };
    const { name, keys, path = command.path, usual = false } = more;
    return command.name === behind ? [own, { id: 'more', name, path, keys, usual }] : [own];
  });
  const { text, commands } = writeBack(source, spellingOf(source), source, wanted);
  const told = commands.find(({ id }) => id === 'more');
  return {
    text,
    did: told?.did,
    why: told?.why?.text ?? null,
    others: commands.filter(({ id, did }) => id !== 'more' && did !== 'nothing'),
  };
}
const SETTINGS =
  '[repair]\ndust_sweep = ctrl+p\nlift_stain = ctrl+shift+l\n\n[mask]\npaper_mask = alt+w\nedge_softer = f7\n';
const LINES = 'bind C-k fold\nbind C-l lift\nbind M-p press\nbind F5 turn\n';
const TABLE =
  'Menu,Command,Keys\nSheet,Fold the sheet,Ctrl+K / F7\nSheet,Lift the stain,Ctrl+Shift+L\nMask,Paper mask,F5\n';

describe('a command that a file has no line for', () => {
  it.each<
    readonly [what: string, file: string, behind: string, name: string, keys: readonly ChordText[], text: string]
  >([
    [
      'settings, named as its neighbors are',
      SETTINGS,
      'lift_stain',
      'close_tear',
      ['Mod+Alt+Q'],
      SETTINGS.replace('shift+l\n', 'shift+l\nclose_tear = ctrl+alt+q\n'),
    ],
    [
      'settings, at the end of a section',
      SETTINGS,
      'edge_softer',
      'stain_mask',
      ['Alt+Y'],
      `${SETTINGS}stain_mask = alt+y\n`,
    ],
    [
      'lines that bind, one for each of its keys',
      LINES.replaceAll(/(fold|lift|press|turn)/gu, 'sheet-$1'),
      'sheet-lift',
      'close-tear',
      ['Mod+Q', 'F8'],
      LINES.replaceAll(/(fold|lift|press|turn)/gu, 'sheet-$1').replace(
        'sheet-lift\n',
        'sheet-lift\nbind C-q close-tear\nbind F8 close-tear\n',
      ),
    ],
    [
      'a table, with its place',
      TABLE,
      'Lift the stain',
      'Close the tear',
      ['Mod+Q', 'F8'],
      TABLE.replace('Shift+L\n', 'Shift+L\nSheet,Close the tear,Ctrl+Q / F8\n'),
    ],
    [
      'records',
      '[\n  { "command": "fold.sheet", "key": "ctrl+k" },\n  { "command": "lift.stain", "key": "f5" }\n]\n'.replaceAll(
        '.',
        '_',
      ),
      'lift_stain',
      'close_tear',
      ['Mod+Q'],
      '[\n  { "command": "fold_sheet", "key": "ctrl+k" },\n  { "command": "lift_stain", "key": "f5" },\n  { "command": "close_tear", "key": "ctrl+q" }\n]\n',
    ],
    [
      'a text in columns',
      'Sheet\n=====\n  Ctrl+K          Fold the sheet\n  Ctrl+Shift+L    Lift the stain\n  F5              Turn the sheet\n',
      'Lift the stain',
      'Close the tear',
      ['Mod+Alt+Q'],
      'Sheet\n=====\n  Ctrl+K          Fold the sheet\n  Ctrl+Shift+L    Lift the stain\n  Ctrl+Alt+Q      Close the tear\n  F5              Turn the sheet\n',
    ],
  ])('gets one: %s', (_, file, behind, name, keys, text) => {
    const written = withOneMore(file, behind, { name, keys });
    expect(written).toEqual({ text, did: 'line added', why: null, others: [] });
  });

  it.each<readonly [what: string, file: string, more: Parameters<typeof withOneMore>[2], why: string | null]>([
    ['without keys', SETTINGS, { name: 'Close tear', keys: [] }, null],
    [
      'with its factory keys, which hold where nothing is said',
      SETTINGS,
      { name: 'Close tear', keys: ['F9'], usual: true },
      null,
    ],
    [
      'in a place that the file knows nothing of',
      SETTINGS,
      { name: 'Close tear', keys: ['F9'], path: ['Elsewhere'] },
      'The file has no line for it, and none like it.',
    ],
    [
      'whose name can’t be told from its neighbors’',
      LINES,
      { name: 'Close tear', keys: ['F9'] },
      'The file has no name for it.',
    ],
  ])('gets none %s', (_, file, more, why) => {
    const behind = file === SETTINGS ? 'lift_stain' : 'lift';
    const written = withOneMore(file, behind, more);
    expect([written.text, written.did, written.why]).toEqual([file, 'nothing', why]);
  });

  it('is refused where two keys can’t stand in one line, nor it have two', () => {
    const written = withOneMore(SETTINGS, 'lift_stain', { name: 'Close tear', keys: ['F9', 'F8'] });
    expect([written.text, written.did]).toEqual([SETTINGS, 'nothing']);
    expect(written.why).toMatch(/several|two/i);
  });
});
