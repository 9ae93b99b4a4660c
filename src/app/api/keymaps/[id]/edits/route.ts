import { editBody, idOf } from '@/schemas/requests';
import { jsonBody, markOf, respond } from '@/server/respond';
import { editKeymap } from '@/server/useCases/editKeymap';

/** Puts a ticket on the tape. */
export function POST(request: Request, { params }: { params: Promise<{ id: string }> }): Promise<Response> {
  return respond(async () => {
    const body = editBody(await jsonBody(request));
    return editKeymap(idOf((await params).id), { ...markOf(request), revision: body.revision }, body.ticket);
  });
}
