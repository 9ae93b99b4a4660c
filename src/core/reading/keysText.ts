import { parseChord } from '../chord/parseChord';
import { escapedStrokes } from '../chord/respelled';
import { withoutOdd } from '../text/oddCharacter';
import { trimEnd } from '../text/trimEnd';

const PAD =
  /\b(?:num|num ?pad|number pad|numeric keypad|key ?pad|ziffernblock|pavé num(?:érique)?|teclado num(?:érico)?)\b/iu;
/** The key of the number pad, which is no mark of a note. */
const PAD_END = /(?:num|pad|kp|block|num[ée]rico|num[ée]rique)\s?\*$/iu;
const HELD =
  /^(?:press and )?(?:hold(?: down)?|held|halten|gedrückt(?: halten)?|maintenir|maintenue?|mantener(?: (?:pulsad|presionad)[oa])?|mantenid[oa])$/iu;
const MAC = /^(?:on )?(?:an? |the )?(?:mac|macs|macos|mac os(?: x)?|os ?x|osx|apple)(?: only)?$/iu;
const OTHERS =
  /^(?:on )?(?:windows|linux|win|pc|unix|(?:windows|linux|win|pc)\s*[/,&+]\s*(?:windows|linux|win|pc))(?: only)?$/iu;

/**
 * What a cell says of keys, without what lists, manuals and settings put around them: invisible signs, typographic
 * hyphens, quotes and backticks, tags and marks of emphasis, brackets of lists, words such as "Shortcut:", notes in
 * brackets that don't tell keys, and what is for another platform than the list's.
 * @param mac whether the list is written for the Mac.
 */
export function keysText(text: string, mac: boolean): string {
  // Nothing is put around keys that are only joined words.
  if (/^[A-Za-z\d]+(?:\+[A-Za-z\d]+)*$/u.test(text)) return text;
  let cell = withoutMarks(
    withoutOdd(text)
      .replace(/[˜ˆ∼∗−]/gu, (sign) => LOOKALIKES[sign] ?? sign)
      .replace(/\u00AD|\u200C|\u200D|\u2060/gu, '')
      .replace(/[^\S\n]+/gu, ' '),
  );
  const escaped = escapedStrokes(cell);
  if (escaped !== null) return escaped;
  cell = forPlatform(cell, mac);
  cell = withoutNotes(bothPlatforms(cell));
  cell = cell.replace(/(?<=\S) ?(?:[¹²³⁴⁵⁶⁷⁸⁹†‡]{1,9}|\[(?:\d{1,2}|default|standard|Standard)\])/gu, '').trim();
  if (/[\p{L}\p{N}]\*/u.test(cell) && !PAD_END.test(cell)) cell = trimEnd(cell, '*');
  // A mark that stands apart leads to a note, but for the key itself behind a plus.
  const bare = PAD_END.test(cell) ? cell : cell.replace(/(?<=[\p{L}\p{N}]) \*+$/u, '');
  // What follows is in another line.
  return bare
    .replace(LEAD, '')
    .replace(/(?<=\p{L}\p{L}),$/u, '')
    .trim();
}

/** Signs that type set for print has in the place of those on keys. */
const LOOKALIKES: Readonly<Record<string, string>> = { '˜': '~', ˆ: '^', '∼': '~', '∗': '*', '−': '-' };

const LEAD =
  /^(?:(?:default |standard )?(?:short ?cuts?|hot ?keys?|key ?bindings?|accelerators?|defaults?)\s*:\s*|(?:short ?cut|hot ?key|key ?binding)\s+(?=\S+\s*[+-])|keys?\s*:\s*(?=\S))/iu;

function withoutMarks(text: string): string {
  const list = /^\s*(?:@\w+ )?\[\s*(?:(["']).*\1\s*)?\]\s*$/su.test(text);
  let cell = list ? text.replace(/^\s*(?:@\w+ )?\[|\]\s*$/gu, '').replace(/(["'])\s*,\s*(?=["'])/gu, '$1\n') : text;
  // As `kbd:[Ctrl+N]`.
  const [before = '', ...marked] = cell.split('kbd:[');
  cell = (before + marked.map((part) => part.replace(']', '')).join(''))
    .replace(/<\/(?:kbd|key|code)>\s*<(?:kbd|key|code)>/giu, '+')
    .replace(/<\/?(?:kbd|key|code|b|i|em|strong|span|tt)(?:\s[^<>]*)?>/giu, '')
    .replace(/:kbd:(?=`)/gu, '')
    // Hyphens that only look otherwise, where they join.
    .replace(/[‐‑‒]/gu, '-')
    // Some toolkits say of each that it is a key: `<Control-Key-c>`.
    .replace(/(?<=<(?:[A-Za-z]{3,8}-){0,4})Key(?:Press)?-(?=[^<>\s]{1,20}>)/gu, '')
    // In a terminal Escape leads on to what is pressed next.
    .replace(/(?<![\p{L}\p{N}+-])esc-(?=\S)/giu, 'Esc then ')
    .replace(/(?<=\p{L})[–—](?=\S)/gu, '-');
  for (const pair of PAIRS) cell = cell.replace(pair, '$1');
  // Straight quotes are keys as well: they are marks where nothing but signs between keys is beside them.
  return cell.replace(/'[^'\n]{1,30}'|"[^"\n]{1,60}"/gu, (quoted, at: number) => {
    const [before, after] = [cell[at - 1] ?? ' ', cell[at + quoted.length] ?? ' '];
    return /[\s,(/+-]/u.test(before) && /[\s,)/;+-]/u.test(after) ? quoted.slice(1, -1) : quoted;
  });
}
const PAIRS: readonly RegExp[] = [
  /``?([^`\n]{1,80})``?/gu,
  /“\s?([^“”\n]{1,80})\s?”/gu,
  /«\s?([^«»\n]{1,80})\s?»/gu,
  /(?<![\p{L}+-])‘([^‘’\n]{2,80})’/gu,
  /(?<=^|[\s,(/+-])\*\*([^*\n]{1,80})\*\*/gu,
  /(?<=^|[\s,(/+-])__([^_\n]{1,80})__/gu,
  /(?<=^|[\s,(/+-])\*([^*\s][^*\n]{0,80})\*(?=$|[\s,)/;+-])/gu,
];

/** Of what is told for several platforms, what is for the list's own; all where nothing is left. */
function forPlatform(text: string, mac: boolean): string {
  let cell = withoutAside(
    text
      .replace(/\(\s?(?:on )?(?:mac|macos|os ?x|apple)\s?:?\s([^()]{1,60})\)/giu, mac ? 'or $1' : '')
      .replace(/\(([^()]{1,60}) on (?:an? |the )?(?:mac|macos|os ?x)\)/giu, mac ? 'or $1' : ''),
    mac,
  );
  const head = /^([\p{L}/,&][\p{L} /,&]{0,20}): ?(?=\S)/u.exec(cell);
  if (head && OTHERS.test((head[1] ?? '').trim())) cell = cell.slice(head[0].length);
  const parts = cell.split(/(?<=\)) ?[,;/|]? ?(?:or )?(?=[^\s,;/|)])/u);
  if (parts.length > 1) {
    const noted = parts.map((part) => /\(([^()]{2,24})\)\s*$/u.exec(part)?.[1] ?? '');
    const own = parts.filter((_, i) => !(mac ? OTHERS : MAC).test(noted[i] ?? ''));
    if (own.length > 0 && own.length < parts.length) cell = own.join(' or ');
  }
  const bare = cell.replace(/ ?\(([^()]{2,24})\)/gu, (all, note: string) =>
    MAC.test(note) || OTHERS.test(note) ? '' : all,
  );
  return bare.trim() === '' ? text : bare;
}

/** A text without what it says behind a comma, such as `also ⌘+Z on macOS`; on a Mac that alone. */
function withoutAside(text: string, mac: boolean): string {
  const said = / on (?:an? |the )?(?:mac|macos|os ?x)\b/iu.exec(text);
  if (!said) return text;
  const before = text.slice(0, said.index);
  const [comma, also] = [
    Math.max(before.lastIndexOf(','), before.lastIndexOf(';')),
    before.search(/\b(?:also|or|und|ou) /iu),
  ];
  const from = comma > 0 ? comma : also;
  if (from <= 0) return text;
  const aside = before.slice(from).replace(/^[,;]?\s?(?:also |or |und |ou )?/iu, '');
  return mac ? aside : text.slice(0, from) + text.slice(said.index + said[0].length);
}

/** `Ctrl/Cmd+S` is one chord: the modifier of whoever reads it. */
function bothPlatforms(text: string): string {
  return text
    .replace(
      /(?<![\p{L}+])(?:ctrl|control|cmd|command|⌘)\s*(?:[/|]|\bor\b)\s*(?:ctrl|control|cmd|command|⌘)(?=\s*[+-])/giu,
      'CmdOrCtrl',
    )
    .replace(/(?<![\p{L}])(ctrl|control)\s?\((?:cmd|command|⌘)\)(?=\s*[+-])/giu, 'CmdOrCtrl')
    .replace(/(?<![\p{L}])(?:alt\s*[/|]\s*(?:option|opt|⌥)|(?:option|opt|⌥)\s*[/|]\s*alt)(?=\s*[+-])/giu, 'Alt');
}

/** A text without notes in brackets, or with what they say of keys in plain words. */
function withoutNotes(text: string): string {
  const whole = /^\(([^()]{1,60})\)$/u.exec(text.trim())?.[1] ?? /^\[([^[\]]{2,60})\]$/u.exec(text.trim())?.[1];
  if (whole !== undefined && /[\p{L}\p{N}]/u.test(whole) && parseChord(whole).ok) return whole;
  let kept = '';
  let from = 0;
  for (let open = text.search(/[([]/u); open >= 0; ) {
    const close = text[open] === '(' ? ')' : ']';
    const next = text.slice(open + 1).search(/[()[\]]/u);
    if (next < 0) break;
    const end = open + 1 + next;
    const inside = text.slice(open + 1, end).trim();
    const before = text.slice(from, open);
    const said =
      text[end] === close && (kept + before).trim() !== '' ? noteSays(inside, kept + before, close === ']') : null;
    if (said !== null) {
      kept += before.trimEnd() + said;
      from = end + 1;
    }
    const again = text.slice(end + (said === null ? 0 : 1)).search(/[([]/u);
    open = again < 0 ? -1 : end + (said === null ? 0 : 1) + again;
    if (said === null && open === end - next - 1) break;
  }
  return kept + text.slice(from);
}

/** What stands for a note in brackets behind keys; null where the brackets are keys themselves, or hold them. */
function noteSays(inside: string, before: string, square: boolean): string | null {
  if (HELD.test(inside)) return ' (hold)';
  if (PAD.test(inside) && inside.split(' ').length < 6) return ' (numpad)';
  const other = /^(?:or|oder|ou|also|auch|aussi|también|o) (\S.*)$/iu.exec(inside)?.[1];
  if (other !== undefined && parseChord(other).ok) return ` or ${other}`;
  if (square) return null;
  // A sign behind its own name says it once more.
  if (/^[^\p{L}\p{N}\s]{1,2}$/u.test(inside)) return /[\p{L}]{3} ?$/u.test(before) ? '' : null;
  if (/^\p{L}$/u.test(inside) || /^\d{1,2}$/u.test(inside)) return '';
  if (/[+⌘⌥⇧⌃]/u.test(inside) && parseChord(inside).ok) return ` or ${inside}`;
  if (/^F\d{1,2}$/iu.test(inside)) return ` or ${inside}`;
  // Brackets right behind a sign belong to it.
  return /\p{L}{2}/u.test(inside) && !/[^\p{L}\p{N}\s]$/u.test(before) ? '' : null;
}
