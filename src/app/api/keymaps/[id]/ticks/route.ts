import { idOf, ticksBody } from '@/schemas/requests';
import { jsonBody, markOf, respond } from '@/server/respond';
import { saveTicks } from '@/server/useCases/changeList';

/** Remembers which steps of a change list are ticked off. */
export function PATCH(request: Request, { params }: { params: Promise<{ id: string }> }): Promise<Response> {
  return respond(async () => {
    const { from, ticks } = ticksBody(await jsonBody(request));
    return saveTicks(idOf((await params).id), from, ticks, markOf(request));
  });
}
