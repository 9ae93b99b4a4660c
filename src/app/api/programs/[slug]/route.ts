import { changeBody } from '@/schemas/requests';
import { jsonBody, respond } from '@/server/respond';
import { changeProgram } from '@/server/useCases/bringIn';

/** Renames a program, puts it away or back. */
export function PATCH(request: Request, { params }: { params: Promise<{ slug: string }> }): Promise<Response> {
  return respond(async () => changeProgram((await params).slug, changeBody(await jsonBody(request))));
}
