import { respond } from '@/server/respond';
import { everythingOf } from '@/server/upload';
import { takeEverythingIn } from '@/server/useCases/takeIn';

/** Takes a file with everything of another computer in beside what is here, as it was shown. */
export function POST(request: Request): Promise<Response> {
  return respond(async () => {
    const { file, wishes } = await everythingOf(request);
    return takeEverythingIn(file, wishes, wishes.shown);
  });
}
