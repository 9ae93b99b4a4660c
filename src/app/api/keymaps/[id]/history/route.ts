import { idOf } from '@/schemas/requests';
import { respond } from '@/server/respond';
import { loadHistory } from '@/server/useCases/screens';

/** The kept versions of a keymap. */
export function GET(_: Request, { params }: { params: Promise<{ id: string }> }): Promise<Response> {
  return respond(async () => loadHistory(idOf((await params).id)));
}
