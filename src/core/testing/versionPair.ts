import { fromProgramFile, type ProgramFile, type ProgramWithKeymaps } from '../file/programFile';
import { type Binding, keymapOf, type Row } from '../keymap/keymap';
import type { Command, CommandId, Kind } from '../program/program';
import type { VersionSide } from '../succession/findLinks';
import type { Link } from '../succession/link';
import { slugs } from '../text/slug';

/** What has to become of one keymap: the commands whose keys differ from the new factory's, and which are asked for. */
export type WantedMerge = {
  readonly keymap: string;
  readonly keys: ReadonlyMap<string, readonly string[]>;
  readonly asked: ReadonlySet<string>;
};
/** Two versions of a program, the true links between them, and what has to become of keymaps. */
export type VersionPair = {
  readonly before: VersionSide & Pick<ProgramWithKeymaps, 'keymaps'>;
  readonly after: VersionSide;
  readonly truth: readonly Link[];
  readonly merges: readonly WantedMerge[];
};

type Made = { -readonly [Key in keyof Command]: Command[Key] } & {
  from: readonly CommandId[];
  keys: readonly Binding[];
};

/** What a maker's changes (in the form of bench/versions/) make of a program. */
export function versionPair(changes: string, file: ProgramFile): VersionPair {
  const before = fromProgramFile(file);
  const idOf = slugs();
  let made: Made[] = before.program.commands.map((one) => ({
    ...one,
    from: [one.id],
    keys: before.factory.bindings.get(one.id) ?? [],
  }));
  const at = (id: string): number => {
    const place = made.findIndex((one) => one.from.includes(id));
    if (place < 0) throw new Error(`There is no command “${id}”.`);
    return place;
  };
  const own = (id: string): Made => made[at(id)] as Made;
  const pathOf = (text: string): readonly string[] => text.split(' > ');
  const keysOf = (text = 'none'): readonly Binding[] =>
    text === 'none' ? [] : text.split(' / ').map((chord) => ({ chord }));
  const merges: { keymap: string; keys: Map<string, readonly string[]>; asked: Set<string> }[] = [];
  let version = '';
  const beside = new Map<string, number>();
  const put = (after: string, command: Omit<Made, 'id'>): void => {
    const place = at(after) + 1 + (beside.get(after) ?? 0);
    beside.set(after, (beside.get(after) ?? 0) + 1);
    made.splice(place, 0, { ...command, id: '' });
  };
  const change = (verb: string, what: string, to: string): void => {
    const [first = '', second = ''] = to.split(' | ');
    const ids = what.split(' ');
    const [id = ''] = ids;
    if (verb === 'version') version = what;
    else if (verb === 'rename') own(id).name = to;
    else if (verb === 'keys') own(id).keys = keysOf(to);
    else if (verb === 'gone') made = made.filter((_, i) => i !== at(id));
    else if (verb === 'new') {
      const { kind, path, context } = own(id);
      put(id, { name: first, kind, path, context, from: [], keys: keysOf(second || 'none') });
    } else if (verb === 'split') {
      own(id).name = first;
      put(id, { ...own(id), name: second, keys: [] });
    } else if (verb === 'join') {
      const [, ...others] = ids;
      made = made.filter((_, i) => !others.some((one) => at(one) === i));
      Object.assign(own(id), { name: to, from: ids });
    } else if (verb === 'menu')
      made = made.map((one) => {
        const old = pathOf(what);
        const inside = old.every((step, i) => one.path[i] === step);
        return inside ? { ...one, path: [...pathOf(to), ...one.path.slice(old.length)] } : one;
      });
    else if (verb === 'move') {
      const one = own(id);
      made = made.filter((other) => other !== one);
      one.path = pathOf(to);
      const last = made.findLastIndex((other) => other.path.join(' > ') === to);
      made.splice(last < 0 ? made.length : last + 1, 0, one);
    } else if (verb !== 'of') throw new Error(`Nobody knows what “${verb}” is.`);
  };
  for (const line of changes.split('\n').map((one) => one.trim())) {
    const heading = /^\[(.*)\]$/u.exec(line)?.[1];
    const merge = merges.at(-1);
    if (line === '' || line.startsWith('#')) continue;
    else if (heading !== undefined) merges.push({ keymap: heading, keys: new Map(), asked: new Set() });
    else if (merge) {
      const [, asked, name = '', keys = ''] = /^(\? )?(.*) = (.*)$/u.exec(line) ?? [];
      merge.keys.set(
        name,
        keysOf(keys.replace(' keeper', '')).map((one) => one.chord),
      );
      if (asked) merge.asked.add(name);
    } else {
      const [, verb = '', what = '', to = ''] = /^(\S+) (.*?)(?: = (.*))?$/u.exec(line) ?? [];
      change(verb, what, to);
    }
  }
  // A list that is brought in has ids of its own, made of its names.
  const named = made.map((one) => ({ ...one, id: idOf(one.name) }));
  const commands = named.map(
    ({ id, name, kind, path, context }): Command => ({ id, name, kind: kind as Kind, path, context }),
  );
  const rows = named.flatMap(({ id, keys }) => keys.map(({ chord, keeper, hook }): Row => [id, chord, keeper, hook]));
  return {
    before,
    after: { program: { ...before.program, version, commands }, factory: keymapOf(rows) },
    truth: named.flatMap(({ id, from }) =>
      from.map((one): Link => ({ before: one, after: id, confidence: 'said', figure: 1 })),
    ),
    merges,
  };
}
