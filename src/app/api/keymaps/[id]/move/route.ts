import { idOf } from '@/schemas/requests';
import { moveBody } from '@/schemas/successions';
import { jsonBody, markOf, respond } from '@/server/respond';
import { moveKeymap } from '@/server/useCases/newVersions';

/** Makes of a keymap one of the next version of its program. */
export function POST(request: Request, { params }: { params: Promise<{ id: string }> }): Promise<Response> {
  return respond(async () => moveKeymap(idOf((await params).id), moveBody(await jsonBody(request)), markOf(request)));
}
