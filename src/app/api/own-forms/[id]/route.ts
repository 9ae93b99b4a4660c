import { changeFormBody } from '@/schemas/ownForms';
import { idOf } from '@/schemas/requests';
import { jsonBody, markOf, respond } from '@/server/respond';
import { changeForm } from '@/server/useCases/ownForms';

/** Changes a form of one's own, puts it away or back. */
export function PATCH(request: Request, { params }: { params: Promise<{ id: string }> }): Promise<Response> {
  return respond(async () =>
    changeForm(idOf((await params).id), changeFormBody(await jsonBody(request)), markOf(request)),
  );
}
