import { idOf } from '@/schemas/requests';
import { respond } from '@/server/respond';
import { loadRows } from '@/server/useCases/screens';

/** What a keymap holds as its draft stands, to compare another with. */
export function GET(_: Request, { params }: { params: Promise<{ id: string }> }): Promise<Response> {
  return respond(async () => loadRows(idOf((await params).id)));
}
