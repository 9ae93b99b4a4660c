import type { Face } from '../../core/sheet/measure';

/** What of the PDF library's fonts is used here; it has no types for it. */
type LibraryFont = {
  readonly id: string;
  readonly unicode: number[][];
  readonly encode: (
    text: string,
  ) => readonly [codes: readonly string[], positions: readonly { advanceWidth: number }[]];
  readonly ref: () => object;
};
type Inside = {
  readonly _font: LibraryFont;
  readonly page: { readonly height: number; readonly fonts: Record<string, object> };
};

/** One text at its baseline; lengths in points from the top left corner. */
export type Placed = {
  readonly face: Face | 'fill';
  readonly size: number;
  readonly x: number;
  readonly y: number;
  readonly text: string;
  readonly gray: number;
};

const n = (value: number): string => String(Math.round(value * 1000) / 1000);

/**
 * Draws texts of which the layout knows every place already: their glyphs by code, one after the other, as PDF has it (ISO
 * 32000, 9.4). The library's own way to draw text measures and breaks each again, which takes several times as long.
 */
export class TextPen {
  private readonly fonts = new Map<string, { readonly font: LibraryFont; readonly codes: Map<string, string> }>();
  constructor(private readonly document: PDFKit.PDFDocument) {}

  /** A font of the document, by the name it was registered under. */
  font(face: Face | 'fill'): LibraryFont {
    return this.known(face).font;
  }

  /** @param unseen whether the texts are neither filled nor stroked, but there to be read. */
  draw(texts: readonly Placed[], unseen = false): void {
    if (texts.length === 0) return;
    const { document } = this;
    const { page } = document as unknown as Inside;
    const out = ['q', `1 0 0 -1 0 ${n(page.height)} cm`, 'BT'];
    if (unseen) out.push('3 Tr');
    let [set, gray] = ['', -1];
    for (const { face, size, x, y, text, gray: shade } of texts) {
      const { font, codes } = this.known(face);
      page.fonts[font.id] ??= font.ref();
      const wanted = `/${font.id} ${n(size)} Tf`;
      if (wanted !== set) out.push(wanted);
      if (shade !== gray) out.push(`${n(shade)} g`);
      [set, gray] = [wanted, shade];
      let code = codes.get(text);
      if (code === undefined) {
        code = font.encode(text)[0].join('');
        codes.set(text, code);
      }
      out.push(`1 0 0 1 ${n(x)} ${n(page.height - y)} Tm`, `<${code}> Tj`);
    }
    out.push('ET', 'Q');
    document.addContent(out.join('\n'));
  }

  private known(face: Face | 'fill'): { readonly font: LibraryFont; readonly codes: Map<string, string> } {
    let one = this.fonts.get(face);
    if (!one) {
      one = { font: (this.document.font(face) as unknown as Inside)._font, codes: new Map() };
      this.fonts.set(face, one);
    }
    return one;
  }
}
