import { roomStepBody } from '@/schemas/workspaces';
import { jsonBody, markOf, respond } from '@/server/respond';
import { editRoom, loadRoom } from '@/server/useCases/workspaces';

type Given = { params: Promise<{ slug: string }> };

/** The room of a program as it stands, and its workspaces. */
export function GET(_: Request, { params }: Given): Promise<Response> {
  return respond(async () => loadRoom((await params).slug));
}

/** Changes some parts of the room, as one step. */
export function POST(request: Request, { params }: Given): Promise<Response> {
  return respond(async () => {
    const { title, parts, ...at } = roomStepBody(await jsonBody(request));
    return editRoom((await params).slug, { ...markOf(request), ...at }, title, parts);
  });
}
