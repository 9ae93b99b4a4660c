import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { parseCanonical } from '../chord/parseChord';
import { NO_CHOICES } from '../reading/choices';
import { decodeText } from '../reading/decodeText';
import { besideLines, inContext } from './besideLines';
import { editedBytes, encodeText } from './editedBytes';
import { edited, joined } from './edits';
import { readSource, spellingOf } from './sourceText';
import { spellChord } from './spellChord';

const anyText = fc
  .array(fc.constantFrom('a = b', '', 'fold = ctrl+ü', '# x', '[𝄞]', 'ж'), { maxLength: 8 })
  .chain((lines) => fc.constantFrom('\n', '\r\n').map((end) => lines.join(end)));
const anyEdits = (text: string) =>
  fc
    .array(fc.tuple(fc.nat(text.length), fc.nat(6), fc.constantFrom('', 'alt+é', 'x\ny\n', '\n')), { maxLength: 4 })
    .map((all) =>
      joined(all.map(([from, long, words]) => ({ from, to: Math.min(text.length, from + long), text: words }))),
    );
const linesOf = (text: string): string[] => {
  const lines = text.split(/\r\n|\r|\n/u);
  return lines.at(-1) === '' ? lines.slice(0, -1) : lines;
};

describe('edits of a text', () => {
  it('are shown as all lines before beside all lines after, the same ones beside each other', () => {
    fc.assert(
      fc.property(
        anyText.chain((text) => fc.tuple(fc.constant(text), anyEdits(text))),
        ([text, edits]) => {
          // Halves of an end of line are nobody's edit.
          if (!edits || edits.some(({ from, to }) => [from, to].some((at) => text.slice(at - 1, at + 1) === '\r\n')))
            return;
          const lines = besideLines(text, edits);
          expect(lines.flatMap((line) => line.before?.text ?? [])).toEqual(linesOf(text));
          const after = lines.flatMap((line) => (line.after ? line.after.parts.map((part) => part.text).join('') : []));
          expect(after).toEqual(linesOf(edited(text, edits)));
          const numbers = lines.flatMap((line) => line.after?.number ?? []);
          expect(numbers).toEqual(numbers.map((_, i) => i + 1));
          const shown = inContext(lines, (line) => line.changed, 1);
          const all = shown.reduce((sum, one) => sum + ('skipped' in one ? one.skipped : 1), 0);
          expect(all).toBe(lines.some((line) => line.changed) ? lines.length : 0);
        },
      ),
      { numRuns: 500 },
    );
  });

  it('are put between bytes that stay as they are, in any encoding', () => {
    fc.assert(
      fc.property(
        anyText.chain((text) => fc.tuple(fc.constant(`keys = ctrl+a\n${text}`), anyEdits(text))),
        fc.constantFrom(
          ['utf-8', []],
          ['utf-8', [0xef, 0xbb, 0xbf]],
          ['utf-16le', [0xff, 0xfe]],
          ['utf-16be', [0xfe, 0xff]],
        ),
        ([text, edits], [encoding, mark]) => {
          // Half a sign is nobody's edit.
          const cuts = (edits ?? []).some(({ from, to }) =>
            [from, to].some((at) => /^[\udc00-\udfff]/u.test(text.slice(at))),
          );
          if (!edits || cuts) return;
          const bytes = Uint8Array.from([...mark, ...(encodeText(text, encoding) ?? [])]);
          const written = editedBytes(bytes, text, encoding, edits);
          const decoded = decodeText(written);
          expect(decoded).toEqual({ ok: true, text: edited(text, edits), encoding });
          expect([...written.slice(0, mark.length)]).toEqual(mark);
        },
      ),
      { numRuns: 300 },
    );
    expect(encodeText('Größe', 'windows-1252')).toEqual(Uint8Array.from([71, 114, 0xf6, 0xdf, 101]));
    expect(encodeText('ж', 'windows-1252')).toBeNull();
  });
});

describe('keys as a file spells them', () => {
  const FILES = {
    plain: 'save = ctrl+s\nfold = ctrl+shift+f5\nturn = page_up\nsmaller = comma\n',
    toolkit: "save = '<Primary>s'\nfold = '<Primary><Shift>F5'\nturn = 'Page_Up'\nlift = 'BackSpace'\n",
    letters: 'bind C-s save\nbind C-S-F5 fold\nbind PageUp turn\nbind F3 lift\n',
    codes:
      '[{"does":"save","key":"ctrl+KeyS"},{"does":"fold","key":"F5"},{"does":"turn","key":"ctrl+BracketLeft"},{"does":"lift","key":"ctrl+Digit1"}]',
  };
  it.each([
    ['plain', 'Mod+Shift+F7', 'ctrl+shift+f7', []],
    ['plain', 'Mod+PageDown', 'ctrl+page_down', ['PageDown']],
    ['plain', 'Mod+Alt+K', 'ctrl+alt+k', ['Alt']],
    ['plain', 'Mod+.', 'ctrl+period', ['.']],
    ['toolkit', 'Mod+PageDown', '<Primary>Page_Down', ['PageDown']],
    ['toolkit', 'Mod+Alt+K', '<Primary><Alt>k', ['Alt']],
    ['toolkit', 'Mod+,', '<Primary>comma', [',']],
    ['letters', 'Alt+K', 'M-k', ['Alt']],
    ['letters', 'Mod+PageDown', 'C-PageDown', ['PageDown']],
    ['codes', 'Mod+K', 'ctrl+KeyK', []],
    ['codes', 'Mod+7', 'ctrl+Digit7', []],
    ['codes', 'Mod+]', 'ctrl+BracketRight', [']']],
  ] as const)('in the %s file, %s is %s, with %j guessed', (file, chord, written, guessed) => {
    const spelling = spellingOf(readSource(FILES[file], NO_CHOICES));
    const spelled = spellChord(spelling, parseCanonical(chord) as NonNullable<ReturnType<typeof parseCanonical>>, {});
    if ('why' in spelled) throw new Error(spelled.why);
    expect(spelled.strokes).toEqual([written]);
    expect(spelled.words.filter((one) => one.guessed).map((one) => one.what)).toEqual(guessed);
  });

  it('are written as a person said, and guessed no more', () => {
    const spelling = spellingOf(readSource(FILES.plain, NO_CHOICES));
    const chord = parseCanonical('Alt+PageDown') as NonNullable<ReturnType<typeof parseCanonical>>;
    expect(spellChord(spelling, chord, { Alt: 'meta', PageDown: 'next' })).toMatchObject({
      strokes: ['meta+next'],
      words: [{ guessed: false }, { guessed: false }],
    });
  });
});
