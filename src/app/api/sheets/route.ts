import { respond } from '@/server/respond';
import { sheetPdf } from '@/server/useCases/sheets';

/** A sheet as a PDF; what is on it stands in the address, as on the Sheets screen. */
export async function GET(request: Request): Promise<Response> {
  let pdf: Awaited<ReturnType<typeof sheetPdf>> | undefined;
  const response = await respond(async () => {
    pdf = await sheetPdf(Object.fromEntries(new URL(request.url).searchParams));
  });
  if (!pdf) return response;
  const headers = {
    'content-type': 'application/pdf',
    'content-disposition': `inline; filename*=UTF-8''${encodeURIComponent(pdf.name)}.pdf`,
  };
  return new Response(new Uint8Array(pdf.bytes), { headers });
}
