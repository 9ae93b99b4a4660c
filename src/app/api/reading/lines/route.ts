import { respond } from '@/server/respond';
import { uploadOf } from '@/server/upload';
import { linesOfUpload } from '@/server/useCases/bringIn';

/** The lines of a file as a person sees them; changes nothing. */
export function POST(request: Request): Promise<Response> {
  return respond(async () => ({ lines: await linesOfUpload(await uploadOf(request)) }));
}
