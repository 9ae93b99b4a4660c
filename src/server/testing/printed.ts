import PDFDocument from 'pdfkit';

/** A PDF of one page. */
export const printed = (
  draw: (page: PDFKit.PDFDocument) => void,
  options: PDFKit.PDFDocumentOptions = {},
): Promise<Uint8Array<ArrayBuffer>> =>
  new Promise((done) => {
    const document = new PDFDocument(options);
    const parts: Buffer[] = [];
    document.on('data', (part: Buffer) => parts.push(part));
    document.on('end', () => done(new Uint8Array(Buffer.concat(parts))));
    draw(document);
    document.end();
  });
export const PRINTED_LINES = ['Lift stain', 'Close tear', 'Fold lines', 'Crop'];
/** A list of commands with their keys, Ctrl+F2 and so on. */
export const printedList = (page: PDFKit.PDFDocument): void =>
  PRINTED_LINES.forEach((name, i) => void page.text(name, 60, 80 + 20 * i).text(`Ctrl+F${i + 2}`, 300, 80 + 20 * i));
