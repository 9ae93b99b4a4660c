import { settingsBody } from '@/schemas/requests';
import { jsonBody, markOf, respond } from '@/server/respond';
import { saveSettings } from '@/server/useCases/settings';

/** Changes how the interface looks and how it writes keys. */
export function PATCH(request: Request): Promise<Response> {
  return respond(async () => saveSettings(settingsBody(await jsonBody(request)), markOf(request)));
}
