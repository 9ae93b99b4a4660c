import writeExcel from 'write-excel-file/node';
import type { SheetContents } from '../../core/sheet/sheet';
import { rowHeads, sheetRows } from '../../core/sheet/writeText';

const WIDE = 34;

/** A sheet as a workbook (Office Open XML). Every cell is text, also where it starts like a formula. */
export async function writeWorkbook(contents: SheetContents): Promise<Buffer> {
  const head = rowHeads(contents).map((value) => ({ value, type: String, fontWeight: 'bold' as const }));
  const rows = sheetRows(contents).map((row) => row.map((value) => ({ value, type: String })));
  const file = writeExcel([head, ...rows], {
    sheet: 'Keys',
    columns: head.map(() => ({ width: WIDE })),
    stickyRowsCount: 1,
  });
  return (await file.toBuffer()) as Buffer;
}
