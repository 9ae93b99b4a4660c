import { getDocument } from 'pdfjs-dist/legacy/build/pdf.mjs';
import * as pdfWorker from 'pdfjs-dist/legacy/build/pdf.worker.mjs';
import type { PrintedItem, PrintedPage } from '../../core/reading/printed/printed';
import { Problem } from '../../schemas/problem';

/** Many times what the longest printed list takes. */
const [MOST_PAGES, MOST_ITEMS] = [300, 200_000];

// The package works in a thread of its own, or where it finds this: we are in one already.
(globalThis as { pdfjsWorker?: unknown }).pdfjsWorker = pdfWorker;

/**
 * Reads the texts of a PDF with where they stand; nothing in it is run, drawn or fetched.
 * @throws Problem where it can't be opened, holds no text, or holds more than any list.
 */
export async function pdfPages(bytes: Uint8Array): Promise<readonly PrintedPage[]> {
  const opening = getDocument({
    // It keeps what it is given.
    data: bytes.slice(),
    isEvalSupported: false,
    disableFontFace: true,
    useSystemFonts: false,
    enableXfa: false,
    maxImageSize: 1,
    verbosity: 0,
  });
  try {
    const document = await opening.promise.catch((error: Error) => {
      throw new Problem('unreadable', error.name === 'PasswordException' ? LOCKED : DAMAGED);
    });
    if (document.numPages > MOST_PAGES) throw new Problem('too large', TOO_LONG);
    const pages: PrintedItem[][] = [];
    let left = MOST_ITEMS;
    for (let number = 1; number <= document.numPages; number++) {
      const page = await document.getPage(number);
      const [, bottom = 0, , top = 0] = page.view;
      const { items } = await page.getTextContent();
      left -= items.length;
      if (left < 0) throw new Problem('too large', TOO_LONG);
      pages.push(
        items.flatMap((one): PrintedItem[] => {
          if (!('str' in one) || one.str.trim() === '') return [];
          const [a = 0, b = 0, , d = 0, x = 0, y = 0] = one.transform as number[];
          // What is written upwards or at a slant stands beside a list, never in it.
          if (Math.abs(b) > 0.1 * Math.abs(a)) return [];
          const size = Math.abs(d);
          return [{ text: one.str, x, y: top - bottom - (y - bottom), width: one.width, size, font: one.fontName }];
        }),
      );
      page.cleanup();
    }
    if (pages.every((page) => page.length === 0)) throw new Problem('unreadable', NO_TEXT);
    return pages;
  } finally {
    await opening.destroy();
  }
}

const LOCKED = 'This PDF is locked with a password. Save it without one, or copy the list out of it and paste that.';
const DAMAGED =
  'This looks like a PDF but is damaged. Open and save it again, or copy the list out of it and paste that.';
const NO_TEXT =
  'This PDF holds pictures of its text alone, so nothing in it can be read. Type or paste the list instead.';
const TOO_LONG =
  'This PDF holds far more text than any list of commands. Save only the pages with the list and try again.';
