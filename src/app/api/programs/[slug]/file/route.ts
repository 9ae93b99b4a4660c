import { respond } from '@/server/respond';
import { exportProgram } from '@/server/useCases/bringIn';

/** A program with its keymaps as a file to carry away. */
export async function GET(_: Request, { params }: { params: Promise<{ slug: string }> }): Promise<Response> {
  const { slug } = await params;
  const response = await respond(() => exportProgram(slug));
  if (response.ok)
    response.headers.set(
      'content-disposition',
      `attachment; filename*=UTF-8''${encodeURIComponent(slug)}.gray-pin.json`,
    );
  return response;
}
