import { idOf } from '@/schemas/requests';
import { writeBackQuery } from '@/schemas/writeBack';
import { respond } from '@/server/respond';
import { askerOf } from '@/server/upload';
import { writeBackInto } from '@/server/useCases/writeBack';

/** Says what becomes of a file once a keymap is written into it; changes nothing. */
export function GET(request: Request, { params }: { params: Promise<{ id: string }> }): Promise<Response> {
  return respond(async () => {
    const { file } = writeBackQuery(new URL(request.url).searchParams);
    return writeBackInto(idOf((await params).id), file, askerOf(request));
  });
}
