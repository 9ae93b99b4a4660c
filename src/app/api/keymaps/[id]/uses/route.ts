import { idOf, usesBody } from '@/schemas/requests';
import { jsonBody, markOf, respond } from '@/server/respond';
import { saveUses } from '@/server/useCases/advice';

/** Stores how often a day commands are used. */
export function PATCH(request: Request, { params }: { params: Promise<{ id: string }> }): Promise<Response> {
  return respond(async () => {
    const { uses, all } = usesBody(await jsonBody(request));
    return saveUses(idOf((await params).id), uses, all, markOf(request));
  });
}
