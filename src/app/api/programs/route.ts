import { respond } from '@/server/respond';
import { uploadOf } from '@/server/upload';
import { bringInUpload, clashesIn } from '@/server/useCases/bringIn';

/** Brings a file in as a program on the Shelf, and says where its keys clash. */
export function POST(request: Request): Promise<Response> {
  return respond(async () => {
    const slug = await bringInUpload(await uploadOf(request));
    return { slug, clashes: await clashesIn(slug) };
  });
}
