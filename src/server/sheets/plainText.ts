import type { Face } from '../../core/sheet/measure';
import { FACE_FILES } from './fontFiles';
import { addContent, thousandths } from './pageContent';
import { plainFont } from './plainFont';

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
type Known = { readonly font: LibraryFont; readonly codes: Map<string, string> };

/** One text at its baseline; lengths in points from the top left corner. */
export type Placed = {
  readonly face: Face | 'fill';
  readonly size: number;
  readonly x: number;
  readonly y: number;
  readonly text: string;
  readonly gray: number;
};

/**
 * Draws texts of which the layout knows every place already: their glyphs by code, one after the other, as PDF has it (ISO
 * 32000, 9.4). The library's own way to draw text measures and breaks each again, which takes several times as long.
 */
export class TextPen {
  private readonly fonts = new Map<string, Known>();
  private face: Face | 'fill' | null = null;
  private size = 0;
  private gray = -1;
  private x = 0;
  private y = 0;
  constructor(private readonly document: PDFKit.PDFDocument) {}

  /** A font of the document; a face is registered when it is first asked for. */
  font(face: Face | 'fill'): LibraryFont {
    return this.known(face).font;
  }

  /**
   * Begins the text of a page.
   * @param unseen whether the texts are neither filled nor stroked, but there to be read.
   */
  begin(unseen = false): void {
    [this.face, this.size, this.gray, this.x, this.y] = [null, 0, -1, 0, 0];
    const { height } = this.page;
    addContent(this.document, `q .001 0 0 -.001 0 ${height} cm BT${unseen ? ' 3 Tr' : ''}`);
  }

  end(): void {
    addContent(this.document, 'ET Q');
  }

  /** Writes texts between begin and end. */
  write(texts: readonly Placed[]): void {
    const { page } = this;
    const height = thousandths(page.height);
    let out = '';
    for (const { face, size, x, y, text, gray } of texts) {
      const known = this.known(face);
      if (face !== this.face || size !== this.size) {
        page.fonts[known.font.id] ??= known.font.ref();
        out += `/${known.font.id} ${thousandths(size)} Tf `;
        this.face = face;
        this.size = size;
      }
      if (gray !== this.gray) {
        out += `${Math.round(gray * 1000) / 1000} g `;
        this.gray = gray;
      }
      const [toX, toY] = [thousandths(x), height - thousandths(y)];
      out += `${toX - this.x} ${toY - this.y} Td <${codeOf(known, text)}> Tj\n`;
      this.x = toX;
      this.y = toY;
    }
    if (out !== '') addContent(this.document, out);
  }

  private get page(): Inside['page'] {
    return (this.document as unknown as Inside).page;
  }

  private known(face: Face | 'fill'): Known {
    let one = this.fonts.get(face);
    if (!one) {
      this.document.registerFont(face, plainFont(FACE_FILES[face === 'fill' ? 'symbolsMore' : face]));
      one = { font: (this.document.font(face) as unknown as Inside)._font, codes: new Map() };
      this.fonts.set(face, one);
    }
    return one;
  }
}

/** The codes of a text's glyphs. The fonts replace no letters by others, so that each letter has its own anywhere. */
function codeOf({ font, codes }: Known, text: string): string {
  let code = '';
  for (const letter of text) {
    let one = codes.get(letter);
    if (one === undefined) {
      one = font.encode(letter)[0].join('');
      codes.set(letter, one);
    }
    code += one;
  }
  return code;
}
