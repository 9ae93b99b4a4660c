import { duplicateBody, idOf } from '@/schemas/requests';
import { jsonBody, respond } from '@/server/respond';
import { duplicateKeymap } from '@/server/useCases/editKeymap';

/** Makes a copy under another name. */
export function POST(request: Request, { params }: { params: Promise<{ id: string }> }): Promise<Response> {
  return respond(async () => {
    const body = duplicateBody(await jsonBody(request));
    return duplicateKeymap(idOf((await params).id), body.name, body.owner);
  });
}
