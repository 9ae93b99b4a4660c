import { respond } from '@/server/respond';
import { uploadOf } from '@/server/upload';
import { previewUpload } from '@/server/useCases/bringIn';

/** Says what a file holds; changes nothing. */
export function POST(request: Request): Promise<Response> {
  return respond(async () => previewUpload(await uploadOf(request)));
}
