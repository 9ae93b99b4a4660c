import { keepWorkspaceBody } from '@/schemas/workspaces';
import { jsonBody, markOf, respond } from '@/server/respond';
import { keepWorkspace } from '@/server/useCases/workspaces';

/** Keeps parts of the room as a new workspace. */
export function POST(request: Request, { params }: { params: Promise<{ slug: string }> }): Promise<Response> {
  return respond(async () => {
    const { name, owner, parts, ...at } = keepWorkspaceBody(await jsonBody(request));
    return keepWorkspace((await params).slug, { ...markOf(request), ...at }, { name, owner, parts });
  });
}
