import { respond } from '@/server/respond';
import { uploadOf } from '@/server/upload';
import { addFile } from '@/server/useCases/writeBack';

/** Keeps a file of a program, such as a newer copy of the one it came from. */
export function POST(request: Request, { params }: { params: Promise<{ slug: string }> }): Promise<Response> {
  return respond(async () => addFile((await params).slug, await uploadOf(request)));
}
