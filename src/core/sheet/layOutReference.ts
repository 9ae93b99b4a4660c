import { fitSheet } from './fitSheet';
import { layOutFit } from './layOutSheet';
import type { PageSpec } from './pageBox';
import type { SheetContents, SheetGroup, SheetLayout } from './sheet';
import { sheetContents } from './sheetContents';
import type { SheetRequest } from './sheetRequest';

/** The titles of the groups that the whole reference has besides those of its lines. */
export const REFERENCE_CONTENTS = 'Contents';
export const REFERENCE_INDEX = 'Index by key';
const MOST_PASSES = 4;

/**
 * The whole reference: what stands on which page first, then all lines, then an index by key. The pages named in the
 * front are those where the groups begin; naming them can move them, so it is set until it holds.
 */
export function layOutReference(request: SheetRequest, spec: PageSpec, date: string): SheetLayout {
  const main = sheetContents(request);
  const index = sheetContents({
    ...request,
    spec: { ...request.spec, group: 'modifier', order: 'key', extras: [], keyless: false },
  });
  const body: SheetGroup[] = [
    ...main.groups,
    ...index.groups.map((one) => ({ ...one, title: `${REFERENCE_INDEX} · ${one.title}` })),
  ];
  let pages: readonly number[] = body.map(() => 1);
  for (let pass = 0; ; pass++) {
    const contents: SheetContents = { ...main, groups: [frontOf(body, pages), ...body] };
    const fit = fitSheet(contents, spec);
    const begins = new Map(
      fit.placed.flatMap(({ piece, page, again }) => {
        const one = fit.pieces[piece];
        return one?.heading && !again ? [[one.group, page + 1] as const] : [];
      }),
    );
    // The front is the first group.
    const found = body.map((_, i) => begins.get(i + 1) ?? 1);
    if (pass >= MOST_PASSES || found.every((page, i) => page === pages[i])) return layOutFit(contents, fit, spec, date);
    pages = found;
  }
}

function frontOf(body: readonly SheetGroup[], pages: readonly number[]): SheetGroup {
  return {
    title: REFERENCE_CONTENTS,
    lines: body.map((group, i) => ({ name: group.title, keys: [[String(pages[i] ?? 1)]], changed: false })),
  };
}
