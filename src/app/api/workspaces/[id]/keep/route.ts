import { idOf } from '@/schemas/requests';
import { keepOverBody } from '@/schemas/workspaces';
import { jsonBody, markOf, respond } from '@/server/respond';
import { keepOver } from '@/server/useCases/workspaces';

/** Keeps parts of the room over a workspace. */
export function POST(request: Request, { params }: { params: Promise<{ id: string }> }): Promise<Response> {
  return respond(async () => {
    const body = keepOverBody(await jsonBody(request));
    return keepOver(idOf((await params).id), { ...markOf(request), ...body }, body.parts);
  });
}
