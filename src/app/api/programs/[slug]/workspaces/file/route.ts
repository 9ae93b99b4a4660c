import { importBody } from '@/schemas/workspaces';
import { jsonBody, respond } from '@/server/respond';
import { askerOf } from '@/server/upload';
import { importWorkspaces } from '@/server/useCases/workspaceFiles';

/** Brings workspaces in from a file of ours. */
export function POST(request: Request, { params }: { params: Promise<{ slug: string }> }): Promise<Response> {
  return respond(async () => {
    const { text } = importBody(await jsonBody(request));
    return importWorkspaces((await params).slug, text, askerOf(request));
  });
}
