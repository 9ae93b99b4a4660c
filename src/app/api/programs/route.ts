import { respond } from '@/server/respond';
import { uploadOf } from '@/server/upload';
import { bringInUpload } from '@/server/useCases/bringIn';

/** Brings a file in as a program on the Shelf. */
export function POST(request: Request): Promise<Response> {
  return respond(async () => ({ slug: await bringInUpload(await uploadOf(request)) }));
}
