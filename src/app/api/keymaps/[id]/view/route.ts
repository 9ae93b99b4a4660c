import { idOf } from '@/schemas/requests';
import { respond } from '@/server/respond';
import { loadKeymapViewById } from '@/server/useCases/screens';

/** The newest state of a keymap, for a window that has fallen behind. */
export function GET(_: Request, { params }: { params: Promise<{ id: string }> }): Promise<Response> {
  return respond(async () => loadKeymapViewById(idOf((await params).id)));
}
