import { iconQuery } from '@/schemas/workspaces';
import { findIcons, iconsNamed } from '@/server/icons';
import { respond } from '@/server/respond';

/** Icons of the open set, by words or by their names. */
export function GET(request: Request): Promise<Response> {
  return respond(async () => {
    const { find, names } = iconQuery(Object.fromEntries(new URL(request.url).searchParams));
    return names === '' ? findIcons(find) : iconsNamed(names.split(','));
  });
}
