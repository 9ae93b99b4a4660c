import { respond } from '@/server/respond';
import { everythingOf } from '@/server/upload';
import { lookAtEverything } from '@/server/useCases/takeIn';

/** Says what taking in a file with everything of another computer would do; changes nothing. */
export function POST(request: Request): Promise<Response> {
  return respond(async () => {
    const { file, wishes } = await everythingOf(request);
    return lookAtEverything(file, wishes);
  });
}
