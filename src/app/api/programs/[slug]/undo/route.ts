import { revisionBody } from '@/schemas/requests';
import { jsonBody, markOf, respond } from '@/server/respond';
import { undoProgramStep } from '@/server/useCases/editProgram';

/** Takes back the last change of what a program says of itself. */
export function POST(request: Request, { params }: { params: Promise<{ slug: string }> }): Promise<Response> {
  return respond(async () => {
    const { revision } = revisionBody(await jsonBody(request));
    return undoProgramStep((await params).slug, { ...markOf(request), revision });
  });
}
