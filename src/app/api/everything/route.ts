import { respond } from '@/server/respond';
import { everythingAsFile } from '@/server/useCases/everything';

/** Everything that is stored, as one file that `npm run restore` puts back. */
export async function GET(): Promise<Response> {
  let bytes: Uint8Array<ArrayBuffer> | undefined;
  const response = await respond(async () => {
    bytes = await everythingAsFile();
  });
  if (!bytes) return response;
  const name = `Gray Pin ${new Date().toISOString().slice(0, 10)}.sqlite`;
  return new Response(bytes, {
    headers: {
      'content-type': 'application/vnd.sqlite3',
      'content-disposition': `attachment; filename*=UTF-8''${encodeURIComponent(name)}`,
    },
  });
}
