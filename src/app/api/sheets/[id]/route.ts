import { idOf } from '@/schemas/requests';
import { changeSheetBody } from '@/schemas/sheets';
import { jsonBody, markOf, respond } from '@/server/respond';
import { changeSheet } from '@/server/useCases/sheets';

/** Renames a sheet, changes its choices, puts it away or back. */
export function PATCH(request: Request, { params }: { params: Promise<{ id: string }> }): Promise<Response> {
  return respond(async () =>
    changeSheet(idOf((await params).id), changeSheetBody(await jsonBody(request)), markOf(request)),
  );
}
