import { idOf } from '@/schemas/requests';
import { respond } from '@/server/respond';
import { commandList } from '@/server/useCases/packScreen';

type Given = { params: Promise<{ version: string; mark: string }> };

/** The commands of a version of a program. The address names what they are, so they stay what they are. */
export async function GET(request: Request, { params }: Given): Promise<Response> {
  let found: Awaited<ReturnType<typeof commandList>> | undefined;
  const response = await respond(async () => {
    const { version, mark } = await params;
    found = await commandList(idOf(version), mark);
  });
  if (!found) return response;
  const zips = /\bgzip\b/.test(request.headers.get('accept-encoding') ?? '');
  return new Response(zips ? new Uint8Array(await found.zipped()) : found.text, {
    headers: {
      'content-type': 'application/json',
      'cache-control': 'private, max-age=31536000, immutable',
      vary: 'accept-encoding',
      ...(zips ? { 'content-encoding': 'gzip' } : {}),
    },
  });
}
