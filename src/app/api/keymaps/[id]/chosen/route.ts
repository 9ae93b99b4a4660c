import { chosenBody, idOf } from '@/schemas/requests';
import { jsonBody, markOf, respond } from '@/server/respond';
import { saveChosen } from '@/server/useCases/finder';

/** Remembers which command was chosen for words typed into the finder. */
export function PATCH(request: Request, { params }: { params: Promise<{ id: string }> }): Promise<Response> {
  return respond(async () => {
    const edit = chosenBody(await jsonBody(request));
    return saveChosen(idOf((await params).id), edit, markOf(request));
  });
}
