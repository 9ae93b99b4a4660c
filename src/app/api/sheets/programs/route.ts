import { sheetOptions, sideBySideQuery } from '@/schemas/sheets';
import { respond } from '@/server/respond';
import { loadSideBySide } from '@/server/useCases/sheets';

/** What a keymap has in common with keymaps of other programs, for a sheet of them all. */
export function GET(request: Request): Promise<Response> {
  return respond(async () => {
    const { program, keymap, programs } = sideBySideQuery(Object.fromEntries(new URL(request.url).searchParams));
    return loadSideBySide(program, keymap, sheetOptions({ programs }).programs);
  });
}
