/**
 * Lengths on a page are whole parts of a point, which take a fraction of the time that broken numbers take to be written.
 * Programs that read a page tell its lines from its columns by its lengths, so that texts are placed by finer parts.
 */
export const thousandths = (length: number): number => Math.round(length * 1000);
export const hundredths = (length: number): number => Math.round(length * 100);

/** What of the PDF library's pages is used here; it has no types for it. */
type Inside = { readonly page: { readonly write: (chunk: Uint8Array) => void } };

/** Adds operators to the page that is drawn, all at once: the library takes a text sign by sign. */
export function addContent(document: PDFKit.PDFDocument, operators: string): void {
  (document as unknown as Inside).page.write(Buffer.from(`${operators}\n`, 'latin1'));
}
