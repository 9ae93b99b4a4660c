import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { shownLineOf } from '../../testing/shownLineOf';
import { NO_CHOICES } from '../choices';
import { readCommandList } from '../readCommandList';
import { guessMarks, withMark } from './guessMarks';

const read = (text: string, ...lines: string[]) => {
  const { rows, format } = readCommandList(text, { ...NO_CHOICES, shown: lines.map(shownLineOf) });
  expect(format).toBe('shown');
  return rows.map(({ command, result, why }) =>
    command ? `${[...command.path, command.name].join(' › ')}: ${command.keys.join(', ')}` : `${result}: ${why}`,
  );
};
const OTHER = 'unused: Is not like the line that was shown.';
const HEADS = 'heading: A heading: the rows below it live there.';

describe('one line shown', () => {
  it('has all lines like it read, whatever stands around name, keys and place; the rest is told', () => {
    expect(
      read(
        'Copperlamp\nwhen Ctrl+K is down : lift stain (soft)\nwhen F3 is down : sweep dust\nnever : forget a mask\n',
        'when ‹Ctrl+K› is down : «lift stain (soft)»',
      ),
    ).toEqual([OTHER, 'lift stain (soft): Mod+K', 'sweep dust: F3', OTHER]);
    // Which words stand before and between is not always the same.
    expect(
      read(
        'bind -n C-a Repair lift-stain\nbind -r F3 View closer -x\nunbind F4 View farther\n',
        'bind -n ‹C-a› ⟨Repair⟩ «lift-stain»',
      ),
    ).toEqual(['Repair › lift-stain: Mod+A', 'View › closer -x: F3', OTHER]);
    // Single blanks part names of several words from keys of several words.
    expect(
      read('Lift stain Ctrl + F9\nSweep F3\nPress it flat Alt + Q\nNothing here\n', '«Lift stain» ‹Ctrl + F9›'),
    ).toEqual([...['Lift stain: Mod+F9', 'Sweep: F3', 'Press it flat: Alt+Q', OTHER]]);
    // Columns that are filled up, with something behind the keys.
    const columns = 'Lift stain     Ctrl-K    Lifts it.\nSweep all dust Shift-F3  Sweeps.\nPress flat     F8\n';
    expect(read(columns, '«Lift stain»     ‹Ctrl-K›    Lifts it.')).toEqual([
      ...['Lift stain: Mod+K', 'Sweep all dust: Shift+F3', 'Press flat: F8'],
    ]);
  });

  it('gives places by headings as well, marked or plain; a second line says how others are written', () => {
    const text = '-- repair\nCtrl+K:lift\n-- view\nF3:closer\nfarther (F4)\n';
    expect(read(text, '‹Ctrl+K›:«lift»', '-- ⟨repair⟩', '«farther» (‹F4›)')).toEqual([
      ...[HEADS, 'repair › lift: Mod+K', HEADS, 'view › closer: F3', 'view › farther: F4'],
    ]);
    expect(read('REPAIR\nlift;Ctrl+K\n\nVIEW\ncloser;F3\n', '«lift»;‹Ctrl+K›')).toEqual([
      ...[HEADS, 'REPAIR › lift: Mod+K', HEADS, 'VIEW › closer: F3'],
    ]);
  });

  it('is a line of a web page as it is seen, found again where it stands in the source', () => {
    const page =
      '<body><div><i>Lift &amp; press</i> – <b>Ctrl+K</b></div><div><i>Sweep dust</i> – <b>F3</b></div><p>More</p></body>';
    const line = shownLineOf('«Lift & press» – ‹Ctrl+K›');
    const { rows } = readCommandList(page, { ...NO_CHOICES, shown: [line] });
    expect(rows.map(({ command, at }) => command && at?.keys && [command.name, page.slice(...at.keys)])).toEqual([
      ['Lift & press', 'Ctrl+K'],
      ['Sweep dust', 'F3'],
      null,
    ]);
  });

  it('is always read as it was marked, and every line of the text is accounted for', () => {
    const word = fc.stringMatching(/^[a-z]{2,8}$/);
    const sign = fc.constantFrom(' = ', ': ', '\t', ' ... ', '  ', ' -> ', '|', ' ');
    const key = fc.constantFrom('Ctrl+K', 'F3', 'Alt+Shift+Q', 'C-x');
    const around = fc.constantFrom('', '  ', 'bind ', '* ', '"');
    fc.assert(
      fc.property(
        fc.array(fc.tuple(word, key), { minLength: 1, maxLength: 6 }),
        around,
        sign,
        fc.boolean(),
        fc.nat(),
        (rows, before, between, keysFirst, at) => {
          const lines = rows.map(
            ([name, keys]) => before + (keysFirst ? keys + between + name : name + between + keys),
          );
          const i = at % rows.length;
          const [name = '', keys = ''] = rows[i] ?? [];
          const text = lines[i] ?? '';
          const place = (part: string, from: number) => {
            const start = text.indexOf(part, from);
            return [start, start + part.length] as const;
          };
          const first = place(keysFirst ? keys : name, before.length);
          const second = place(keysFirst ? name : keys, first[1]);
          const line = { text, name: keysFirst ? second : first, keys: keysFirst ? first : second, path: null };
          const { rows: got } = readCommandList(lines.join('\n'), { ...NO_CHOICES, shown: [line] });
          expect(got.map((one) => one.line)).toEqual(lines.map((_, n) => n + 1));
          expect(got.find((one) => one.command)?.command?.keys.length).toBeGreaterThan(0);
          expect(got.some((one) => one.command?.name === name)).toBe(true);
          // All were written alike, so all are read.
          expect(got.filter((one) => one.result === 'unused')).toEqual([]);
        },
      ),
    );
  });
});

describe('marks', () => {
  it.each([
    ['Close all            Ctrl-Shift-W    Closes all open files.', 'Close all', 'Ctrl-Shift-W'],
    ['when Alt+Q is down : sweep dust again', 'sweep dust again', 'Alt+Q'],
    ['Ctrl+K lift the stain', 'lift the stain', 'Ctrl+K'],
    ['  <item name="Lift stain" key="Ctrl+K"/>', 'Lift stain', 'Ctrl+K'],
    ['lift-stain = F3 ; often', 'lift-stain', 'F3'],
    ['only a name', 'only a name', null],
  ])('are guessed in %s', (text, name, keys) => {
    const line = guessMarks(text);
    expect([line.name && text.slice(...line.name), line.keys && text.slice(...line.keys)]).toEqual([name, keys]);
  });

  it('take the place of those they cover', () => {
    const line = guessMarks('Lift stain  F9');
    expect(withMark(line, 'path', [0, 4])).toEqual({ ...line, name: null, path: [0, 4] });
    expect(withMark(line, 'keys', null)).toEqual({ ...line, keys: null });
  });
});
