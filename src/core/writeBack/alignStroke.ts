import type { Modifier, Stroke } from '../chord/chord';
import { MODIFIER_WORDS } from '../chord/modifierWords';

/** One stroke as it is written, taken apart. */
export type Aligned = {
  readonly before: string;
  readonly modifiers: readonly (readonly [modifier: Modifier, word: string])[];
  readonly joints: readonly string[];
  /** The word of its key; a capital where that says Shift. */
  readonly key: string;
  readonly behind: string;
  readonly keyFirst: boolean;
  readonly capital: boolean;
};

const OPENS = /^(?:<(?:kbd|key|code|tt|b|strong|em|i|span)(?:\s[^<>]{0,200})?>){1,4}/u;
const CLOSES = /(?:<\/\w{1,8}>){1,4}$/u;
const ANGLED = /^<(?:[^<>]{1,40}|[^<>]{0,40}[+-][<>])>$/u;
/** What may stand between a modifier and what it is held with. */
const JOINT = /^(?:<\/\w{1,8}>\s{0,4}[+\-–·_]?\s{0,4}<\w{1,8}>|\s{0,4}[+\-–·_]?\s{0,4})/u;
const BY_LETTER: Readonly<Record<string, readonly Modifier[]>> = {
  c: ['Mod', 'Ctrl'],
  m: ['Alt', 'Meta'],
  a: ['Alt'],
  s: ['Shift', 'Meta'],
  w: ['Meta'],
  d: ['Mod', 'Meta'],
  e: ['Alt'],
};
/** Signs of property lists before a key. */
const SIGNS: Readonly<Record<string, readonly Modifier[]>> = {
  '^': ['Ctrl', 'Mod'],
  '~': ['Alt'],
  $: ['Shift'],
  '@': ['Mod'],
};

/**
 * Takes a stroke apart as it is written, by the keys it is known to mean.
 * @param isKey whether a word is read as a key.
 * @returns null where its modifiers can't be told from its key.
 */
export function alignStroke(
  raw: string,
  stroke: Stroke,
  isKey: (word: string, key: string) => boolean,
): Aligned | null {
  const opens = OPENS.exec(raw)?.[0] ?? (ANGLED.test(raw) ? '<' : '');
  const closes = opens === '<' ? '>' : opens === '' ? '' : (CLOSES.exec(raw)?.[0] ?? '');
  const [before, behind] = opens !== '' && closes !== '' ? [opens, closes] : ['', ''];
  const inner = raw.slice(before.length, raw.length - behind.length);
  const ways = [alignIn(inner, stroke), alignIn(inner, withoutShift(stroke)), keyFirst(inner, stroke)];
  for (const [i, found] of ways.entries()) {
    if (!found) continue;
    const capital = i === 1 && stroke.modifiers.includes('Shift');
    if (i === 1 && !(capital && /^\p{Lu}$/u.test(found.key))) continue;
    if (stroke.key === null ? found.key === '' : capital || isKey(found.key, stroke.key))
      return { ...found, before, behind, capital, keyFirst: i === 2 };
  }
  return null;
}

const withoutShift = (stroke: Stroke): Stroke => ({
  ...stroke,
  modifiers: stroke.modifiers.filter((one) => one !== 'Shift'),
});

type Found = Pick<Aligned, 'modifiers' | 'joints' | 'key'>;

/** Modifiers from the left, each with what joins it, until only those meant are found; the rest is the key. */
function alignIn(text: string, stroke: Stroke): Found | null {
  const missing = new Set(stroke.modifiers);
  const modifiers: [Modifier, string][] = [];
  const joints: string[] = [];
  let rest = text;
  while (missing.size > 0) {
    const found = modifierAt(rest, missing);
    if (!found) return null;
    missing.delete(found.modifier);
    modifiers.push([found.modifier, found.word]);
    rest = rest.slice(found.word.length);
    const joint = JOINT.exec(rest)?.[0] ?? '';
    // What joins may be the key itself, as in `Ctrl+-`.
    const cut = joint.length === rest.length && stroke.key !== null ? joint.slice(0, joint.search(/\S\s*$/u)) : joint;
    if (missing.size > 0 || stroke.key !== null) joints.push(cut);
    rest = rest.slice(cut.length);
  }
  return { modifiers, joints, key: rest };
}

function modifierAt(text: string, missing: ReadonlySet<Modifier>): { word: string; modifier: Modifier } | null {
  const which = (some: readonly Modifier[]): Modifier | undefined => some.find((one) => missing.has(one));
  const meant = (word: string): Modifier | undefined => {
    const found = MODIFIER_WORDS[word.toLowerCase()];
    return found === undefined ? undefined : which(found === 'control' ? ['Mod', 'Ctrl'] : [found]);
  };
  const both =
    /^(?:ctrl|control|cmd|command|⌘)\s*(?:[/|]|\bor\b)\s*(?:ctrl|control|cmd|command|⌘)/iu.exec(text)?.[0] ??
    /^(?:ctrl|control)\s?\((?:cmd|command|⌘)\)/iu.exec(text)?.[0];
  if (both !== undefined && missing.has('Mod')) return { word: both, modifier: 'Mod' };
  const angled = /^<([\p{L}\d]{1,12})>/u.exec(text);
  const byAngled = angled && meant(angled[1] ?? '');
  if (angled && byAngled) return { word: angled[0], modifier: byAngled };
  const word = /^\$?[\p{L}_]+[14]?/u.exec(text)?.[0] ?? '';
  // Words written together, such as `CtrlShiftZ`, are told by their capitals.
  for (const one of [word, /^\p{L}\p{Ll}+/u.exec(text)?.[0] ?? '']) {
    const modifier = meant(one);
    if (one !== '' && modifier && text.length > one.length) return { word: one, modifier };
  }
  const letter = /^(?:\\?[CMASWDcmaswd](?=-)|\\[eE])/u.exec(text)?.[0];
  const byLetter = letter === undefined ? undefined : which(BY_LETTER[letter.at(-1)?.toLowerCase() ?? ''] ?? []);
  if (letter !== undefined && byLetter) return { word: letter, modifier: byLetter };
  const sign = /^[⌘⌥⇧⌃⊞⎇⎈❖◆^~$@]/u.exec(text)?.[0];
  const bySign = sign === undefined ? undefined : (meant(sign) ?? which(SIGNS[sign] ?? []));
  if (sign !== undefined && bySign && text.length > 1) return { word: sign, modifier: bySign };
  if (text === word && meant(word)) return { word, modifier: meant(word) as Modifier };
  // A word of the file's own that stands for the one modifier left.
  const [only] = missing;
  return word !== '' && missing.size === 1 && only && /^\s*[+-]\S/u.test(text.slice(word.length))
    ? { word, modifier: only }
    : null;
}

/** The key before its modifiers, `Z+Ctrl`. */
function keyFirst(text: string, stroke: Stroke): Found | null {
  const [key = '', ...words] = text.split(/([+_-])/u);
  if (words.length !== 2 * stroke.modifiers.length || words.length === 0) return null;
  const missing = new Set(stroke.modifiers);
  const modifiers: [Modifier, string][] = [];
  for (let i = 1; i < words.length; i += 2) {
    const word = words[i] ?? '';
    const found = MODIFIER_WORDS[word.toLowerCase()];
    const modifier = found === 'control' ? (['Mod', 'Ctrl'] as const).find((one) => missing.has(one)) : found;
    if (!modifier || !missing.has(modifier)) return null;
    missing.delete(modifier);
    modifiers.push([modifier, word]);
  }
  return { key, modifiers, joints: words.filter((_, i) => i % 2 === 0) };
}
