import { factsBody } from '@/schemas/requests';
import { jsonBody, markOf, respond } from '@/server/respond';
import { editProgram } from '@/server/useCases/editProgram';

/** Changes what a program says of itself. */
export function POST(request: Request, { params }: { params: Promise<{ slug: string }> }): Promise<Response> {
  return respond(async () => {
    const { revision, title, facts } = factsBody(await jsonBody(request));
    return editProgram((await params).slug, { ...markOf(request), revision }, title, facts);
  });
}
