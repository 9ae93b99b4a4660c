import { CONCEPTS, conceptsOf, PARTNERS } from '../glossary/glossary';
import type { Command } from '../program/program';
import { groupBy } from '../text/groupBy';
import { wordsOf } from '../text/wordsOf';

/** Words that turn a name into its partner's. */
const OPPOSITES: readonly (readonly [string, string])[] = [
  ['in', 'out'],
  ['next', 'previous'],
  ['more', 'less'],
  ['larger', 'smaller'],
  ['bigger', 'smaller'],
  ['up', 'down'],
  ['left', 'right'],
  ['forward', 'back'],
  ['forward', 'backward'],
  ['front', 'back'],
  ['raise', 'lower'],
  ['first', 'last'],
  ['horizontal', 'vertical'],
  ['across', 'down'],
  ['grow', 'shrink'],
  ['show', 'hide'],
  ['lock', 'unlock'],
  ['group', 'ungroup'],
  ['lighter', 'darker'],
  ['harder', 'softer'],
  ['wider', 'narrower'],
  ['thicker', 'thinner'],
  ['warmer', 'cooler'],
  ['faster', 'slower'],
  ['above', 'below'],
  ['top', 'bottom'],
  ['start', 'end'],
  ['before', 'after'],
  ['add', 'remove'],
  ['add', 'subtract'],
  ['undo', 'redo'],
  ['increase', 'decrease'],
  ['save', 'load'],
];
const OPPOSITE_OF = new Map<string, string[]>();
for (const [a, b] of OPPOSITES) {
  OPPOSITE_OF.set(a, [...(OPPOSITE_OF.get(a) ?? []), b]);
  OPPOSITE_OF.set(b, [...(OPPOSITE_OF.get(b) ?? []), a]);
}

/** Finds the partner of a command; null where it has none. */
export type PartnerOf = (command: Command) => Command | null;

/**
 * Partners among commands, such as the two of in and out: in one menu, by names that differ in one word and its opposite,
 * else by the pairs of the glossary. Each is the partner of its partner. They are found when asked for, and remembered.
 */
export function partnersOf(commands: readonly Command[]): PartnerOf {
  let named: ReadonlyMap<string, readonly Command[]> | null = null;
  let menus: ReadonlyMap<string, readonly Command[]> | null = null;
  const firsts = new Map<Command, Command | null>();
  const firstOf = (command: Command): Command | null => {
    let first = firsts.get(command);
    if (first === undefined) {
      named ??= groupBy(commands, (one) => wordsOf(one.name).join(' '));
      menus ??= groupBy(commands, (one) => one.path[0] ?? '');
      first = byName(command, named) ?? byGlossary(command, menus.get(command.path[0] ?? '') ?? []);
      firsts.set(command, first);
    }
    return first;
  };
  return (command) => {
    const partner = firstOf(command);
    return partner && firstOf(partner) === command ? partner : null;
  };
}

function byName(command: Command, named: ReadonlyMap<string, readonly Command[]>): Command | null {
  const words = wordsOf(command.name);
  for (let at = 0; at < words.length; at++) {
    for (const opposite of OPPOSITE_OF.get(words[at] as string) ?? []) {
      const name = [...words.slice(0, at), opposite, ...words.slice(at + 1)].join(' ');
      const found = named.get(name)?.find((other) => other.path[0] === command.path[0] && other !== command);
      if (found) return found;
    }
  }
  return null;
}

/** By the glossary, where one command of a menu alone speaks of either. */
function byGlossary(command: Command, menu: readonly Command[]): Command | null {
  for (const concept of conceptsOf(wordsOf(command.name))) {
    const other = PARTNER_OF.get(concept);
    if (other === undefined) continue;
    const speaking = (of: number) => menu.filter((one) => conceptsOf(wordsOf(one.name)).includes(of));
    const [partner, ...more] = speaking(other);
    if (partner && partner !== command && more.length === 0 && speaking(concept).length === 1) return partner;
  }
  return null;
}

const NUMBER_OF = new Map(CONCEPTS.map((concept, number) => [concept.id, number]));
const PARTNER_OF = new Map(
  PARTNERS.flatMap(([first, second]) => {
    const [a, b] = [NUMBER_OF.get(first) ?? -1, NUMBER_OF.get(second) ?? -1];
    return [[a, b] as const, [b, a] as const];
  }),
);
