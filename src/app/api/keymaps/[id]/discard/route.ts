import { idOf, revisionBody } from '@/schemas/requests';
import { jsonBody, markOf, respond } from '@/server/respond';
import { discardDraft } from '@/server/useCases/editKeymap';

/** Goes back to what was last kept. */
export function POST(request: Request, { params }: { params: Promise<{ id: string }> }): Promise<Response> {
  return respond(async () => {
    const body = revisionBody(await jsonBody(request));
    return discardDraft(idOf((await params).id), { ...markOf(request), revision: body.revision });
  });
}
