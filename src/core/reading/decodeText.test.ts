import { describe, expect, it } from 'vitest';
import { decodeText } from './decodeText';

const utf8 = (text: string): number[] => [...new TextEncoder().encode(text)];
/** A text in two bytes a sign, the lower one first or last. */
const utf16 = (text: string, lowFirst: boolean): number[] =>
  [...text].flatMap((sign) => {
    const code = sign.charCodeAt(0);
    return lowFirst ? [code & 255, code >> 8] : [code >> 8, code & 255];
  });
const LIST = 'Name\tKeys\nCafé\tF2';

describe('a file of bytes', () => {
  it.each<[string, readonly number[], string, string]>([
    ['says UTF-8 by its mark', [0xef, 0xbb, 0xbf, ...utf8(LIST)], 'utf-8', LIST],
    ['says UTF-16 by its mark', [0xff, 0xfe, ...utf16(LIST, true)], 'utf-16le', LIST],
    ['says UTF-16 the other way by its mark', [0xfe, 0xff, ...utf16(LIST, false)], 'utf-16be', LIST],
    ['is UTF-16 by its zeros', utf16(LIST, true), 'utf-16le', LIST],
    ['is UTF-16 the other way by its zeros', utf16(LIST, false), 'utf-16be', LIST],
    ['is UTF-8 where it can be', utf8(LIST), 'utf-8', LIST],
    ['is Windows-1252 else', [0x43, 0x61, 0x66, 0xe9], 'windows-1252', 'Café'],
    ['begins with half a mark', [0xff, 0x41], 'windows-1252', 'ÿA'],
    ['begins with half of another', [0xfe, 0x41], 'windows-1252', 'þA'],
    ['has the second half of a mark', [0x41, 0xff], 'windows-1252', 'Aÿ'],
    ['has the second half of another', [0x41, 0xfe], 'windows-1252', 'Aþ'],
    ['begins with a part of the third', [0xef, 0xbb, 0x41], 'windows-1252', 'ï»A'],
    [
      'has line ends, tabs, form feeds and a few odd signs',
      [...utf8('A\r\nB\tC\f'), 1, 2, 3],
      'utf-8',
      'A\r\nB\tC\f\x01\x02\x03',
    ],
    [
      'has some zeros, and as many in either place',
      [0, 65, 66, 0, 67, 68, 69, 70, 71, 72, 73],
      'utf-8',
      '\0AB\0CDEFGHI',
    ],
  ])('%s', (_, bytes, encoding, text) => {
    expect(decodeText(Uint8Array.from(bytes))).toEqual({ ok: true, encoding, text });
  });

  it('that is empty or no text is refused in a sentence', () => {
    expect(decodeText(new Uint8Array())).toEqual({ ok: false, message: 'The file is empty.' });
    const no = { ok: false, message: expect.stringMatching(/^This isn't a text file.* CSV or as a web page/) };
    expect(decodeText(Uint8Array.from([...utf8(LIST), 1, 2, 3, 4]))).toEqual(no);
    // A few odd signs in a long text are no sign of that.
    const long = utf8('Lift stain, F9\n'.repeat(150));
    expect(decodeText(Uint8Array.from([...long, 1, 2, 3, 4]))).toMatchObject({ ok: true });
    expect(decodeText(Uint8Array.from([...long, 1, 2, 3, 4, 5, 6]))).toEqual(no);
  });
});
