import { jsonBody, respond } from '@/server/respond';
import { importBody } from '@/server/schemas/workspaces';
import { importWorkspaces } from '@/server/useCases/workspaceFiles';

/** Brings workspaces in from a file of ours. */
export function POST(request: Request, { params }: { params: Promise<{ slug: string }> }): Promise<Response> {
  return respond(async () => importWorkspaces((await params).slug, importBody(await jsonBody(request)).text));
}
