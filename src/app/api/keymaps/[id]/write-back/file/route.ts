import { idOf } from '@/schemas/requests';
import { writeBackQuery } from '@/schemas/writeBack';
import { respondWithFile } from '@/server/respond';
import { askerOf } from '@/server/upload';
import { writtenFile } from '@/server/useCases/writeBack';

/** A file with a keymap written into it, to carry away. */
export function GET(request: Request, { params }: { params: Promise<{ id: string }> }): Promise<Response> {
  return respondWithFile(async () => {
    const { file } = writeBackQuery(new URL(request.url).searchParams);
    return writtenFile(idOf((await params).id), file, askerOf(request));
  });
}
