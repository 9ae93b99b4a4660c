import writeExcel from 'write-excel-file/node';
import type { SheetContents } from '../../core/sheet/sheet';
import { ROW_HEADS, sheetRows } from '../../core/sheet/writeText';

const WIDTHS = [22, 34, 34, 40];

/** A sheet as a workbook (Office Open XML). Every cell is text, also where it starts like a formula. */
export async function writeWorkbook(contents: SheetContents): Promise<Buffer> {
  const head = ROW_HEADS.map((value) => ({ value, type: String, fontWeight: 'bold' as const }));
  const rows = sheetRows(contents).map((row) => row.map((value) => ({ value, type: String })));
  const file = writeExcel([head, ...rows], {
    sheet: 'Keys',
    columns: WIDTHS.map((width) => ({ width })),
    stickyRowsCount: 1,
  });
  return (await file.toBuffer()) as Buffer;
}
