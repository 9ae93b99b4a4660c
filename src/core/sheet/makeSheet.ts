import { layOutReference } from './layOutReference';
import { layOutSheet } from './layOutSheet';
import type { SheetContents, SheetLayout } from './sheet';
import { type SheetRequest, sheetContents } from './sheetContents';

/** A sheet as it was chosen: what it says, and how that is set on paper. */
export function makeSheet(request: SheetRequest, date: string): { contents: SheetContents; layout: SheetLayout } {
  const contents = sheetContents(request);
  const layout =
    request.spec.form === 'reference'
      ? layOutReference(request, request.spec, date)
      : layOutSheet(contents, request.spec, date);
  return { contents, layout };
}
