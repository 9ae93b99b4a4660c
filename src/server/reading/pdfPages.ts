import { getDocument, type PDFDocumentProxy } from 'pdfjs-dist/legacy/build/pdf.mjs';
import * as pdfWorker from 'pdfjs-dist/legacy/build/pdf.worker.mjs';
import type { TextItem } from 'pdfjs-dist/types/src/display/api';
import type { PrintedItem, PrintedPage } from '../../core/reading/printed/printed';
import { Problem } from '../../schemas/problem';

/** Many times what the longest printed list takes. */
const [MOST_PAGES, MOST_ITEMS] = [300, 80_000];

// The package works in a thread of its own, or where it finds this: we are in one already.
(globalThis as { pdfjsWorker?: unknown }).pdfjsWorker = pdfWorker;

// Of a damaged file the package also drops promises that nobody hears, some after all is said.
let dropped: (why: unknown) => void = () => undefined;
process.on('unhandledRejection', (why) => dropped(why));

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
  const failed = new Promise<never>((_, reject) => {
    dropped = reject;
  });
  try {
    return await Promise.race([pagesOf(opening.promise), failed]);
  } catch (error) {
    if (error instanceof Problem) throw error;
    // It names what is wrong in some thirty ways, of which a person can do something about one.
    throw new Problem('unreadable', (error as Error).name === 'PasswordException' ? LOCKED : DAMAGED);
  } finally {
    await opening.destroy().catch(() => undefined);
  }
}

async function pagesOf(opened: Promise<PDFDocumentProxy>): Promise<readonly PrintedPage[]> {
  const document = await opened;
  if (document.numPages > MOST_PAGES) throw new Problem('too large', TOO_LONG);
  const pages: PrintedItem[][] = [];
  let left = MOST_ITEMS;
  for (let number = 1; number <= document.numPages; number++) {
    const page = await document.getPage(number);
    const { items } = await page.getTextContent();
    left -= items.length;
    if (left < 0) throw new Problem('too large', TOO_LONG);
    pages.push(items.flatMap((one) => ('str' in one ? placed(one, page.view[3] ?? 0) : [])));
    page.cleanup();
  }
  if (pages.every((page) => page.length === 0)) throw new Problem('unreadable', NO_TEXT);
  return pages;
}

/** A text with its place; none where it holds nothing, or stands beside a list: written upwards, at a slant. */
function placed({ str, transform, width, fontName }: TextItem, top: number): PrintedItem[] {
  const [a = 0, b = 0, , d = 0, x = 0, y = 0] = transform as number[];
  if (str.trim() === '' || Math.abs(b) > 0.1 * Math.abs(a)) return [];
  return [{ text: str, x, y: top - y, width, size: Math.abs(d), font: fontName }];
}

const LOCKED = 'This PDF is locked with a password. Save it without one, or copy the list out of it and paste that.';
const DAMAGED =
  'This looks like a PDF but is damaged. Open and save it again, or copy the list out of it and paste that.';
const NO_TEXT =
  'No text can be read on the pages of this PDF: it may hold pictures of it alone. Type or paste the list instead.';
const TOO_LONG =
  'This PDF holds far more text than any list of commands. Save only the pages with the list and try again.';
