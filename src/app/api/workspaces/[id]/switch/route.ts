import { idOf } from '@/schemas/requests';
import { roomBody } from '@/schemas/workspaces';
import { jsonBody, markOf, respond } from '@/server/respond';
import { switchTo } from '@/server/useCases/workspaces';

/** Switches the room to a workspace. */
export function POST(request: Request, { params }: { params: Promise<{ id: string }> }): Promise<Response> {
  return respond(async () => {
    const body = roomBody(await jsonBody(request));
    return switchTo(idOf((await params).id), { ...markOf(request), ...body });
  });
}
