import { slug } from '../text/slug';
import { type Listed, listedKey } from './placesOf';
import type { Wanted } from './sourceText';

/**
 * The commands of a program under the names and places a file has for them: it may write `lift_stain` in a section
 * `repair.surface` for what is called Lift stain in Repair › Surface. A name alone tells a command where no two have it.
 */
export function matchListed(listed: ReadonlyMap<string, Listed>, wanted: readonly Wanted[]): readonly Wanted[] {
  const whole = ({ path, name }: Pick<Wanted, 'path' | 'name'>): string => slug([...path, name].join(' '));
  const byWhole = once([...listed.values()], ({ command }) => whole(command));
  const byName = once([...listed.values()], ({ command }) => slug(command.name));
  const named = once(wanted, (one) => slug(one.name));
  const taken = new Set<string>();
  const found = wanted.map((one) => {
    const own = listed.get(listedKey(one)) ?? byWhole.get(whole(one));
    if (own) taken.add(own.key);
    return own;
  });
  return wanted.map((one, i) => {
    const name = slug(one.name);
    const alone = named.has(name) ? byName.get(name) : undefined;
    const own = found[i] ?? (alone && !taken.has(alone.key) ? alone : undefined);
    return own ? { ...one, name: own.command.name, path: own.command.path } : one;
  });
}

/** Things by what only one of them is. */
function once<T>(all: readonly T[], by: (one: T) => string): ReadonlyMap<string, T> {
  const found = new Map<string, T | null>();
  for (const one of all) found.set(by(one), found.has(by(one)) ? null : one);
  return new Map([...found].flatMap(([key, one]): [string, T][] => (one === null ? [] : [[key, one]])));
}
