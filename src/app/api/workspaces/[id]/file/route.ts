import { idOf } from '@/schemas/requests';
import { respond } from '@/server/respond';
import { exportWorkspace } from '@/server/useCases/workspaceFiles';

/** A workspace as a file to carry away. */
export async function GET(_: Request, { params }: { params: Promise<{ id: string }> }): Promise<Response> {
  let name = '';
  const response = await respond(async () => {
    const exported = await exportWorkspace(idOf((await params).id));
    name = exported.name;
    return exported.file;
  });
  if (response.ok)
    response.headers.set(
      'content-disposition',
      `attachment; filename*=UTF-8''${encodeURIComponent(name)}.gray-pin-workspace.json`,
    );
  return response;
}
