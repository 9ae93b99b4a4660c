import { conceptsNamed } from '../glossary/glossary';
import type { Command, Kind } from '../program/program';
import { remembering } from '../text/remembering';
import { wordsOf } from '../text/wordsOf';
import { axisOf, type Meaning, meaningsIn, plainName, rootOf, together } from '../words/meanings';

/** A concept of the glossary that a name speaks of, and how much of the name says it, from 0 to 1. */
export type Spoken = { readonly concept: number; readonly part: number };

/** A command as matching reads it. */
export type CommandReading = {
  readonly command: Command;
  /** The stems of the name alone, joined; equal for names that differ in nothing that matters. */
  readonly plain: string;
  readonly meanings: readonly Meaning[];
  /** What the path says besides. */
  readonly around: readonly Meaning[];
  readonly concepts: readonly Spoken[];
};

/** Many commands share the steps of their paths. */
const meaningsOfStep = remembering(meaningsIn, 5_000);
/** Names are read again whenever something was said of a pair. */
const meaningsOfName = remembering(meaningsIn);
const plainOf = remembering(plainName);
const conceptsOfName = remembering((both) => {
  const [name = '', menu = ''] = both.split('\n');
  return spokenOf(name, menu);
});

/**
 * What a command's name means; where it only says which way, as "Bottom" in a menu "Align", together with the last step of
 * its path.
 */
export function meaningsOfCommand({ name, path }: Pick<Command, 'name' | 'path'>): readonly Meaning[] {
  const meanings = meaningsOfName(name);
  const menu = path.at(-1);
  if (menu === undefined || meanings.length === 0 || meanings.some((one) => axisOf(one) === null)) return meanings;
  const explained = meaningsOfStep(menu).filter((one) => !one.startsWith('~'));
  return together([...new Set([...meanings, ...explained])]);
}

/** Reads a command: what its name and its path mean, and the concepts they speak of. */
export function readCommand(command: Command): CommandReading {
  const meanings = meaningsOfCommand(command);
  const own = new Set(meanings);
  const around = new Set<Meaning>();
  for (const step of command.path) {
    for (const meaning of meaningsOfStep(step)) if (!own.has(meaning)) around.add(meaning);
  }
  const plain = plainOf(command.name);
  return {
    command,
    plain,
    meanings: asSeen(meanings, around, command.kind),
    around: [...around],
    concepts: conceptsOfName(`${command.name}\n${command.path.at(-1) ?? ''}`),
  };
}

/** In a menu about the view, larger alone is nearer; how transparent something is, as a value, is its opacity. */
function asSeen(meanings: readonly Meaning[], around: ReadonlySet<Meaning>, kind: Kind): readonly Meaning[] {
  if (kind === 'value' && meanings.includes('transparency'))
    return meanings.map((one) => (one === 'transparency' ? 'opacity' : one));
  const alone = meanings.includes('size') && meanings.every((one) => one === 'size' || one.startsWith('up='));
  if (!alone || ![...around].some((one) => rootOf(one) === 'view')) return meanings;
  return ['zoom', meanings.includes('up=up') ? 'io=in' : 'io=out'];
}

/** The concepts whose phrases stand in the name, or in the name and the last step of its path together. */
function spokenOf(name: string, lastStep: string): Spoken[] {
  const words = wordsOf(name);
  const menu = wordsOf(lastStep);
  const best = new Map<number, number>();
  const note = (concept: number, part: number): void => {
    if (part > (best.get(concept) ?? 0)) best.set(concept, part);
  };
  for (let from = 0; from < words.length; from++)
    for (let to = words.length; to > from; to--) {
      const part = (to - from) / words.length;
      for (const concept of conceptsNamed(words.slice(from, to))) note(concept, part);
    }
  if (words.length > 0 && words.length < 4 && menu.length > 0 && menu.length < 3) {
    for (const order of [
      [...words, ...menu],
      [...menu, ...words],
    ])
      for (const concept of conceptsNamed(order)) note(concept, 0.95);
  }
  return [...best].map(([concept, part]) => ({ concept, part }));
}
