import { idOf, wishListBody } from '@/schemas/requests';
import { jsonBody, markOf, respond } from '@/server/respond';
import { saveWishList } from '@/server/useCases/advice';

/** Stores the wish list of a keymap. */
export function PATCH(request: Request, { params }: { params: Promise<{ id: string }> }): Promise<Response> {
  return respond(async () =>
    saveWishList(idOf((await params).id), wishListBody(await jsonBody(request)), markOf(request)),
  );
}
