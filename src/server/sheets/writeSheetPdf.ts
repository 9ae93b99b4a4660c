import PDFDocument from 'pdfkit';
import { FACES } from '../../core/sheet/measure';
import type { Block, Item, SheetLayout } from '../../core/sheet/sheet';
import { FACE_FILES } from './fontFiles';
import { plainFont } from './plainFont';
import { type Placed, TextPen } from './plainText';
import { ShapePen } from './shapePen';
import { tieColumn, unseenFill } from './unseenFill';

const INK_GRAY = 0x16 / 255;
const SOFT_GRAY = 0x55 / 255;

/** How a block is tagged, so that assistive software and text copies get it in reading order. */
const TAGS: Readonly<Record<Block['role'], string>> = {
  title: 'H1',
  note: 'P',
  heading: 'H2',
  line: 'P',
  footer: 'P',
  cut: 'P',
};

/**
 * Writes a layout as a PDF: the shipped fonts embedded, tagged in reading order, every piece where the layout says.
 * @param created the date that stands in the file.
 */
export function writeSheetPdf(layout: SheetLayout, title: string, created: Date): Promise<Buffer> {
  const document = new PDFDocument({
    autoFirstPage: false,
    pdfVersion: '1.7',
    tagged: true,
    displayTitle: true,
    lang: 'en-US',
    info: { Title: title, Creator: 'Gray Pin', CreationDate: created },
  });
  const chunks: Buffer[] = [];
  const finished = new Promise<Buffer>((resolve, reject) => {
    document.on('data', (chunk: Buffer) => chunks.push(chunk));
    document.on('end', () => resolve(Buffer.concat(chunks)));
    document.on('error', reject);
  });
  const used = new Set(
    layout.pages.flatMap((page) =>
      page.blocks.flatMap((block) => block.items.map((item) => (item.kind === 'text' ? item.face : null))),
    ),
  );
  for (const face of FACES) if (used.has(face)) document.registerFont(face, plainFont(FACE_FILES[face]));
  const pen = new TextPen(document);
  const shapes = new ShapePen(document);
  const fill = unseenFill(document, pen);
  const root = document.struct('Document');
  document.addStructure(root);
  for (const page of layout.pages) {
    document.addPage({ size: [layout.width, layout.height], margin: 0 });
    // Rules and key caps are decoration; the words carry the meaning.
    document.markContent('Artifact', { type: 'Layout' });
    shapes.draw(page.blocks.flatMap((block) => block.items));
    pen.draw(
      page.blocks.flatMap((block) => tieColumn(block, layout.size, fill)),
      true,
    );
    document.endMarkedContent();
    for (const block of page.blocks) {
      const text = block.items.filter((item) => item.kind === 'text');
      if (text.length === 0) continue;
      const placed = text.map((item, i): Placed => {
        const words = spaceAfter(item, text[i + 1]) ? `${item.text} ` : item.text;
        return { ...item, text: words, gray: item.soft ? SOFT_GRAY : INK_GRAY };
      });
      root.add(document.struct(TAGS[block.role], {}, [() => pen.draw(placed)]));
    }
  }
  root.end();
  document.end();
  return finished;
}

type TextItem = Extract<Item, { kind: 'text' }>;

/** Pieces that stand apart are apart when the text is copied, too. */
function spaceAfter(item: TextItem, next: TextItem | undefined): boolean {
  return next !== undefined && (next.y !== item.y || next.x - (item.x + item.width) > item.size * 0.1);
}
