import { isPdf } from '../../core/reading/printed/printed';
import { printedText } from '../../core/reading/printed/printedText';
import { orSay } from './orSay';
import { MOST_BYTES } from './understand';

/** A file as it is read: of a printed one, its text. */
export type Unprinted = { readonly bytes: Uint8Array; readonly printed: boolean };

/**
 * A file's bytes, or those of the text that a PDF has on its pages.
 * @throws Problem where a PDF can't be opened, or holds no text.
 */
export async function unprinted(bytes: Uint8Array): Promise<Unprinted> {
  if (!isPdf(bytes) || bytes.length > MOST_BYTES) return { bytes, printed: false };
  // Loaded for those who bring one: it is as large as everything else in the thread.
  const { pdfPages } = await import('./pdfPages');
  const pages = await pdfPages(bytes);
  return { bytes: new TextEncoder().encode(orSay(() => printedText(pages))), printed: true };
}
