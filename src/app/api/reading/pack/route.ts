import { packFrom } from '@/schemas/packs';
import { jsonBody, respond } from '@/server/respond';

/** Says what a pack holds; changes nothing. */
export function POST(request: Request): Promise<Response> {
  return respond(async () => packFrom(await jsonBody(request)));
}
