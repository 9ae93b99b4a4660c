import { idOf } from '@/schemas/requests';
import { keepSheetBody } from '@/schemas/sheets';
import { jsonBody, markOf, respond } from '@/server/respond';
import { keepSheet } from '@/server/useCases/sheets';

/** Keeps a sheet with a keymap under a name. */
export function POST(request: Request, { params }: { params: Promise<{ id: string }> }): Promise<Response> {
  return respond(async () => {
    const { name, spec } = keepSheetBody(await jsonBody(request));
    return keepSheet(idOf((await params).id), name, spec, markOf(request));
  });
}
