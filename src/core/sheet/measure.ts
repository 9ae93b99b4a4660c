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

/** Whether every letter of a text is in our fonts. */
export function canSet(text: string, main: MainFace): boolean {
  for (const character of text.normalize('NFC')) if (glyphOf(character, main).text !== character) return false;
  return true;
}

/** A text measured in a face is remembered: a sheet that is set again has mostly the same. */
type Measured<T> = Readonly<Record<MainFace, Map<string, T>>>;
const widths: Measured<number> = { words: new Map(), bold: new Map(), keys: new Map() };
const runs: Measured<readonly Run[]> = { words: new Map(), bold: new Map(), keys: new Map() };
const MOST_REMEMBERED = 40_000;

function remembered<T>(of: Measured<T>, text: string, main: MainFace, measure: () => T): T {
  const known = of[main].get(text);
  if (known !== undefined) return known;
  if (of[main].size > MOST_REMEMBERED) of[main].clear();
  const value = measure();
  of[main].set(text, value);
  return value;
}

/** The text split where the face changes, each piece measured without kerning, as preview and PDF set it. */
export function runsOf(text: string, main: MainFace): readonly Run[] {
  return remembered(runs, text, main, () => measureRuns(text, main));
}

function measureRuns(text: string, main: MainFace): Run[] {
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
}

/** Width of a text at 1 pt. */
export function widthOf(text: string, main: MainFace): number {
  return remembered(widths, text, main, () => {
    let width = 0;
    for (const character of text.normalize('NFC')) width += glyphOf(character, main).width;
    return width;
  });
}
