import { saidLinksBody } from '@/schemas/successions';
import { jsonBody, markOf, respond } from '@/server/respond';
import { sayLinks } from '@/server/useCases/newVersions';

/** Remembers what a person says of what became of a version's commands in this one. */
export function PATCH(request: Request, { params }: { params: Promise<{ slug: string }> }): Promise<Response> {
  return respond(async () =>
    sayLinks((await params).slug, saidLinksBody(await jsonBody(request)).said, markOf(request)),
  );
}
