import { keepFormBody } from '@/schemas/ownForms';
import { jsonBody, markOf, respond } from '@/server/respond';
import { keepForm } from '@/server/useCases/ownForms';

/** Keeps a form of one's own with a program. */
export function POST(request: Request, { params }: { params: Promise<{ slug: string }> }): Promise<Response> {
  return respond(async () => keepForm((await params).slug, keepFormBody(await jsonBody(request)), markOf(request)));
}
