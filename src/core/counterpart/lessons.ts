import type { Command } from '../program/program';
import { axisOf, type Meaning, rootOf } from '../words/meanings';
import { meaningsOfCommand } from './readCommand';

/** Two meanings that are the same to the person who said that two commands do the same. */
export type Lesson = readonly [one: Meaning, other: Meaning];

type Named = Pick<Command, 'name' | 'path'>;

/**
 * What pairs of commands teach of words: where their names differ in one thing alone, these two things are the same. Ways
 * and numbers teach nothing: up is never down.
 */
export function lessonsOf(pairs: readonly (readonly [Named, Named])[]): Lesson[] {
  const taught = new Map<string, Lesson>();
  for (const [left, right] of pairs) {
    const [a, b] = [meaningsOfCommand(left), meaningsOfCommand(right)];
    const [one, ...more] = onlyIn(a, b);
    const [other, ...others] = onlyIn(b, a);
    if (one === undefined || other === undefined || more.length > 0 || others.length > 0) continue;
    if (axisOf(one) !== null || axisOf(other) !== null) continue;
    // Of two that are both explained, each stays what it is.
    if (!one.startsWith('~') && !other.startsWith('~')) continue;
    const lesson: Lesson = one < other ? [one, other] : [other, one];
    taught.set(lesson.join(' '), lesson);
  }
  return [...taught.values()];
}

/** The meanings of one name that another has nothing like. */
function onlyIn(meanings: readonly Meaning[], others: readonly Meaning[]): readonly Meaning[] {
  const roots = new Set(others.map(rootOf));
  return meanings.filter((one) => !roots.has(rootOf(one)));
}

/** Meanings after lessons: a word that nobody had explained means what it was said to mean. */
export function afterLessons(lessons: readonly Lesson[]): (meanings: readonly Meaning[]) => readonly Meaning[] {
  const means = new Map<Meaning, Meaning>();
  for (const [one, other] of lessons) {
    // Of two words that nobody explained, one stands for both.
    if (other.startsWith('~')) means.set(other, means.get(one) ?? one);
    else if (one.startsWith('~')) means.set(one, other);
  }
  if (means.size === 0) return (meanings) => meanings;
  return (meanings) =>
    meanings.some((one) => means.has(one)) ? [...new Set(meanings.map((one) => means.get(one) ?? one))] : meanings;
}
