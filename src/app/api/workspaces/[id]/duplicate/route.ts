import { duplicateBody, idOf } from '@/schemas/requests';
import { jsonBody, respond } from '@/server/respond';
import { duplicateWorkspace } from '@/server/useCases/workspaces';

/** A copy of a workspace under a name of its own. */
export function POST(request: Request, { params }: { params: Promise<{ id: string }> }): Promise<Response> {
  return respond(async () => {
    const { name, owner } = duplicateBody(await jsonBody(request));
    const { id, slug } = await duplicateWorkspace(idOf((await params).id), name, owner);
    return { id, slug };
  });
}
