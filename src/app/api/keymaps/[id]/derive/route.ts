import { deriveBody, idOf } from '@/schemas/requests';
import { jsonBody, respond } from '@/server/respond';
import { deriveKeymap } from '@/server/useCases/match';

/** Derives a new keymap from this one. */
export function POST(request: Request, { params }: { params: Promise<{ id: string }> }): Promise<Response> {
  return respond(async () => {
    const { plan, ...given } = deriveBody(await jsonBody(request));
    return deriveKeymap(idOf((await params).id), given, plan);
  });
}
