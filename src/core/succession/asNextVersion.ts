import { inferForms } from '../keymap/inferForms';
import { type Command, KINDS, type Kind, type Program } from '../program/program';
import { findLinks, type VersionSide } from './findLinks';
import { linksBySide } from './link';

/**
 * A list as the next version of a program: what such a list does not say (kinds, contexts, what the program allows) goes
 * along with the commands that are known, and with those around them.
 */
export function asNextVersion(before: VersionSide, list: VersionSide): Program {
  const { to } = linksBySide(findLinks(before, { ...list, namesOnly: true }));
  const known = new Map(before.program.commands.map((one) => [one.id, one]));
  const cameFrom = (one: Command): Command | undefined => known.get(to.get(one.id)?.[0]?.before ?? '');
  const around = new Map<string, Map<string, Command>>();
  const counts = new Map<string, number>();
  for (const one of list.program.commands) {
    const origin = cameFrom(one);
    if (!origin) continue;
    const [menu, kind] = [one.path.join('\n'), `${origin.kind}\n${origin.context}`];
    counts.set(`${menu}\n${kind}`, (counts.get(`${menu}\n${kind}`) ?? 0) + 1);
    around.set(menu, (around.get(menu) ?? new Map()).set(kind, origin));
  }
  /** What most commands of a menu are. */
  const usualIn = (menu: string): Command | undefined => {
    const most = [...(around.get(menu) ?? [])].sort(
      ([a], [b]) => (counts.get(`${menu}\n${b}`) ?? 0) - (counts.get(`${menu}\n${a}`) ?? 0),
    );
    return most[0]?.[1];
  };
  const commands = list.program.commands.map((one): Command => {
    const like = cameFrom(one) ?? usualIn(one.path.join('\n'));
    return like ? { ...one, kind: like.kind, context: like.context } : { ...one, context: rootOf(before.program) };
  });
  const menus = new Set(commands.map((one) => one.path[0]));
  const { rules, contexts, name } = before.program;
  const forms = inferForms(commands, list.factory);
  return {
    name,
    version: list.program.version,
    contexts,
    commands,
    rules: {
      ...rules,
      sequences: rules.sequences || list.program.rules.sequences,
      forms: eachKind((kind) => [...new Set([...rules.forms[kind], ...forms[kind]])]),
      menuLetters: Object.fromEntries(Object.entries(rules.menuLetters).filter(([menu]) => menus.has(menu))),
    },
  };
}

const eachKind = <One>(of: (kind: Kind) => One): Record<Kind, One> =>
  Object.fromEntries(KINDS.map((kind) => [kind, of(kind)])) as Record<Kind, One>;
const rootOf = ({ contexts }: Program): string => contexts.find((one) => one.parent === null)?.id ?? '';
