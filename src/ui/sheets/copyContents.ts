import type { SheetContents } from '@/core/sheet/sheet';
import { writeFragment } from '@/core/sheet/writeHtml';
import { writeMarkdown } from '@/core/sheet/writeText';

/** Copies a sheet for pasting: as a fragment of a web page, and as Markdown where only plain text is taken. */
export function copyContents(contents: SheetContents): Promise<void> {
  const as = (type: string, text: string): Blob => new Blob([text], { type });
  const item = new ClipboardItem({
    'text/html': as('text/html', writeFragment(contents)),
    'text/plain': as('text/plain', writeMarkdown(contents)),
  });
  return navigator.clipboard.write([item]);
}
