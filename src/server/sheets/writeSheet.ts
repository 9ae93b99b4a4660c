import { readFileSync } from 'node:fs';
import type { Desktop } from '../../core/desktop/desktopKeys';
import type { KeyboardChoice } from '../../core/keyboard/keyboard';
import { whereOf } from '../../core/keyboard/where';
import { makeSheet } from '../../core/sheet/makeSheet';
import type { Face } from '../../core/sheet/measure';
import { type Others, requestOf, sheetDataOf } from '../../core/sheet/requestOf';
import type { SheetContents, SheetLayout } from '../../core/sheet/sheet';
import type { SheetSpec } from '../../core/sheet/sheetSpec';
import type { SheetsView } from '../../core/sheet/sheetsView';
import { writeFragment, writePage } from '../../core/sheet/writeHtml';
import { facesOf, writeSvg } from '../../core/sheet/writeSvg';
import { writeCsv, writeMarkdown } from '../../core/sheet/writeText';
import type { FileKind } from '../../schemas/sheets';
import { FACE_FILES } from './fontFiles';
import { writeSheetPdf } from './writeSheetPdf';
import { writeWorkbook } from './writeWorkbook';

/** A sheet that is wanted as a file: what it is made of, as plain data, so that it can cross into a thread. */
export type SheetWanted = {
  readonly given: SheetsView;
  readonly spec: SheetSpec;
  readonly others: Others;
  readonly keyboard: KeyboardChoice;
  readonly desktop: Desktop;
  readonly date: string;
  readonly as: FileKind;
};
export type SheetFile = { readonly name: string; readonly type: string; readonly bytes: Uint8Array<ArrayBuffer> };

/** A sheet as a file. */
export async function writeSheet({
  given,
  spec,
  others,
  keyboard,
  desktop,
  date,
  as,
}: SheetWanted): Promise<SheetFile> {
  const request = requestOf(sheetDataOf(given), spec, whereOf(keyboard, desktop), others);
  const { contents, layout } = makeSheet(request, date);
  return { name: contents.title, ...(await written(as, contents, layout)) };
}

async function written(
  as: FileKind,
  contents: SheetContents,
  layout: SheetLayout,
): Promise<Pick<SheetFile, 'type' | 'bytes'>> {
  const text = (type: string, value: string) => ({
    type: `${type}; charset=utf-8`,
    bytes: new Uint8Array(Buffer.from(value)),
  });
  switch (as) {
    case 'pdf':
      return {
        type: 'application/pdf',
        bytes: new Uint8Array(await writeSheetPdf(layout, contents.title, new Date())),
      };
    case 'svg':
      return text('image/svg+xml', writeSvg(layout, contents.title, fontsOf(layout)));
    case 'html':
      return text('text/html', writePage(contents));
    case 'fragment':
      return text('text/html', writeFragment(contents));
    case 'markdown':
      return text('text/markdown', writeMarkdown(contents));
    case 'csv':
      // The mark of UTF-8 at the beginning, so that a spreadsheet takes the Mac symbols for what they are.
      return text('text/csv', `\uFEFF${writeCsv(contents)}`);
    case 'xlsx':
      return {
        type: 'application/vnd.openxmlformats-officedocument.spreadsheetml.sheet',
        bytes: new Uint8Array(await writeWorkbook(contents)),
      };
  }
}

/** The fonts that a layout uses, as data. */
function fontsOf(layout: SheetLayout): ReadonlyMap<Face, string> {
  return new Map(
    [...facesOf(layout)].map((face) => {
      const file = readFileSync(FACE_FILES[face]);
      const kind = FACE_FILES[face].endsWith('woff2') ? 'woff2' : 'woff';
      return [face, `data:font/${kind};base64,${file.toString('base64')}`];
    }),
  );
}
