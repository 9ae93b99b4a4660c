import { idOf } from '@/schemas/requests';
import { answersBody } from '@/schemas/successions';
import { jsonBody, markOf, respond } from '@/server/respond';
import { saveAnswers } from '@/server/useCases/newVersions';

/** Remembers what is chosen where a keymap and the next version meet. */
export function PATCH(request: Request, { params }: { params: Promise<{ id: string }> }): Promise<Response> {
  return respond(async () => {
    const { to, answers } = answersBody(await jsonBody(request));
    return saveAnswers(idOf((await params).id), to, answers, markOf(request));
  });
}
