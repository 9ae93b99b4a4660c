import { addUnit } from './addUnit';
import { type Listed, listedKey, type Place } from './placesOf';
import { bare, type CommandPlan, cellOf, reasonOf } from './planEdits';
import type { SourceText, Wanted } from './sourceText';
import { SEVERAL } from './spelling';
import { NO_SEVERAL } from './writeCell';
import { takesLines, type Writing } from './writing';

const nothing = (why: CommandPlan['why']): CommandPlan => ({ edits: [], words: [], why, did: 'nothing', keys: [] });

/** A command that has no line in a file gets one where its neighbors stand, written as theirs are. */
export function addMissing(
  writing: Writing,
  source: SourceText,
  listed: ReadonlyMap<string, Listed>,
  order: readonly Wanted[],
  wanted: Wanted,
): CommandPlan {
  const known = source.places.listed.has(listedKey(wanted));
  if (wanted.keys.length === 0 || (wanted.usual && !known)) return nothing(null);
  const near = neighborOf(listed, order, wanted);
  const name = nameIn(source, near?.listed, wanted);
  if (!near || name === null)
    return nothing({
      text: near ? 'The file has no name for it.' : 'The file has no line for it, and none like it.',
      chord: null,
    });
  const several = writing.spelling.several !== null || (near.like.parts?.between.length ?? 0) > 0;
  const [, second] = wanted.keys;
  if (!several && second !== undefined && !takesLines(writing))
    return nothing({ text: NO_SEVERAL, chord: second, missing: SEVERAL });
  const each = several ? [wanted.keys] : wanted.keys.map((one) => [one]);
  const edits: CommandPlan['edits'][number][] = [];
  const words: CommandPlan['words'][number][] = [];
  for (const chords of each) {
    const cell = cellOf(writing, bare(near.like), chords);
    if ('why' in cell) return nothing(reasonOf(cell));
    edits.push(...addUnit(writing, near.behind, near.like, name, cell.raw));
    words.push(...cell.words);
  }
  return { edits, words, why: null, did: 'line added', keys: wanted.keys };
}

/** The line behind which a command belongs, and one with keys that it can be written like: of the same place, the nearest before. */
function neighborOf(
  listed: ReadonlyMap<string, Listed>,
  order: readonly Wanted[],
  wanted: Wanted,
): { readonly listed: Listed; readonly behind: Place; readonly like: Place } | null {
  const place = wanted.path.join('\u0001');
  const at = order.indexOf(wanted);
  const near = [...order.slice(0, at).reverse(), ...order.slice(at + 1)].filter(
    (one) => one.path.join('\u0001') === place,
  );
  let behind: { readonly listed: Listed; readonly place: Place } | null = null;
  for (const one of near) {
    const found = listed.get(listedKey(one));
    const last = found?.places.at(-1);
    if (!found || !last) continue;
    behind ??= { listed: found, place: last };
    const like = found.places.find((own) => own.commentedOut === null && !own.apart && own.own.length > 0);
    if (like) return { listed: found, behind: behind.place, like };
  }
  return null;
}

/** How a command's name is written in a file: as the source file does, else as the names of its neighbors are. */
function nameIn(source: SourceText, near: Listed | undefined, wanted: Wanted): string | null {
  const own = source.places.listed.get(listedKey(wanted))?.nameRaw;
  if (own !== undefined) return own;
  if (!near) return null;
  const [before = '', inner = '', behind = ''] = (/^(["'`]?)(.*)(\1)$/su.exec(near.nameRaw) ?? []).slice(1);
  if (inner === near.command.name && /\s/u.test(inner)) return before + wanted.name + behind;
  const joint = /^\p{Ll}+([_-])\p{Ll}[\p{Ll}\d_-]*$/u.exec(inner)?.[1];
  if (joint === undefined) return null;
  return before + wanted.name.toLowerCase().replace(/[^\p{L}\d]+/gu, joint) + behind;
}
