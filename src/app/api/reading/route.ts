import { respondInParts } from '@/server/respond';
import { uploadOf } from '@/server/upload';
import { previewUpload } from '@/server/useCases/bringIn';

/** Says what a file holds, then the rows of its list page by page; changes nothing. */
export function POST(request: Request): Promise<Response> {
  return respondInParts(async () => {
    const { preview, pages } = await previewUpload(await uploadOf(request));
    return [JSON.stringify(preview), ...pages];
  });
}
