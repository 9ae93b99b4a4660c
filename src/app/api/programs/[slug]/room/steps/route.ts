import { roomTapeBody } from '@/schemas/workspaces';
import { jsonBody, markOf, respond } from '@/server/respond';
import { moveInSteps } from '@/server/useCases/workspaces';

/** Goes back or forth among the steps of a room. */
export function POST(request: Request, { params }: { params: Promise<{ slug: string }> }): Promise<Response> {
  return respond(async () => {
    const { cursor, ...at } = roomTapeBody(await jsonBody(request));
    return moveInSteps((await params).slug, { ...markOf(request), ...at }, cursor);
  });
}
