import { idOf, listQuery } from '@/schemas/requests';
import { respond } from '@/server/respond';
import { commandList } from '@/server/useCases/packScreen';

/** The commands of a version of a program. The address says what they are, so they stay what they are. */
export async function GET(request: Request, { params }: { params: Promise<{ id: string }> }): Promise<Response> {
  let found: string | undefined;
  const response = await respond(async () => {
    const { mark } = listQuery(Object.fromEntries(new URL(request.url).searchParams));
    found = await commandList(idOf((await params).id), mark);
  });
  if (found === undefined) return response;
  return new Response(found, {
    headers: { 'content-type': 'application/json', 'cache-control': 'private, max-age=31536000, immutable' },
  });
}
