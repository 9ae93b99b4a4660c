import { idOf, tapeBody } from '@/schemas/requests';
import { jsonBody, markOf, respond } from '@/server/respond';
import { moveOnTape } from '@/server/useCases/editKeymap';
import { loadWholeTape } from '@/server/useCases/screens';

/** The whole tape of a keymap, for whoever wants more of it than the newest tickets. */
export function GET(_: Request, { params }: { params: Promise<{ id: string }> }): Promise<Response> {
  return respond(async () => loadWholeTape(idOf((await params).id)));
}

/** Goes to another place on the tape: undo and redo. */
export function POST(request: Request, { params }: { params: Promise<{ id: string }> }): Promise<Response> {
  return respond(async () => {
    const body = tapeBody(await jsonBody(request));
    return moveOnTape(idOf((await params).id), { ...markOf(request), revision: body.revision }, body.cursor);
  });
}
