/**
 * Reduces WordNet 3.0 (Debian's wordnet-base) to the words that stand near a word of our lexicon, and writes
 * `src/core/words/wordNet.json`. Which words stand near is read off WordNet's own pointers: the same set of synonyms,
 * forms derived of one another, similar adjectives, one step more general or more particular; the later the senses, the
 * less near.
 */
import { readFileSync, writeFileSync } from 'node:fs';
import { gzipSync } from 'node:zlib';
import { installDebian } from './debian.mjs';

installDebian(['wordnet-base']);
const FOLDER = '/usr/share/wordnet';
const FILE = 'src/core/words/wordNet.json';
/** The files of WordNet's lexicographers whose senses pictures, tools, text, layout, files and windows need. */
const ABOUT = new Set([
  0, 1, 4, 6, 7, 8, 9, 10, 15, 17, 19, 20, 23, 25, 26, 27, 29, 30, 31, 35, 36, 38, 39, 40, 41, 42, 44,
]);
const SENSES = [1, 0.85, 0.7, 0.55];
const BY_POINTER = { '+': 0.9, '&': 0.8, '^': 0.7, $: 0.85, '=': 0.75, '@': 0.68, '~': 0.72, '\\': 0.8, '<': 0.85 };
const SAME = 0.95;
const LEAST = 0.48;
/** A word that was never met in tagged text has to stand nearer. */
const RARE = 0.7;
const MOST = 4;
const POS = ['noun', 'verb', 'adj', 'adv'];
const LETTER = { n: 'noun', v: 'verb', a: 'adj', s: 'adj', r: 'adv' };

/** Sets of synonyms: their words, what they are about, and where their pointers lead. */
const sets = new Map();
/** Words, folded, with their sets in the order of their senses, and whether any was met in tagged text. */
const words = new Map();
for (const pos of POS) {
  for (const line of readFileSync(`${FOLDER}/data.${pos}`, 'latin1').split('\n')) {
    if (!/^\d/.test(line)) continue;
    const parts = line.split(' | ')[0].split(' ');
    const [offset, file, , count] = parts;
    const many = Number.parseInt(count, 16);
    const own = Array.from({ length: many }, (_, i) => parts[4 + 2 * i].toLowerCase().replace(/\(\w+\)$/, ''));
    const from = 4 + 2 * many;
    const pointers = Array.from({ length: Number(parts[from]) }, (_, i) => {
      const [sign, to, kind] = parts.slice(from + 1 + 4 * i, from + 5 + 4 * i);
      return [sign, `${LETTER[kind]}${to}`];
    });
    sets.set(`${pos}${offset}`, { words: own, about: Number(file), pointers });
  }
  for (const line of readFileSync(`${FOLDER}/index.${pos}`, 'latin1').split('\n')) {
    if (!/^[a-z]/.test(line)) continue;
    const parts = line.trim().split(' ');
    const pointers = Number(parts[3]);
    const tagged = Number(parts[5 + pointers]);
    const senses = parts.slice(6 + pointers).map((offset) => `${pos}${offset}`);
    const known = words.get(parts[0]) ?? { senses: [], tagged: 0 };
    words.set(parts[0], {
      senses: [...known.senses, ...senses.map((set, i) => [set, SENSES[i] ?? 0.4])],
      tagged: known.tagged + tagged,
    });
  }
}

const lexicon = JSON.parse(readFileSync('src/core/words/lexicon.json', 'utf8'));
const fillers = new Set(lexicon.fillers);
const anchors = [
  ...new Set(
    Object.values(lexicon.words)
      .flat()
      .filter((word) => /^[a-z]{3,}$/.test(word) && !fillers.has(word)),
  ),
].sort();
const isAnchor = new Set(anchors);

/** For every word how near it stands to which anchors. */
const near = new Map();
const note = (word, anchor, figure) => {
  if (figure < LEAST || !/^[a-z]{3,}$/.test(word) || isAnchor.has(word) || fillers.has(word)) return;
  const list = near.get(word) ?? new Map();
  if (figure > (list.get(anchor) ?? 0)) list.set(anchor, figure);
  near.set(word, list);
};
/** How much of a word's use a set of synonyms has. */
const senseOf = (word, set) => words.get(word)?.senses.find(([one]) => one === set)?.[1] ?? 0.4;
for (const anchor of anchors) {
  for (const [name, worth] of words.get(anchor)?.senses ?? []) {
    const set = sets.get(name);
    if (!set || !ABOUT.has(set.about)) continue;
    for (const word of set.words) note(word, anchor, SAME * worth * senseOf(word, name));
    for (const [sign, to] of set.pointers) {
      const step = BY_POINTER[sign];
      const other = sets.get(to);
      if (!step || !other || !ABOUT.has(other.about)) continue;
      for (const word of other.words) note(word, anchor, step * worth * senseOf(word, to));
    }
  }
}

const used = anchors.filter((anchor) => [...near.values()].some((list) => list.has(anchor)));
const numberOf = new Map(used.map((anchor, i) => [anchor, i]));
const rows = [...near]
  .filter(([word, list]) => (words.get(word)?.tagged ?? 0) > 0 || Math.max(...list.values()) >= RARE)
  .sort(([a], [b]) => (a < b ? -1 : 1))
  .map(([word, list]) => {
    const best = [...list].sort((a, b) => b[1] - a[1]).slice(0, MOST);
    return `${word} ${best.map(([anchor, figure]) => `${numberOf.get(anchor)}:${Math.round(figure * 100)}`).join(' ')}`;
  });
const text = JSON.stringify({ anchors: used.join(' '), near: rows.join('\n') }, null, 2);
writeFileSync(FILE, `${text}\n`);
console.log(
  `${rows.length} words near ${used.length} of ours; ${Math.round(gzipSync(text).length / 1024)} KB gzipped.`,
);
