import { changeBody, idOf } from '@/schemas/requests';
import { jsonBody, respond } from '@/server/respond';
import { changeKeymap } from '@/server/useCases/editKeymap';

/** Renames a keymap, says whose it is, puts it away or back. */
export function PATCH(request: Request, { params }: { params: Promise<{ id: string }> }): Promise<Response> {
  return respond(async () => changeKeymap(idOf((await params).id), changeBody(await jsonBody(request))));
}
