import type { Kind } from '../program/program';
import { axisOf, type Meaning, rootOf } from '../words/meanings';
import { thesaurus } from '../words/thesaurus';
import type { CommandReading } from './readCommand';
import { comparer } from './sharedPart';

/** How alike two commands are, from 0 to 1, and what it rests on. */
export type Likeness = {
  readonly figure: number;
  /** Whether the names are the same, but for dots and endings. */
  readonly same: boolean;
  /** How much of both names means the same. */
  readonly name: number;
  /** The concept of the glossary that both names speak of; -1 for none. */
  readonly concept: number;
  readonly conceptPart: number;
  /** Whether they say opposite things, such as left and right. */
  readonly opposed: boolean;
};

/** A reading with its meanings numbered and weighed, so that comparing many is quick. */
export type Numbered = {
  readonly reading: CommandReading;
  readonly meanings: Int32Array;
  readonly around: Int32Array;
  readonly concepts: CommandReading['concepts'];
  readonly weight: number;
  /** The roots of what the name says is worked on; where it says nothing, what the menu says. */
  readonly objects: Int32Array;
  readonly objectsSaid: boolean;
};

/** What is so of all meanings of two programs together. */
export type Vocabulary = {
  readonly numberOf: ReadonlyMap<Meaning, number>;
  readonly root: Int32Array;
  readonly axis: Int32Array;
  readonly weight: Float64Array;
};

/** The most that names are alike by themselves, so that menus can still tell; names in other words are less. */
const SAME_NAME = 0.97;
const OTHER_WORDS = 0.95;
/** Of the figure of two names, so much is left when they say opposite things. */
const OPPOSED = 0.25;
/** What nearly every command is about counts for so much. */
const OF_EVERYTHING = 0.7;
/** The axis of showing and hiding: a command that does the one often does the other, too. */
const TOGGLED: ReadonlySet<string> = new Set(['vis']);

/** What commands work on: the same done to another is another command. */
const OBJECTS: ReadonlySet<Meaning> = new Set(
  'layer selection mask brush text object view panel guide grid ruler color frame animation node line workspace macro swatch channel symmetry perspective'.split(
    ' ',
  ),
);
/** What is left of a figure where both names say what they work on, and it is not the same; where menus say so. */
const OTHER_OBJECT = { said: 0.8, menu: 0.88 } as const;

/** Numbers the meanings of all readings and weighs them: what few commands speak of tells them apart best. */
export function buildVocabulary(readings: readonly CommandReading[]): Vocabulary {
  const numberOf = new Map<Meaning, number>();
  const counts: number[] = [];
  const add = (meaning: Meaning, count: number): void => {
    const number = numberOf.get(meaning);
    if (number === undefined) {
      numberOf.set(meaning, counts.length);
      counts.push(count);
    } else counts[number] = (counts[number] as number) + count;
  };
  for (const { meanings, around } of readings) {
    for (const meaning of meanings) add(meaning, 1);
    for (const meaning of around) add(meaning, 0);
  }
  const all = [...numberOf.keys()];
  const roots = new Map<string, number>();
  const axes = new Map<string, number>();
  const spelled = alikeWords(all);
  const most = Math.log(2 + readings.length);
  return {
    numberOf,
    root: Int32Array.from(all, (one) => numbered(roots, spelled.get(one) ?? nearRoot(one) ?? rootOf(one))),
    axis: Int32Array.from(all, (one) => {
      const axis = axisOf(one);
      return axis === null ? -1 : numbered(axes, axis) * 2 + (TOGGLED.has(axis) ? 1 : 0);
    }),
    weight: Float64Array.from(all, (one, i) => {
      if (axisOf(one) !== null) return 0.7;
      const rare = Math.log((2 + readings.length) / (1 + (counts[i] as number))) / most;
      return (0.35 + 0.65 * Math.max(0, rare)) * (rootOf(one) === 'picture' ? OF_EVERYTHING : 1);
    }),
  };
}

/** What a word nobody explained stands so near that it may be taken for it; null for what stands near nothing. */
function nearRoot(meaning: Meaning): Meaning | null {
  if (!meaning.startsWith('~')) return null;
  const near = thesaurus(meaning.slice(1)).find((one) => one.figure >= SYNONYM && one.meanings.length === 1);
  const [root] = near?.meanings ?? [];
  return root === undefined || axisOf(root) !== null ? null : rootOf(root);
}
/** From so near on. */
const SYNONYM = 0.8;

function numbered(numbers: Map<string, number>, text: string): number {
  const number = numbers.get(text) ?? numbers.size;
  numbers.set(text, number);
  return number;
}

/** Words nobody explained that are spelled nearly alike, or of which one is the beginning of the other, by the first of them. */
function alikeWords(all: readonly Meaning[]): ReadonlyMap<Meaning, Meaning> {
  const words = all.filter((one) => one.startsWith('~') && one.length > 4).sort();
  const alike = new Map<Meaning, Meaning>();
  for (let i = 1; i < words.length; i++) {
    const [word, before] = [words[i] as string, words[i - 1] as string];
    if (word.startsWith(before.slice(0, Math.max(5, before.length - 1)))) alike.set(word, alike.get(before) ?? before);
  }
  return alike;
}

/** A reading in the numbers of a vocabulary. */
export function numberReading(vocabulary: Vocabulary, reading: CommandReading): Numbered {
  const number = (meaning: Meaning): number => vocabulary.numberOf.get(meaning) as number;
  const meanings = Int32Array.from(reading.meanings, number);
  const objectsOf = (all: readonly Meaning[]): readonly Meaning[] => all.filter((one) => OBJECTS.has(rootOf(one)));
  const said = objectsOf(reading.meanings);
  const objects = said.length > 0 ? said : objectsOf(reading.around);
  return {
    objects: Int32Array.from(objects, (one) => vocabulary.root[number(one)] as number),
    objectsSaid: said.length > 0,
    reading,
    meanings,
    around: Int32Array.from(reading.around, number),
    concepts: reading.concepts,
    weight: meanings.reduce((sum, one) => sum + (vocabulary.weight[one] as number), 0),
  };
}

/** How alike two commands are by their names, menus and kinds, and what it rests on. */
export function likeness(vocabulary: Vocabulary, a: Numbered, b: Numbered): Likeness {
  const shared = comparer(vocabulary)(a)(b);
  const signed = figureOf(vocabulary, a, b, shared);
  const { concept, part } = conceptOfBoth(a, b);
  const same = isSame(a, b);
  const name = same ? 1 : OTHER_WORDS * shared;
  return { figure: Math.abs(signed), same, name, concept, conceptPart: part, opposed: signed < 0 };
}

/** Whether two names are the same, but for dots and endings. */
export const isSame = (a: Numbered, b: Numbered): boolean =>
  a.reading.plain === b.reading.plain && a.reading.plain !== '';

/**
 * The figure alone, for where there are many to compare; negative where the two say opposite things.
 * @param shared how much of both names means the same.
 */
export function figureOf(vocabulary: Vocabulary, a: Numbered, b: Numbered, shared: number): number {
  const same = isSame(a, b);
  const name = same ? 1 : OTHER_WORDS * shared;
  const { part } = conceptOfBoth(a, b);
  const said = 0.92 * part;
  const more = Math.max(name, said);
  let figure = Math.min(same ? SAME_NAME : OTHER_WORDS, more + 0.3 * (1 - more) * Math.min(name, said));
  const opposition = same ? 0 : opposed(vocabulary, a.meanings, b.meanings);
  const against = opposition === 2 || (opposition === 1 && part < 0.95);
  if (against) figure *= OPPOSED;
  if (!same && part < 0.95) figure *= objectsFit(a, b);
  figure *= kindsFit(a.reading.command.kind, b.reading.command.kind);
  if (figure > 0.3) figure += (1 - figure) * 0.08 * figure * menuPart(vocabulary, a, b);
  return against ? -figure : figure;
}

/** How well what two commands work on goes together. */
function objectsFit(a: Numbered, b: Numbered): number {
  if (a.objects.length === 0 || b.objects.length === 0) return 1;
  for (const one of a.objects) if (b.objects.includes(one)) return 1;
  return a.objectsSaid && b.objectsSaid ? OTHER_OBJECT.said : OTHER_OBJECT.menu;
}

const NEITHER = { concept: -1, part: 0 } as const;

/** The concept that two names speak of together, and how much of both says it. */
function conceptOfBoth(a: Numbered, b: Numbered): { readonly concept: number; readonly part: number } {
  let best: { concept: number; part: number } = NEITHER;
  for (const one of a.concepts)
    for (const other of b.concepts) {
      if (one.concept !== other.concept) continue;
      const part = Math.min(one.part, other.part);
      if (part > best.part) best = { concept: one.concept, part };
    }
  return best;
}

/** 2 where two names say opposite things, 1 where they only do so of showing and hiding, 0 where they do not. */
function opposed({ axis }: Vocabulary, a: Int32Array, b: Int32Array): 0 | 1 | 2 {
  let found: 0 | 1 | 2 = 0;
  for (const one of a) {
    const at = axis[one] as number;
    if (at < 0) continue;
    let met = false;
    let shared = false;
    for (const other of b) {
      if (axis[other] !== at) continue;
      met = true;
      if (b.includes(one) || a.includes(other)) shared = true;
    }
    if (!met || shared) continue;
    if (at % 2 === 0) return 2;
    found = 1;
  }
  return found;
}

function menuPart({ root }: Vocabulary, a: Numbered, b: Numbered): number {
  if (a.around.length === 0 || b.around.length === 0) return 0;
  let n = 0;
  for (const one of a.around) if (b.around.some((other) => root[other] === root[one])) n++;
  return n / Math.max(a.around.length, b.around.length);
}

/** How well two kinds go together: what acts while held does nothing else, a tool is seldom a menu line. */
export function kindsFit(a: Kind, b: Kind): number {
  if (a === b) return 1;
  if (a === 'held action' || b === 'held action') return 0.6;
  if (a === 'tool' || b === 'tool') return 0.82;
  if (a === 'panel' || b === 'panel') return 0.88;
  if (a === 'value' || b === 'value') return 0.93;
  return 0.96;
}
