import { respond } from '@/server/respond';
import { sheetFile } from '@/server/useCases/sheets';

const ENDINGS: Readonly<Record<string, string>> = {
  'application/pdf': 'pdf',
  'image/svg+xml': 'svg',
  'text/html': 'html',
  'text/markdown': 'md',
  'text/csv': 'csv',
};

/** A sheet as a file; what is on it stands in the address, as on the Sheets screen. */
export async function GET(request: Request): Promise<Response> {
  let file: Awaited<ReturnType<typeof sheetFile>> | undefined;
  const response = await respond(async () => {
    file = await sheetFile(Object.fromEntries(new URL(request.url).searchParams));
  });
  if (!file) return response;
  const ending = ENDINGS[file.type.split(';')[0] ?? ''] ?? 'xlsx';
  // A PDF opens beside; what could run in the browser is only ever saved.
  const how = ending === 'pdf' ? 'inline' : 'attachment';
  return new Response(new Uint8Array(file.bytes), {
    headers: {
      'content-type': file.type,
      'content-disposition': `${how}; filename*=UTF-8''${encodeURIComponent(file.name)}.${ending}`,
    },
  });
}
