import { DEFAULT_KEYBOARD } from '../keyboard/usKeyboard';
import { whereOf } from '../keyboard/where';
import { layOutPoster } from './layOutPoster';
import { layOutReference } from './layOutReference';
import { layOutSheet } from './layOutSheet';
import { layOutWholePoster } from './layOutWholePoster';
import type { SheetContents, SheetLayout } from './sheet';
import { sheetContents } from './sheetContents';
import type { SheetRequest } from './sheetRequest';
import { sideBySideContents } from './sideBySideContents';
import { stepsContents } from './stepsContents';

function layOut(request: SheetRequest, contents: SheetContents, date: string): SheetLayout {
  const { spec, where = whereOf(DEFAULT_KEYBOARD) } = request;
  if (spec.form === 'reference') return layOutReference(request, spec, date);
  if (spec.form !== 'poster') return layOutSheet(contents, spec, date);
  return (spec.layers === 'together' ? layOutWholePoster : layOutPoster)(request, where, date);
}

function contentsOf(request: SheetRequest): SheetContents {
  const { spec, sideBySide } = request;
  if (spec.form === 'steps') return stepsContents(request);
  return spec.form === 'programs'
    ? sideBySideContents(request, sideBySide ?? { heads: [], rows: [] })
    : sheetContents(request);
}

/** The titles of the groups a sheet has, as they come, for naming them. */
export function groupTitles(request: SheetRequest): readonly string[] {
  return contentsOf({ ...request, spec: { ...request.spec, groupNames: [] } }).groups.map((one) => one.title);
}

/** A sheet as it was chosen: what it says, and how that is set on paper. */
export function makeSheet(request: SheetRequest, date: string): { contents: SheetContents; layout: SheetLayout } {
  const contents = contentsOf(request);
  return { contents, layout: layOut(request, contents, date) };
}
