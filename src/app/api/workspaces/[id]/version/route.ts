import { idOf } from '@/schemas/requests';
import { versionBody } from '@/schemas/workspaces';
import { jsonBody, respond } from '@/server/respond';
import { backToVersion } from '@/server/useCases/workspaces';

/** Makes an older version the newest again. */
export function POST(request: Request, { params }: { params: Promise<{ id: string }> }): Promise<Response> {
  return respond(async () => {
    const body = versionBody(await jsonBody(request));
    return backToVersion(idOf((await params).id), body.number);
  });
}
