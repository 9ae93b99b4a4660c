import { conceptsBeginning, conceptsNamed } from '../glossary/glossary';
import type { Command, CommandId } from '../program/program';
import { firstFrom } from '../text/firstFrom';
import { wordsOf } from '../text/wordsOf';
import { abbreviates } from '../words/abbreviates';
import { axisOf, formOf, isFiller, type Meaning, rootOf } from '../words/meanings';
import { slips, slipsAllowed } from '../words/slips';
import { thesaurus } from '../words/thesaurus';
import { type Part, readQuery, SWITCHES } from './readQuery';
import type { Places, SearchIndex, Spoken } from './searchIndex';

/** What a query finds. */
export type Found = {
  /** The commands that have enough of what was typed, best first. */
  readonly commands: readonly Command[];
  /** The words that even the first of them does not have. */
  readonly unmatched: readonly string[];
  /** Where nothing fits: the three that come nearest, and the menu in which most of what is near lives. */
  readonly near: readonly Command[];
  readonly menu: readonly string[] | null;
};

/** How well a word of a name answers to one that was typed. */
const WORD = { same: 1, begins: 0.9, form: 0.92, part: 0.48, short: 0.62, slip: 0.76 } as const;
/** How well a meaning of a name answers to one that was typed: the same, like it in general, the other way. */
const MEANS = { same: 0.9, like: 0.7, other: 0.8, switch: 0.6 } as const;
/** How well it answers that both speak of a concept: all of its phrase, or a phrase that begins so. */
const CONCEPT = { whole: 0.8, begins: 0.62 } as const;
/** What a path has counts for so much of what a name has, beside other words and alone, unless a place was asked for. */
const BY_PATH = { beside: 0.66, alone: 0.42 } as const;
const INITIALS = 0.82;
/** From so near on a word means the same; what is less near counts for so much of it, so that it finds nothing alone. */
const SYNONYM = 0.85;
const NEARLY = 0.62;
/** A word that is known but that no command here says counts for so much of one that nobody knows. */
const KNOWN = 0.8;
/** A purpose may answer to so many words of a name. */
const MOST_SAID = 3;
/** What is shorter may be only the beginning of a word. */
const BEGUN = 4;
/** What has less than this of what was typed is left out, and what has less than so much of what the best has. */
const ENOUGH = 0.52;
const OF_BEST = 0.62;
/** What has at least this of every word, and of every phrase that goes together, is found all the same. */
const SAID = { word: 0.25, phrase: 0.6 } as const;
/** A word that a command answers to less than this is missed. */
const MISSED = 0.3;
/** What only comes near has at least this. */
const NEAR = 0.12;

/**
 * Finds commands by what was typed: words in any form and order, their beginnings, short forms and initials, other words
 * for the same thing, the menu, and what a command is for. Everything that has enough of the meaning comes, in the order
 * of how much of it it has, the words that few commands have counting most.
 * @param chosen what was chosen for the same words before: it comes first.
 */
export function findCommands(index: SearchIndex, typed: string, chosen?: CommandId): Found {
  const { entries } = index;
  const query = readQuery(typed, (word) => index.words[firstFrom(index.words, word)]?.[0] === word);
  if (query.words.length === 0) return { ...NOTHING, commands: entries.map((one) => one.command) };
  const plain = wordsOf(typed);
  const whole = plain.join(' ');
  const figures = new Float32Array(entries.length);
  const covered = new Float32Array(entries.length);
  // Most readings share their parts.
  const scored = new Map<string, PartScores>();
  const meant = new Set(query.readings[0]?.parts.flatMap((part) => part.meanings));
  const score = (part: Part, last: boolean, alone: boolean): PartScores => {
    const key = `${part.words} ${part.meanings} ${part.place} ${last} ${alone}`;
    const known = scored.get(key) ?? scorePart(index, part, last, alone, meant);
    scored.set(key, known);
    return known.part.counts === part.counts ? known : { ...known, weight: weightOf(part, known.rare) };
  };
  let shares: readonly PartScores[] = [];
  // By which reading each command is found best.
  const foundBy = new Uint8Array(entries.length);
  const scoresOf: (readonly PartScores[])[] = [];
  query.readings.forEach(({ parts, trust }, reading) => {
    const scores = parts.map((part, i) => score(part, i === parts.length - 1, parts.length === 1));
    if (shares.length === 0) shares = scores;
    scoresOf.push(scores);
    const all = scores.reduce((sum, one) => sum + one.weight, 0);
    if (all === 0) return;
    for (let place = 0; place < entries.length; place++) {
      let sum = 0;
      let own = 0;
      for (const { weight, by, name, size } of scores) {
        sum += weight * (by[place] as number);
        own += size * (name[place] as number);
      }
      const figure = (trust * sum) / all;
      if (figure <= (figures[place] as number)) continue;
      figures[place] = figure;
      foundBy[place] = reading;
      covered[place] = Math.min(1, own / (entries[place]?.says as number));
    }
  });
  const joined = plain.join('');
  for (const concept of conceptsBeginning(whole))
    for (const place of index.byConcept.get(concept) ?? [])
      figures[place] = Math.max(figures[place] as number, CONCEPT.begins);
  let best = 0;
  const found: number[] = [];
  for (let place = 0; place < entries.length; place++) {
    const { name, initials, command } = entries[place] as (typeof entries)[number];
    let figure = figures[place] as number;
    if (joined.length > 1 && initials.startsWith(joined)) figure = Math.max(figure, INITIALS);
    if (figure < NEAR) continue;
    if (query.kinds.size > 0 && !query.kinds.has(command.kind)) figure *= 0.92;
    figure *= 0.85 + 0.15 * (covered[place] as number);
    if (name.startsWith(whole)) figure += name.length === whole.length ? 1 : 0.3;
    figures[place] = figure;
    best = Math.max(best, figure);
    found.push(place);
  }
  found.sort((a, b) => (figures[b] as number) - (figures[a] as number) || a - b);
  const least = Math.max(ENOUGH, OF_BEST * Math.min(1, best));
  const said = (place: number): boolean =>
    shares.every(({ said: own, part }) => (own[place] as number) >= (part.words.length > 1 ? SAID.phrase : SAID.word));
  const enough = found.filter((place) => (figures[place] as number) >= least || said(place));
  const before = chosen === undefined ? -1 : entries.findIndex((one) => one.command.id === chosen);
  const inOrder = before < 0 ? enough : [before, ...enough.filter((place) => place !== before)];
  const commands = inOrder.map((place) => entries[place]?.command as Command);
  const [first] = inOrder;
  if (first === undefined) return { ...NOTHING, ...nearest(index, found) };
  return { ...NOTHING, commands, unmatched: missing(scoresOf[foundBy[first] as number] ?? [], first) };
}

const NOTHING: Found = { commands: [], unmatched: [], near: [], menu: null };

/** The three that come nearest, and the menu of most that is near. */
function nearest({ entries }: SearchIndex, found: readonly number[]): Pick<Found, 'near' | 'menu'> {
  const some = found.slice(0, 8).map((place) => entries[place]?.command as Command);
  const count = new Map<string, number>();
  some.forEach(({ path }, i) => {
    const menu = path[0];
    if (menu !== undefined) count.set(menu, (count.get(menu) ?? 0) + 1 / (1 + i));
  });
  const [menu] = [...count].sort((a, b) => b[1] - a[1])[0] ?? [];
  return { near: some.slice(0, 3), menu: menu === undefined ? null : [menu] };
}

/** The words of the parts that a command has nothing of. */
const missing = (scores: readonly PartScores[], place: number): string[] =>
  scores.flatMap(({ part, by }) =>
    part.words.length > 0 && (by[place] as number) < MISSED ? [part.words.join(' ')] : [],
  );

/** What a part counts where few or many commands say it. */
const weightOf = ({ counts }: Part, rare: number): number => counts * rare;

type PartScores = {
  readonly part: Part;
  /** The fewer commands say it, the more it tells, up to 1. */
  readonly rare: number;
  readonly weight: number;
  /** How many words of a name it may answer to. */
  readonly size: number;
  /** How well each command answers to the part, by its name or its path. */
  readonly by: Float32Array;
  /** The same by its name alone. */
  readonly name: Float32Array;
  /** The same without what is only near, or only may be switched. */
  readonly said: Float32Array;
};

/** How well every command answers to a part of what was typed, and how much that part counts. */
function scorePart(
  index: SearchIndex,
  part: Part,
  last: boolean,
  alone: boolean,
  meant: ReadonlySet<Meaning>,
): PartScores {
  const { entries } = index;
  const name = new Float32Array(entries.length);
  scoreWords(index, part, last, name);
  scoreMeanings(index, part.meanings, name);
  if (part.words.length > 0)
    for (const concept of conceptsNamed(part.words)) raise(name, index.byConcept.get(concept), CONCEPT.whole);
  let have = 0;
  for (const figure of name) if (figure >= 0.6) have++;
  const rare = Math.log((2 + entries.length) / (1 + have)) / Math.log(2 + entries.length);
  const switched = part.way ? switchesLike(index, part.meanings, name) : null;
  const by = name.slice();
  scorePaths(index, part, alone, by);
  const said = part.way ? name : by.slice();
  if (switched) scoreThings(index, switched, by);
  scoreNear(index, part, meant, by);
  // The first letters of a word say nothing of how much of a name is meant.
  const begun = last && (part.words.at(-1) ?? '').length < BEGUN && part.words.length > 0;
  const size =
    part.words.length === 0 ? MOST_SAID : part.words.filter((word) => !isFiller(word)).length - (begun ? 1 : 0);
  const known = have === 0 && part.meanings.some((one) => !one.startsWith('~'));
  const worth = (0.35 + 0.65 * rare) * (known ? KNOWN : 1);
  return { part, rare: worth, weight: weightOf(part, worth), size, by, name, said };
}

function raise(figures: Float32Array, places: Places | undefined, figure: number): void {
  if (places) for (const place of places) if ((figures[place] as number) < figure) figures[place] = figure;
}

/** By the words themselves; of several, each has its share. */
function scoreWords(index: SearchIndex, { words, meanings }: Part, last: boolean, into: Float32Array): void {
  if (words.length === 0) return;
  // A word that is known is no slip of another.
  const known = meanings.some((one) => !one.startsWith('~'));
  if (words.length === 1) {
    scoreWord(index, words[0] as string, last, known, into);
    return;
  }
  const sum = new Float32Array(into.length);
  let all = 0;
  words.forEach((word, i) => {
    const one = new Float32Array(into.length);
    const share = isFiller(word) ? 0.2 : 1;
    all += share;
    scoreWord(index, word, last && i === words.length - 1, known, one);
    for (let place = 0; place < sum.length; place++)
      sum[place] = (sum[place] as number) + share * (one[place] as number);
  });
  for (let place = 0; place < sum.length; place++) into[place] = (sum[place] as number) / all;
}

function scoreWord(index: SearchIndex, word: string, last: boolean, known: boolean, into: Float32Array): void {
  const { words, byForm, byConcept } = index;
  let met = known;
  for (let i = firstFrom(words, word); words[i]?.[0].startsWith(word); i++) {
    const [one, places] = words[i] as (typeof words)[number];
    const same = one.length === word.length;
    if (!same && word.length < 2 && !last) continue;
    raise(into, places, same ? WORD.same : WORD.begins);
    met = true;
  }
  const formed = byForm.get(formOf(word));
  raise(into, formed, WORD.form);
  met ||= formed !== undefined;
  if (word.length > 1)
    for (const [one, places] of words) {
      if (one.length > word.length && one.indexOf(word) > 0) raise(into, places, WORD.part);
      else if (one[0] === word[0] && abbreviates(word, one)) raise(into, places, WORD.short);
    }
  if (word.length > 2)
    for (const concept of conceptsBeginning(word)) raise(into, byConcept.get(concept), CONCEPT.begins);
  if (met) return;
  const most = slipsAllowed(word);
  if (most === 0) return;
  for (const [one, places] of words) {
    if (one.length + most < word.length) continue;
    const many = slips(word, one, most);
    if (many <= most) raise(into, places, WORD.slip - 0.1 * (many - 1) - (one.length > word.length + 1 ? 0.06 : 0));
  }
}

/** By what the words mean; of several meanings each has its share, and one that says which way a smaller one. */
function scoreMeanings(index: SearchIndex, meanings: readonly Meaning[], into: Float32Array): void {
  if (meanings.length === 0) return;
  const sum = new Float32Array(into.length);
  let all = 0;
  for (const meaning of meanings) {
    const one = new Float32Array(into.length);
    raise(one, index.byRoot.get(rootOf(meaning)), MEANS.like);
    raise(one, index.byMeaning.get(meaning), MEANS.same);
    const share = SWITCHES.has(meaning) ? 0.35 : axisOf(meaning) === null ? 1 : 0.6;
    all += share;
    for (let place = 0; place < sum.length; place++)
      sum[place] = (sum[place] as number) + share * (one[place] as number);
  }
  for (let place = 0; place < sum.length; place++) {
    const figure = (sum[place] as number) / all;
    if (figure > (into[place] as number)) into[place] = figure;
  }
}

/** By what a word that the lexicon doesn't have stands near, unless that is said besides. */
function scoreNear(
  index: SearchIndex,
  { words, meanings }: Part,
  meant: ReadonlySet<Meaning>,
  into: Float32Array,
): void {
  if (words.length !== 1 || meanings[0]?.startsWith('~') !== true) return;
  for (const { meanings: near, figure } of thesaurus(words[0] as string)) {
    if (near.some((one) => meant.has(one))) continue;
    const one = new Float32Array(into.length);
    scoreMeanings(index, near, one);
    for (let place = 0; place < into.length; place++) {
      const own = (figure >= SYNONYM ? figure : NEARLY * figure) * (one[place] as number);
      if (own > (into[place] as number)) into[place] = own;
    }
  }
}

/** By the path. */
function scorePaths(index: SearchIndex, part: Part, alone: boolean, into: Float32Array): void {
  const share = part.place ? 1 : alone ? BY_PATH.alone : BY_PATH.beside;
  index.paths.forEach((path, i) => {
    const figure = share * answerOf(path, part);
    if (figure > 0) raise(into, index.byPath[i], figure);
  });
}

function answerOf(path: Spoken, { words, meanings }: Part): number {
  let sum = 0;
  for (const word of words) {
    if (path.words.has(word)) sum += WORD.same;
    else if (path.forms.has(formOf(word))) sum += WORD.form;
    else if (word.length > 1 && [...path.words].some((one) => one.startsWith(word))) sum += WORD.begins;
  }
  const best = words.length === 0 ? 0 : sum / words.length;
  const means =
    meanings.length === 0
      ? 0
      : meanings.reduce(
          (sum, one) => sum + (path.meanings.has(one) ? MEANS.same : path.roots.has(rootOf(one)) ? MEANS.like : 0),
          0,
        ) / meanings.length;
  return Math.max(best, means);
}

/**
 * Whatever is switched one way is switched the other way by the same command.
 * @returns the commands that switch something else; null where nothing is to be switched.
 */
function switchesLike(
  index: SearchIndex,
  meanings: readonly Meaning[],
  into: Float32Array,
): ReadonlySet<number> | null {
  const switches = meanings.filter((one) => SWITCHES.has(one));
  if (switches.length === 0) return null;
  const any = switches.some((one) => axisOf(one) === null);
  const others = new Set<number>();
  for (const meaning of SWITCHES) {
    const axis = axisOf(meaning);
    const places = index.byMeaning.get(meaning);
    if (any || switches.some((one) => axisOf(one) === axis)) raise(into, places, MEANS.other);
    else for (const place of places ?? []) others.add(place);
  }
  return others;
}

/** What says nothing of switching may still be a switch where it only names a thing, such as a panel or a grid. */
function scoreThings({ entries }: SearchIndex, others: ReadonlySet<number>, into: Float32Array): void {
  for (let place = 0; place < into.length; place++) {
    const { command, says } = entries[place] as SearchIndex['entries'][number];
    const least = command.kind === 'panel' || says === 1 ? MEANS.switch : MEANS.switch / 2;
    if ((into[place] as number) < least && !others.has(place)) into[place] = least;
  }
}
