import { idOf } from '@/schemas/requests';
import { saidBody } from '@/schemas/writeBack';
import { jsonBody, markOf, respond } from '@/server/respond';
import { saySpelling } from '@/server/useCases/writeBack';

/** Remembers what a person said of how a file writes keys. */
export function PATCH(request: Request, { params }: { params: Promise<{ id: string }> }): Promise<Response> {
  return respond(async () => saySpelling(idOf((await params).id), saidBody(await jsonBody(request)), markOf(request)));
}
