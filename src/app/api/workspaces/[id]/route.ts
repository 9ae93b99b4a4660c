import { idOf } from '@/schemas/requests';
import { changeWorkspaceBody } from '@/schemas/workspaces';
import { jsonBody, respond } from '@/server/respond';
import { changeWorkspace } from '@/server/useCases/workspaces';

/** Renames a workspace, says whose it is, puts it away or back. */
export function PATCH(request: Request, { params }: { params: Promise<{ id: string }> }): Promise<Response> {
  return respond(async () => {
    const body = changeWorkspaceBody(await jsonBody(request));
    return changeWorkspace(idOf((await params).id), body);
  });
}
