import { idOf, matchBody } from '@/schemas/requests';
import { jsonBody, markOf, respond } from '@/server/respond';
import { savePlan } from '@/server/useCases/match';

/** Stores what was settled of making a keymap feel like another. */
export function PATCH(request: Request, { params }: { params: Promise<{ id: string }> }): Promise<Response> {
  return respond(async () => {
    const { source, plan } = matchBody(await jsonBody(request));
    return savePlan(idOf((await params).id), source, plan, markOf(request));
  });
}
