import { counterpartBody } from '@/schemas/requests';
import { jsonBody, markOf, respond } from '@/server/respond';
import { sayCounterpart } from '@/server/useCases/match';

/** Stores, or forgets, what a person says of a command's counterpart. */
export function POST(request: Request): Promise<Response> {
  return respond(async () => {
    const { program, command, other, counterpart } = counterpartBody(await jsonBody(request));
    return sayCounterpart(program, command, other, counterpart, markOf(request));
  });
}
