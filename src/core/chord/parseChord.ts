import { remembering } from '../text/remembering';
import { trimEnd } from '../text/trimEnd';
import { type Chord, inOrder, MODIFIERS, type Modifier, type Stroke } from './chord';
import { isKnownKey, readKey } from './keyNames';
import { loosened } from './loosened';
import { MODIFIER_WORDS } from './modifierWords';
import { respelled } from './respelled';

/**
 * Reads one chord from any common way of writing it.
 *
 *   stroke   = modifier* [separator] key
 *   sequence = stroke ("then" stroke)* | stroke (" " stroke)*      each stroke but the first starting with a modifier
 *   hold     = "hold" chord | chord "(hold)"
 *
 * Separators are `+`, `-`, `·`, a space, or nothing after a symbol. What is not read so is read once more without the
 * brackets and small words that people and programs put around keys. Never throws; the time is linear in the length,
 * and texts longer than 120 characters are refused at once.
 */
export type ParsedChord =
  | { readonly ok: true; readonly chord: Chord }
  | { readonly ok: false; readonly part: string; readonly message: string };

/** Whose words `Ctrl` is: on Windows it is `Mod`, on a Mac and in our canonical text it is the Mac's Control. */
export type Dialect = 'windows' | 'mac' | 'canonical';

const MODIFIER_WORD = /^(?:[⌘⌥⇧⌃⊞⎇⎈❖◆^]|[Mm]od[14](?!\d)|\p{L}+)/u;
const COMMAND = /⌘|\b(?:cmd|command|befehl|befehlstaste|commande|comando)\b/i;
const SYMBOL = /^[⌘⌥⇧⌃⊞⎇⎈❖◆]$/u;
const LONGEST = 120;

const refuse = (part: string, message: string): ParsedChord => ({ ok: false, part, message });

export function parseChord(text: string, dialect: Dialect = 'windows'): ParsedChord {
  const rest = text
    .normalize('NFC')
    .replace(/[\s\u00a0]+/g, ' ')
    .trim();
  if (rest.length > LONGEST) return refuse(`${rest.slice(0, 20)}…`, 'This is too long to be keys.');
  const strict = parseStrictly(rest, dialect);
  if (strict.ok) return strict;
  const loose = loosened(rest);
  // Strokes are each spelled as keys alone are.
  const strokes = rest.split(THEN);
  const each = strokes.length < 2 ? [] : [respelled, loosened].map((spelled) => strokes.map(spelled).join(' then '));
  for (const other of new Set([loose, respelled(rest), respelled(loose), ...each])) {
    if (other === rest) continue;
    const read = parseStrictly(other, dialect);
    if (read.ok) return read;
  }
  return strict;
}

// Spaces are folded before anything is looked for, so that one is all there can be between two words.
const HOLD_BEFORE =
  /^(?:press and hold|hold down|while holding|hold|halten|gedrückt halten|maintenir|maintenez|mantener pulsad[oa]|mantener presionad[oa]|mantener) ?[:+]? ?(?=.)/i;
const HOLD_AFTER =
  /\b(?:hold down|hold|held|gedrückt halten|halten|gedrückt|maintenue?|maintenir|enfoncée?|mantener pulsad[oa]|mantener presionad[oa]|mantener|mantenid[oa])[)\]]?$/i;

/** The text without the words that say its keys are held; null where none say so. */
function withoutHold(text: string): string | null {
  const kept = /^keep (.+) pressed$/iu.exec(text)?.[1];
  if (kept !== undefined) return kept;
  const before = HOLD_BEFORE.exec(text)?.[0];
  // Some say it on both sides, as "maintenir Maj enfoncée".
  if (before !== undefined)
    return text.slice(before.length).replace(/ (?:enfoncée?|gedrückt|pulsad[oa]|presionad[oa])$/iu, '');
  const after = HOLD_AFTER.exec(text);
  const keys = after && trimEnd(text.slice(0, after.index), ' ,([');
  return keys === '' ? null : keys;
}

function parseStrictly(text: string, dialect: Dialect): ParsedChord {
  const held = withoutHold(text);
  const rest = held ?? text;
  const strokes: Stroke[] = [];
  for (const part of splitStrokes(rest)) {
    const stroke = parseStroke(part, dialect);
    if ('message' in stroke) return refuse(stroke.part, stroke.message);
    strokes.push(stroke);
  }
  const alone = strokes.find((stroke) => stroke.key === null);
  if (alone && strokes.length > 1) return refuse(rest, 'One of these strokes has no key.');
  return { ok: true, chord: { hold: held !== null || alone !== undefined, strokes } };
}

/** Canonical text back to a chord; null when it is not exactly what we would have written. */
export const parseCanonical: (text: string) => Chord | null = remembering(readCanonical);

function readCanonical(text: string): Chord | null {
  const hold = text.startsWith('hold:');
  const strokes: Stroke[] = [];
  for (const part of (hold ? text.slice(5) : text).split(' ')) {
    const words = part.split('+');
    const last = words[words.length - 1] ?? '';
    const bare = CANONICAL_MODIFIERS.has(last);
    const modifiers = (bare ? words : words.slice(0, -1)) as Modifier[];
    const key = bare ? null : last;
    if (modifiers.some((word) => !CANONICAL_MODIFIERS.has(word)) || (key !== null && !isKnownKey(key))) return null;
    if (inOrder(modifiers).join() !== modifiers.join() || (key === null && !hold)) return null;
    strokes.push({ modifiers, key });
  }
  return strokes.length > 1 && strokes.some((stroke) => stroke.key === null) ? null : { hold, strokes };
}
const CANONICAL_MODIFIERS: ReadonlySet<string> = new Set(MODIFIERS);

const THEN = / (?:then|and then|followed by|dann|danach|gefolgt von|puis|ensuite|suivi de|luego|después|seguido de) /i;

function splitStrokes(text: string): string[] {
  const said = text.split(THEN);
  if (said.length > 1) return said.map((part) => part.replace(/(?<=[^+\-\s⌘⌥⇧⌃⊞]),$/u, ''));
  // A space starts a new stroke only before a modifier that itself leads on to a key, and after a complete stroke.
  const parts: string[] = [];
  let open = '';
  for (const word of text.split(' ')) {
    const startsNew =
      /^(\p{L}+[+-]\S|[⌘⌥⇧⌃]\S)/u.test(word) &&
      modifierAt(word) !== null &&
      /[^+\-–·]$/u.test(open) &&
      !endsInModifier(open);
    if (startsNew) {
      parts.push(open);
      open = word;
    } else open = open === '' ? word : `${open} ${word}`;
  }
  return [...parts, open];
}

function endsInModifier(text: string): boolean {
  const end = text.at(-1) ?? '';
  const last = /[⌘⌥⇧⌃⊞]/u.test(end) ? end : (text.split(/\P{L}/u).at(-1) ?? '');
  return MODIFIER_WORDS[last.toLowerCase()] !== undefined;
}

function modifierAt(text: string): { word: string; modifier: Modifier | 'control' } | null {
  const word = MODIFIER_WORD.exec(text)?.[0];
  const modifier = word === undefined ? undefined : MODIFIER_WORDS[word.toLowerCase()];
  return word === undefined || modifier === undefined ? null : { word, modifier };
}

function parseStroke(text: string, dialect: Dialect): Stroke | { part: string; message: string } {
  const modifiers: Modifier[] = [];
  let mac = dialect !== 'windows';
  // Where Command is named, Control is the Mac's own, whoever wrote it.
  const macControl = mac || COMMAND.test(text);
  let rest = text.trim();
  for (;;) {
    const found = modifierAt(rest);
    if (!found) break;
    if (/^(cmd|command|opt|option|befehl|befehlstaste|commande|comando|⌘|⌥|⇧|⌃)$/i.test(found.word)) mac = true;
    const after = rest.slice(found.word.length);
    // "Win", "Control" and so on count as modifiers only when set off from what follows, unlike the symbols.
    const symbol = SYMBOL.test(found.word);
    const separator = /^\s*[+\-–·]\s*(?=\S)|^\s+(?=\S)|^$/u.exec(after);
    if (!symbol && !separator) break;
    const modifier = found.modifier === 'control' ? (macControl ? 'Ctrl' : 'Mod') : found.modifier;
    if (modifiers.includes(modifier)) return { part: found.word, message: `${found.word} stands there twice.` };
    modifiers.push(modifier);
    rest = after.slice(separator?.[0].length ?? 0).trim();
  }
  if (rest === '') {
    if (modifiers.length > 0) return { modifiers: inOrder(modifiers), key: null };
    return { part: text, message: 'There are no keys here.' };
  }
  const bare = rest.replace(/^["“«'] ?| ?["”»']$| key$/giu, '');
  // A quote beside another sign is a key, and no mark around it.
  const key = readKey(rest, mac && dialect !== 'canonical') ?? (/[\p{L}\p{N}]/u.test(bare) ? readKey(bare, mac) : null);
  if (key === null) return { part: rest, message: `We don't know a key called “${rest}”.` };
  return { modifiers: inOrder(modifiers), key };
}
