import { idOf, keepAsNewBody } from '@/schemas/requests';
import { jsonBody, markOf, respond } from '@/server/respond';
import { keepAsNew } from '@/server/useCases/editKeymap';

/** Keeps the draft as a keymap of its own. */
export function POST(request: Request, { params }: { params: Promise<{ id: string }> }): Promise<Response> {
  return respond(async () => {
    const body = keepAsNewBody(await jsonBody(request));
    return keepAsNew(idOf((await params).id), { ...markOf(request), revision: body.revision }, body.name, body.owner);
  });
}
