import { remembering } from '../text/remembering';
import metrics from './metrics.json';

/** The shipped faces. The `Ext` ones carry further Latin letters, the `symbols` ones the Mac's key symbols and arrows. */
export const FACES = [
  'words',
  'wordsExt',
  'bold',
  'boldExt',
  'keys',
  'keysExt',
  'symbols',
  'symbolsMath',
  'symbolsMore',
] as const;
export type Face = (typeof FACES)[number];
/** The faces a caller asks for; the others stand in where a letter is missing. */
export type MainFace = 'words' | 'bold' | 'keys';

/** A piece of text in one face; `width` at 1 pt. */
export type Run = { readonly text: string; readonly face: Face; readonly width: number };

const SYMBOL_FACES: readonly Face[] = ['symbols', 'symbolsMath', 'symbolsMore'];
const FALLBACKS: Readonly<Record<MainFace, readonly Face[]>> = {
  words: ['words', 'wordsExt', ...SYMBOL_FACES],
  bold: ['bold', 'boldExt', ...SYMBOL_FACES],
  keys: ['keys', 'keysExt', ...SYMBOL_FACES],
};
/** Stands for a letter that none of our fonts has. */
export const MISSING = '□';

type Glyph = { readonly text: string; readonly face: Face; readonly width: number };
const glyphs: Record<MainFace, Map<string, Glyph>> = { words: new Map(), bold: new Map(), keys: new Map() };

function glyphOf(character: string, main: MainFace): Glyph {
  const known = glyphs[main].get(character);
  if (known) return known;
  const hex = (character.codePointAt(0) ?? 0).toString(16);
  const face = FALLBACKS[main].find((one) => hex in metrics[one]);
  const glyph: Glyph = face
    ? { text: character, face, width: ((metrics[face] as Readonly<Record<string, number>>)[hex] as number) / 10_000 }
    : character === MISSING
      ? { text: '?', face: main, width: 0.6 }
      : glyphOf(MISSING, main);
  glyphs[main].set(character, glyph);
  return glyph;
}

/** A text measured in a face is remembered: a sheet that is set again has mostly the same. */
function inEachFace<T>(measure: (text: string, main: MainFace) => T): (text: string, main: MainFace) => T {
  const each = (main: MainFace) => remembering((text) => measure(text, main), 40_000);
  const of = { words: each('words'), bold: each('bold'), keys: each('keys') };
  return (text, main) => of[main](text);
}

/** Whether every letter of a text is in our fonts. */
export const canSet = inEachFace((text, main): boolean =>
  [...text.normalize('NFC')].every((character) => glyphOf(character, main).text === character),
);

/** The text split where the face changes, each piece measured without kerning, as preview and PDF set it. */
export const runsOf = inEachFace((text, main): readonly Run[] => {
  const runs: { text: string; face: Face; width: number }[] = [];
  for (const character of text.normalize('NFC')) {
    const glyph = glyphOf(character, main);
    const last = runs.at(-1);
    if (last && last.face === glyph.face) {
      last.text += glyph.text;
      last.width += glyph.width;
    } else runs.push({ ...glyph });
  }
  return runs;
});

/** Width of a text at 1 pt. */
export const widthOf = inEachFace((text, main): number => {
  let width = 0;
  for (const character of text.normalize('NFC')) width += glyphOf(character, main).width;
  return width;
});
