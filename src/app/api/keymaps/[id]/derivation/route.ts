import { derivationBody, idOf } from '@/schemas/requests';
import { jsonBody, markOf, respond } from '@/server/respond';
import { saveDerivation } from '@/server/useCases/match';

/** Remembers that a keymap was derived again. */
export function PATCH(request: Request, { params }: { params: Promise<{ id: string }> }): Promise<Response> {
  return respond(async () =>
    saveDerivation(idOf((await params).id), derivationBody(await jsonBody(request)), markOf(request)),
  );
}
