import { idOf } from '@/schemas/requests';
import { respond } from '@/server/respond';
import { commandList } from '@/server/useCases/packScreen';

type Given = { params: Promise<{ version: string; mark: string }> };

/** The commands of a version of a program. The address names what they are, so they stay what they are. */
export async function GET(_: Request, { params }: Given): Promise<Response> {
  let found: string | undefined;
  const response = await respond(async () => {
    const { version, mark } = await params;
    found = await commandList(idOf(version), mark);
  });
  if (found === undefined) return response;
  return new Response(found, {
    headers: { 'content-type': 'application/json', 'cache-control': 'private, max-age=31536000, immutable' },
  });
}
