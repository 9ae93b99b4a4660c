import { describe, expect, it } from 'vitest';
import { readCommandList } from '../readCommandList';

/** A made-up list, and the keys that each of its commands is to have. */
const LIST = [
  ['Lift Stain', 'Ctrl+K', 'Mod+K'],
  ['Fold Sheet', 'Ctrl+Shift+F', 'Mod+Shift+F'],
  ['Weigh All', 'Ctrl++', 'Mod+Plus'],
  ['Weigh Less', 'Ctrl+-', 'Mod+-'],
  ['Broom', 'B', 'B'],
  ['Rest', 'Space', 'Space'],
  ['Whole Desk', 'F11', 'F11'],
  ['Delete Crease', 'Delete', 'Delete'],
  ['Smaller Broom', '[', '['],
] as const;
const WANTED = LIST.map(([name, , keys]) => `${name.toLowerCase()}: ${keys}`);

type Line = (name: string, keys: string, number: number) => string;
const spaced = (keys: string): string => (keys === 'Ctrl++' ? 'Ctrl + Plus' : keys.split('+').join(' + '));

/** Every way that came to mind in which people write such a list. */
const WAYS: Readonly<Record<string, Line>> = {
  'name keys': (name, keys) => `${name} ${keys}`,
  'keys name': (name, keys) => `${keys} ${name}`,
  'name spaced keys': (name, keys) => `${name} ${spaced(keys)}`,
  'spaced keys name': (name, keys) => `${spaced(keys)} ${name}`,
  'keys in brackets': (name, keys) => `${name} (${keys})`,
  'keys in brackets first': (name, keys) => `(${keys}) ${name}`,
  'keys between angles': (name, keys) => `${name} <${keys}>`,
  'keys in backticks': (name, keys) => `\`${keys}\` ${name}`,
  'both quoted': (name, keys) => `"${name}" "${keys}"`,
  'a colon': (name, keys) => `${name}: ${keys}`,
  'a colon behind keys': (name, keys) => `${keys}: ${name}`,
  'an arrow': (name, keys) => `${keys} → ${name}`,
  'an arrow to keys': (name, keys) => `${name} -> ${keys}`,
  'a drawn arrow': (name, keys) => `${keys} -> ${name}`,
  'a double arrow': (name, keys) => `${name} => ${keys}`,
  'a slash': (name, keys) => `${name} / ${keys}`,
  'a tilde': (name, keys) => `${name} ~ ${keys}`,
  'a bullet': (name, keys) => `• ${name} ${keys}`,
  'a bullet and brackets': (name, keys) => `* ${name} (${keys})`,
  'a number': (name, keys, i) => `${i}. ${name} ${keys}`,
  'a number and a colon': (name, keys, i) => `${i}) ${name}: ${keys}`,
  'a word for keys': (name, keys) => `${name} Shortcut: ${keys}`,
  'bold names': (name, keys) => `**${name}**: ${keys}`,
  'sentences that tell to press': (name, keys) => `Press ${keys} to ${name.toLowerCase()}.`,
  'sentences that end in keys': (name, keys) => `To ${name.toLowerCase()}, press ${keys}.`,
  'a text of a program': (name, keys) => `  '${name}': '${keys}',`,
  'a call': (name, keys) => `bind("${keys}", "${name}");`,
  'two lines and an empty one': (name, keys) => `${name}\n${keys}\n`,
  'two lines': (name, keys) => `${name}\n${keys}`,
  'two lines, keys first': (name, keys) => `${keys}\n${name}\n`,
  'headings of Markdown': (name, keys) => `### ${name}\n\n\`${keys}\`\n`,
};

const escaped = (text: string): string => text.replace(/</g, '&lt;').replace(/>/g, '&gt;');
/** The same of pages, which have neither tables nor lists of two sides. */
const ON_PAGES: Readonly<Record<string, Line>> = {
  items: (name, keys) => `<li>${name} (${escaped(keys)})</li>`,
  'items with a blank': (name, keys) => `<li>${name} ${escaped(keys)}</li>`,
  paragraphs: (name, keys) => `<p>${name}: ${escaped(keys)}</p>`,
  'keys in caps': (name, keys) => `<p><kbd>${escaped(keys)}</kbd> ${name}</p>`,
  'bold names': (name, keys) => `<p><strong>${name}:</strong> ${escaped(keys)}</p>`,
  breaks: (name, keys) => `${name} - ${escaped(keys)}<br>`,
  boxes: (name, keys) => `<div><span>${name}</span><span>${escaped(keys)}</span></div>`,
  'boxes, keys first': (name, keys) => `<div><kbd>${escaped(keys)}</kbd><span>${name}</span></div>`,
  'headings and paragraphs': (name, keys) => `<h3>${name}</h3><p>${escaped(keys)}</p>`,
  sentences: (name, keys) => `<li>Press <kbd>${escaped(keys)}</kbd> to ${name.toLowerCase()}.</li>`,
};

const linesOf = (line: Line): string => LIST.map(([name, keys], i) => line(name, keys, i + 1)).join('\n');
const commandsIn = (text: string): string[] =>
  readCommandList(text).rows.flatMap(({ command }) =>
    command ? `${command.name.toLowerCase()}: ${command.keys}` : [],
  );
/** What stands in the file where a name and its keys are said to. */
const placesIn = (text: string): string[] =>
  readCommandList(text).rows.flatMap(({ at }) =>
    at?.keys ? `${text.slice(...at.name)} ${text.slice(...at.keys)}`.toLowerCase() : [],
  );

describe('a list of lines', () => {
  it.each(Object.entries(WAYS))('is read with %s, and stands where it is said to', (_, line) => {
    const text = linesOf(line);
    expect(commandsIn(text)).toEqual(WANTED);
    const plain = placesIn(text).map((place) => place.replace(/['"`,*()]|(?<=\w)\.$/g, ''));
    const as = (of: (keys: string) => string) => LIST.map(([name, keys]) => `${name} ${of(keys)}`.toLowerCase());
    expect([as(String), as(spaced)]).toContainEqual(plain);
  });

  it.each(Object.entries(ON_PAGES))('is read from a page with %s, under its headings', (_, line) => {
    const page = `<!doctype html><title>Keys</title><h1>Keys</h1><p>All at a glance.</p><h2>Desk</h2>${linesOf(line)}<p>That is all.</p>`;
    const { rows, format, doubt } = readCommandList(page);
    expect([format, doubt]).toEqual(['web page', null]);
    expect(commandsIn(page)).toEqual(WANTED);
    expect(new Set(rows.flatMap(({ command }) => (command ? command.path.join(' › ') : [])))).toEqual(
      new Set(['Desk']),
    );
    expect(placesIn(page)[1]).toMatch(/^fold sheet\b.*ctrl\+shift\+f$/);
  });

  it.each(['• ', '- ', '* ', '1. ', '1) ', '[ ] ', '    '])(
    'is read whatever form it has, with “%s” before each line',
    (before) => {
      const ways: Readonly<Record<string, Line>> = {
        brackets: (name, keys) => `${name} (${keys})`,
        colon: (name, keys) => `${name}: ${keys}`,
        'keys first': (name, keys) => `${keys} ${name}`,
        'spaced keys first': (name, keys) => `${spaced(keys)} ${name}`,
        tab: (name, keys) => `${name}\t${keys}`,
        semicolon: (name, keys) => `${name};${keys}`,
        leader: (name, keys) => `${name} ..... ${keys}`,
        setting: (name, keys) => `${name} = ${keys}`,
        dash: (name, keys) => `${name} - ${keys}`,
        word: (name, keys) => `${name} Shortcut: ${keys}`,
      };
      for (const [way, line] of Object.entries(ways)) {
        const text = linesOf((name, keys, i) => before.replace('1', `${i}`) + line(name, keys, i));
        expect([way, ...commandsIn(text)]).toEqual([way, ...WANTED]);
      }
    },
  );

  it('leaves out what has no keys where others have them, and takes what heads them for their place', () => {
    const read = readCommandList(
      'All keys at a glance, as of today.\n\n# Repair\nLift stain (Ctrl+K)\nDust sweep (F3)\n[Desk]\nFold sheet (Ctrl+F)\nWeigh it by hand\nPress flat (old way)\n',
    );
    expect(
      read.rows.map(({ result, command, why }) =>
        command ? `${command.path.join()} › ${command.name}: ${command.keys}` : `${result}: ${why}`,
      ),
    ).toEqual([
      'unused: Has no keys where other lines have them.',
      'heading: A heading: the rows below it live there.',
      'Repair › Lift stain: Mod+K',
      'Repair › Dust sweep: F3',
      'heading: A heading: the rows below it live there.',
      'Desk › Fold sheet: Mod+F',
      'unused: Has no keys where other lines have them.',
      'unused: Has no keys where other lines have them.',
    ]);
  });

  it('has no line head others that is numbered as they are', () => {
    const { rows } = readCommandList('1. Lift (Ctrl+K)\n2. Fold (F3)\n3. Weigh by hand\n4. Trim (F4)\n5. Press (F5)\n');
    expect(rows.map(({ result, command }) => (command ? [...command.path, command.name].join(' › ') : result))).toEqual(
      ['Lift', 'Fold', 'unused', 'Trim', 'Press'],
    );
  });

  it('keeps names without keys and keys without names out of lines that belong together', () => {
    const read = readCommandList(
      'Repair\nLift stain\nCtrl+K\nDust sweep\nF3\n\nFold sheet\n\nCtrl+F\nWeigh\nF4\nPress\nF5\n',
    );
    expect(
      read.rows.map(({ line, result, command }) => `${line} ${command ? `${command.name}: ${command.keys}` : result}`),
    ).toEqual([
      '1 heading',
      '2 Lift stain: Mod+K',
      '4 Dust sweep: F3',
      '7 unused',
      '9 unused',
      '10 Weigh: F4',
      '12 Press: F5',
    ]);
  });

  it('is none where lines are sentences, settings or hardly ever end in keys', () => {
    for (const text of [
      'Leave the sheet alone for F3 days.\nFold it then, and weigh it.\nNo stain is left by now.\nPut it away for good.\n',
      'size = 12\nwidth = 40\nname = Serif\ncolor = F5\n',
    ])
      expect(readCommandList(text).format).not.toBe('lines');
    // What a form explains as well is of that form.
    expect(readCommandList('Lift = Ctrl+K\nDust = F3\nFold = Ctrl+F\n').format).not.toBe('lines');
  });
});
