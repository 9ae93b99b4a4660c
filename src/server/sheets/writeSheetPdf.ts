import PDFDocument from 'pdfkit';
import type { Block, Item, SheetLayout } from '../../core/sheet/sheet';
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
  const pen = new TextPen(document);
  const shapes = new ShapePen(document);
  const fill = unseenFill(pen);
  const root = document.struct('Document');
  document.addStructure(root);
  for (const page of layout.pages) {
    document.addPage({ size: [layout.width, layout.height], margin: 0 });
    // Rules and key caps are decoration; the words carry the meaning.
    document.markContent('Artifact', { type: 'Layout' });
    shapes.draw(page.blocks);
    pen.begin(true);
    for (const block of page.blocks) pen.write(tieColumn(block, layout.size, fill));
    pen.end();
    document.endMarkedContent();
    pen.begin();
    for (const block of page.blocks) {
      const placed = placedTexts(block.items);
      if (placed.length > 0) root.add(document.struct(TAGS[block.role], {}, [() => pen.write(placed)]));
    }
    pen.end();
  }
  root.end();
  document.end();
  return finished;
}

type TextItem = Extract<Item, { kind: 'text' }>;

/** The texts of a block, in reading order. Pieces that stand apart are apart when the text is copied, too. */
function placedTexts(items: readonly Item[]): Placed[] {
  const placed: Placed[] = [];
  let last: TextItem | null = null;
  const place = (item: TextItem, next: TextItem | null): void => {
    const apart = next !== null && (next.y !== item.y || next.x - (item.x + item.width) > item.size * 0.1);
    const { face, size, x, y } = item;
    placed.push({
      face,
      size,
      x,
      y,
      text: apart ? `${item.text} ` : item.text,
      gray: item.soft ? SOFT_GRAY : INK_GRAY,
    });
  };
  for (const item of items) {
    if (item.kind !== 'text') continue;
    if (last) place(last, item);
    last = item;
  }
  if (last) place(last, null);
  return placed;
}
