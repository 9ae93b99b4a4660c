import { execFileSync } from 'node:child_process';

/** A word of a page with its place, in points from the top left corner. */
type Word = {
  readonly left: number;
  readonly top: number;
  readonly right: number;
  readonly bottom: number;
  text: string;
};

export type PdfPage = { readonly wide: number; readonly high: number; readonly words: readonly Word[] };

/** The size of each page of a PDF and the words on it, by software that isn't ours (poppler-utils). */
export function pdfPages(pdf: Buffer): readonly PdfPage[] {
  return execFileSync('pdftotext', ['-bbox', '-', '-'], { input: pdf, encoding: 'utf8' })
    .split('<page ')
    .slice(1)
    .map((text) => {
      const [, wide, high] = /width="([\d.]+)" height="([\d.]+)"/.exec(text) ?? [];
      const words = [...text.matchAll(/xMin="([-\d.]+)" yMin="([-\d.]+)" xMax="([-\d.]+)" yMax="([-\d.]+)">([^<]*)</g)]
        .map(([, left, top, right, bottom, word]): Word => {
          // A word's box reaches above and below its letters by the line's leading.
          const leading = 0.3 * (Number(bottom) - Number(top));
          return {
            left: Number(left),
            top: Number(top) + leading,
            right: Number(right),
            bottom: Number(bottom) - leading,
            text: (word ?? '').replace(/\u200B/g, ''),
          };
        })
        .filter((one) => one.text.trim() !== '');
      return { wide: Number(wide), high: Number(high), words };
    });
}

/** What lies outside its page or over another word. */
export function misplaced({ wide, high, words }: PdfPage): string[] {
  const outside = words.filter((one) => one.left < 0 || one.top < 0 || one.right > wide + 0.5 || one.bottom > high);
  const sorted = [...words].sort((a, b) => a.top - b.top);
  const over = sorted.flatMap((a, i) => {
    const found: Word[] = [];
    for (const b of sorted.slice(i + 1)) {
      if (b.top >= a.bottom) break;
      if (a.left < b.right - 0.5 && b.left < a.right - 0.5) found.push(b);
    }
    return found.map((b) => `${a.text} over ${b.text}`);
  });
  return [...outside.map((one) => `${one.text} outside`), ...over];
}
