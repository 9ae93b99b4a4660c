import { idOf, revisionBody } from '@/schemas/requests';
import { jsonBody, markOf, respond } from '@/server/respond';
import { keepKeymap } from '@/server/useCases/editKeymap';

/** Keeps the draft. */
export function POST(request: Request, { params }: { params: Promise<{ id: string }> }): Promise<Response> {
  return respond(async () => {
    const body = revisionBody(await jsonBody(request));
    return keepKeymap(idOf((await params).id), { ...markOf(request), revision: body.revision });
  });
}
