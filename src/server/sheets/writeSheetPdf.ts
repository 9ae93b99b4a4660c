import PDFDocument from 'pdfkit';
import { FACES, type Face } from '../../core/sheet/measure';
import type { Block, Item, SheetLayout } from '../../core/sheet/sheet';
import { INK_COLORS } from '../../core/workspace/appearance';
import { INK_SHAPES } from '../../core/workspace/dressing';
import { FACE_FILES } from './fontFiles';
import { plainFont } from './plainFont';
import { tieColumn, unseenFill } from './unseenFill';

const INK = '#161616';
const SOFT = '#555555';
const RULE = '#c4c4c4';

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
  const fill = unseenFill(document);
  const root = document.struct('Document');
  document.addStructure(root);
  for (const page of layout.pages) {
    document.addPage({ size: [layout.width, layout.height], margin: 0 });
    for (const block of page.blocks) {
      const text = block.items.filter((item) => item.kind === 'text');
      const shapes = block.items.filter((item) => item.kind !== 'text');
      // Rules and key caps are decoration; the words carry the meaning.
      document.markContent('Artifact', { type: 'Layout' });
      for (const item of shapes) draw(document, item);
      tieColumn(block, layout.size, fill);
      document.endMarkedContent();
      if (text.length === 0) continue;
      root.add(
        document.struct(TAGS[block.role], {}, [
          () => {
            text.forEach((item, i) => {
              const next = text[i + 1];
              draw(document, item, spaceAfter(item, next));
            });
          },
        ]),
      );
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

function draw(document: PDFKit.PDFDocument, item: Item, spaced = false): void {
  switch (item.kind) {
    case 'text':
      document
        .font(item.face satisfies Face, item.size)
        .fillColor(item.soft ? SOFT : INK)
        // `baseline` puts y where the layout means it.
        .text(spaced ? `${item.text} ` : item.text, item.x, item.y, {
          lineBreak: false,
          baseline: 'alphabetic',
        } as unknown as PDFKit.Mixins.TextOptions);
      return;
    case 'rule':
      document
        .moveTo(item.x, item.y)
        .lineTo(item.x + item.width, item.y)
        .lineWidth(item.weight)
        .strokeColor(item.soft ? RULE : INK)
        .stroke();
      return;
    case 'stroke':
      if (item.dashed) document.dash(3, { space: 3 });
      document.moveTo(item.x, item.y).lineTo(item.toX, item.toY).lineWidth(0.5).strokeColor('#777777').stroke();
      if (item.dashed) document.undash();
      return;
    case 'cap':
      document.roundedRect(item.x, item.y, item.width, item.height, 2).lineWidth(0.6).strokeColor('#777777').stroke();
      return;
    case 'mark':
      document
        .save()
        .translate(item.x, item.y)
        .scale(item.side / 12)
        .path(INK_SHAPES[item.ink])
        .fillColor(INK_COLORS[item.ink])
        .fill('even-odd')
        .restore();
      return;
    case 'dot':
      document.circle(item.x, item.y, item.radius).fillColor(INK).fill();
  }
}
