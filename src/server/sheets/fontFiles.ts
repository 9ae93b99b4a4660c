import { join } from 'node:path';
import type { Face } from '../../core/sheet/measure';

const folder = join(process.cwd(), 'node_modules/@fontsource');
const next = (part: string) =>
  join(folder, `atkinson-hyperlegible-next/files/atkinson-hyperlegible-next-${part}-normal.woff`);
const mono = (part: string) =>
  join(folder, `atkinson-hyperlegible-mono/files/atkinson-hyperlegible-mono-${part}-normal.woff`);

/** The font file of each face, as shipped in the fontsource packages. */
export const FACE_FILES: Readonly<Record<Face, string>> = {
  words: next('latin-400'),
  wordsExt: next('latin-ext-400'),
  bold: next('latin-700'),
  boldExt: next('latin-ext-700'),
  keys: mono('latin-400'),
  keysExt: mono('latin-ext-400'),
  symbols: join(folder, 'noto-sans-symbols-2/files/noto-sans-symbols-2-symbols-400-normal.woff'),
  symbolsMath: join(folder, 'noto-sans-math/files/noto-sans-math-latin-400-normal.woff'),
  symbolsMore: join(folder, 'noto-sans-symbols/files/noto-sans-symbols-symbols-400-normal.woff'),
};
