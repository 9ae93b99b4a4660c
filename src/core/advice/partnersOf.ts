import { CONCEPTS, conceptsOf, PARTNERS } from '../glossary/glossary';
import type { Command, CommandId } from '../program/program';
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

/**
 * The partner of each command that has one, such as the other of in and out: by names that differ in one word and its
 * opposite, else by the pairs of the glossary. Each is the partner of its partner; nobody has two.
 */
export function partnersOf(commands: readonly Command[]): ReadonlyMap<CommandId, Command> {
  const partners = new Map<CommandId, Command>();
  const join = (a: Command, b: Command): void => {
    if (a === b || partners.has(a.id) || partners.has(b.id)) return;
    partners.set(a.id, b);
    partners.set(b.id, a);
  };
  const named = new Map<string, Command[]>();
  const words = commands.map((command) => wordsOf(command.name));
  commands.forEach((command, i) => {
    const name = (words[i] ?? []).join(' ');
    const list = named.get(name);
    if (list) list.push(command);
    else named.set(name, [command]);
  });
  commands.forEach((command, i) => {
    const own = words[i] ?? [];
    own.forEach((word, at) => {
      for (const opposite of OPPOSITE_OF.get(word) ?? []) {
        const name = [...own.slice(0, at), opposite, ...own.slice(at + 1)].join(' ');
        const found = (named.get(name) ?? []).find((other) => other.path[0] === command.path[0]);
        if (found) join(command, found);
      }
    });
  });
  // The glossary's pairs count where each of the two is said by one command of a menu alone.
  const speaking = new Map<number, Command[]>();
  commands.forEach((command, i) => {
    for (const concept of conceptsOf(words[i] ?? [])) {
      const list = speaking.get(concept);
      if (list) list.push(command);
      else speaking.set(concept, [command]);
    }
  });
  for (const [first, second] of PARTNERS) {
    const a = speaking.get(NUMBER_OF.get(first) ?? -1) ?? [];
    const b = speaking.get(NUMBER_OF.get(second) ?? -1) ?? [];
    for (const one of a) {
      const others = b.filter((other) => other.path[0] === one.path[0]);
      const [only] = others;
      if (only && others.length === 1 && a.filter((other) => other.path[0] === one.path[0]).length === 1)
        join(one, only);
    }
  }
  return partners;
}

const NUMBER_OF = new Map(CONCEPTS.map((concept, number) => [concept.id, number]));
