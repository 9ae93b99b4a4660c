import type { Reading } from '../reading/readCommandList';
import type { Place } from './placesOf';
import { type Around, LONGEST_SIGN, type None } from './spelling';
import { Tally } from './tally';

/** How the commands without keys say so, most of them; else how files of this form say it. */
export function learnNone(
  { format }: Reading,
  listed: Iterable<{ readonly places: readonly Place[] }>,
  [before, behind]: Around,
): [None, boolean] {
  const found = new Tally<None>();
  let [keysFirst, records, signs, all] = [0, 0, 0, 0];
  const outs = new Tally<string>();
  for (const { places } of listed)
    for (const place of places) {
      all++;
      if (!place.absent && place.keys[0] < place.name[0]) keysFirst++;
      if (place.whole && place.whole[0] < Math.min(place.name[0], place.keys[0])) records++;
      if (place.sign.length > LONGEST_SIGN) continue;
      if (place.commentedOut === 'off') {
        signs++;
        outs.add(place.sign);
      } else if (place.absent) found.add({ kind: 'absent' });
      else if (place.own.length === 0 && place.none && place.raw.length < 40)
        found.add({ kind: 'text', raw: place.raw });
    }
  const out = outs.most();
  const most = found.most();
  if (most) return [most, false];
  // Lines that are commented out without any keys are no lines of the list.
  if (out !== undefined && signs > 0) return [{ kind: 'commented out', sign: out }, false];
  const binds =
    format === 'bindings' ||
    records > 0.5 * all ||
    (keysFirst > 0.5 * all && /^(?:settings|JSON|YAML|TOML|property list)$/u.test(format));
  if (binds) return [{ kind: 'no line' }, true];
  const quotes = /^(?:@\w+ )?\[/u.test(before) ? '[]' : /["']$/u.test(before) ? before + behind : '';
  return [{ kind: 'text', raw: quotes }, true];
}
