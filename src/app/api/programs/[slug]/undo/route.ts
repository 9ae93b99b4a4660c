import { revisionBody } from '@/schemas/requests';
import { jsonBody, respond } from '@/server/respond';
import { undoProgramStep } from '@/server/useCases/editProgram';

/** Takes back the last change of what a program says of itself. */
export function POST(request: Request, { params }: { params: Promise<{ slug: string }> }): Promise<Response> {
  return respond(async () => undoProgramStep((await params).slug, revisionBody(await jsonBody(request)).revision));
}
