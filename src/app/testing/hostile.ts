import { readFileSync } from 'node:fs';
import { LISTED_FORMS, listIn } from '@/core/testing/listIn';
import { takesFile } from './callRoute';
import { PROGRAM, type Takes } from './prepareTakes';

/** A request that means no good: which route, what stands in its address, and what is sent. */
export type HostileRequest = {
  readonly name: string;
  readonly id: string;
  readonly slug: string;
  /** A query, a form with a file, or the text of a body. */
  readonly body: URLSearchParams | FormData | string;
};
/** Numbers from 0 to 1, always the same from a seed. */
export type Random = () => number;

/** Source: Marsaglia, "Xorshift RNGs" (2003), with a multiplier. */
export function randomFrom(seed: number): Random {
  let state = (seed * 2_654_435_761 + 1) >>> 0 || 1;
  return () => {
    state ^= state << 13;
    state >>>= 0;
    state ^= state >>> 17;
    state ^= state << 5;
    state >>>= 0;
    return (Math.imul(state, 1_597_334_677) >>> 0) / 2 ** 32;
  };
}
const among = <T>(random: Random, of: readonly T[]): T => of[Math.floor(random() * of.length)] as T;
/** A number up to a most, small ones as likely as large ones. */
const size = (random: Random, most: number): number => Math.floor(most ** random());

const NAMES = ['__proto__', 'constructor', 'toString', 'hasOwnProperty', 'then', 'length', 'revision', 'id'];
const TEXTS = [
  ...[
    '',
    ' ',
    '\u0000',
    'a\u0000b',
    '\ud83d',
    '\udc4d',
    '\u202eabc',
    '\u200b',
    '\ufeff',
    '\r',
    '\n\n',
    '\t',
    '\\',
    '"',
  ],
  ...["'; DROP TABLE programs; --", ':id', '$id', '?1', '%', '_', '../../etc/passwd', '..\\..', '%00', '%2e%2e%2f'],
  ...[
    '<script>alert(1)</script>',
    '{{name}}',
    `$${'{1+1}'}`,
    'e\u0301',
    '𝒦',
    '👩‍🎨',
    'İ',
    'ß',
    'ﬀ',
    '٣',
    '1e999',
    'NaN',
    '-0',
  ],
  ...[
    'Mod+',
    '+',
    '++',
    'hold:',
    'hold:hold:Space',
    'Mod+K Mod+S',
    'Mod+Mod+A',
    'mod+a',
    'F99',
    'Plus',
    'Ctrl+Alt',
    'A B C',
  ],
];
const REPEATED = [
  'a',
  'é',
  '*',
  '(',
  ' ',
  '\n',
  'Mod+',
  'hold:',
  'Mod+K ',
  '\u0301',
  '👍',
  '<b>',
  '"',
  '\\',
  '/',
  '../',
  '0',
];
const NUMBERS = [0, -1, 1, 2, 0.5, 1e21, 2 ** 31, 2 ** 53, -(2 ** 63), Number.MAX_VALUE, 5e-324];

function value(random: Random, depth = 0): unknown {
  const kind = random();
  if (kind < 0.35) return among(random, TEXTS);
  if (kind < 0.5) return among(random, REPEATED).repeat(size(random, 20_000));
  if (kind < 0.65) return among(random, NUMBERS);
  if (kind < 0.72) return among(random, [null, true, false]);
  if (kind < 0.78) return nested(size(random, 3000));
  if (kind < 0.84) return Array.from({ length: size(random, 5000) }, () => among(random, TEXTS));
  if (depth > 3) return {};
  const fields = Array.from({ length: size(random, 6) }, () => [among(random, NAMES), value(random, depth + 1)]);
  return kind < 0.92 ? fields.map(([, one]) => one) : Object.fromEntries(fields);
}
const nested = (depth: number): unknown => JSON.parse(`${'['.repeat(depth)}${']'.repeat(depth)}`) as unknown;

/** A value with one place of it replaced, taken out, doubled, or with one thing more. */
function spoilt(random: Random, whole: unknown): unknown {
  if (random() < 0.15 || whole === null || typeof whole !== 'object') return value(random);
  if (Array.isArray(whole)) {
    const at = Math.floor(random() * (whole.length + 1));
    if (at === whole.length || random() < 0.2) return [...whole, ...whole.slice(-1), value(random)];
    return whole.map((one, i) => (i === at ? spoilt(random, one) : one));
  }
  const fields = Object.entries(whole);
  const how = random();
  if (how < 0.12) return Object.fromEntries([...fields, [among(random, NAMES), value(random)]]);
  const at = Math.floor(random() * fields.length);
  if (how < 0.22) return Object.fromEntries(fields.filter((_, i) => i !== at));
  return Object.fromEntries(fields.map(([name, one], i) => [name, i === at ? spoilt(random, one) : one]));
}

const ADDRESSES = ['0', '-1', '1', '2', '1.5', '1e3', '999999', 'x', '', ' ', '__proto__', 'constructor', ...TEXTS];

/** A request to some route: what it takes, spoilt in some way. */
export async function hostileRequest(random: Random, names: readonly string[], all: Takes): Promise<HostileRequest> {
  const name = among(random, names);
  const odd = random() < 0.15;
  const id = odd ? among(random, ADDRESSES) : String(all.idFor(name));
  const slug = odd ? among(random, ADDRESSES) : PROGRAM;
  const given = await all.takes[name]?.();
  if (takesFile(name)) return { name, id, slug, body: formWith(random, hostileFile(random, 3000)) };
  if (given instanceof URLSearchParams || name.startsWith('GET ')) {
    const query = new URLSearchParams(given instanceof URLSearchParams ? given : {});
    const times = size(random, 4);
    for (let i = 0; i < times; i++) {
      const key = random() < 0.8 ? among(random, [...query.keys(), 'form', 'paper', 'columns', 'names']) : 'odd';
      query.set(key, random() < 0.7 ? among(random, TEXTS) : among(random, REPEATED).repeat(size(random, 2000)));
    }
    return { name, id, slug, body: query };
  }
  const text = JSON.stringify(spoilt(random, given));
  const how = random();
  if (how < 0.04) return { name, id, slug, body: text.slice(0, Math.floor(random() * text.length)) };
  if (how < 0.08) return { name, id, slug, body: text.replace(/"[a-z]+":/i, '"__proto__":') };
  return { name, id, slug, body: text };
}

const CHOICES = {
  roles: [['name', 'keys'], null],
  shown: [{ text: 'Lift stain,F2', name: [0, 10], keys: [11, 13], path: null }],
  signs: null,
};

function formWith(random: Random, bytes: Uint8Array): FormData {
  const form = new FormData();
  form.set('file', new Blob([bytes as Uint8Array<ArrayBuffer>]), among(random, TEXTS) || 'a');
  if (random() < 0.5) form.set('name', among(random, TEXTS));
  if (random() < 0.3) form.set('choices', JSON.stringify(spoilt(random, CHOICES)));
  if (random() < 0.2) form.set('corrections', JSON.stringify(spoilt(random, { '1.0': { name: 'Lift' } })));
  return form;
}

const PIECES = [
  ...[
    '*',
    '|',
    '\t',
    ';',
    ',',
    '"',
    "'",
    '`',
    ' ',
    '\r',
    '\n',
    '\r\n',
    '- ',
    '(',
    ')',
    '[',
    ']',
    '{',
    '}',
    '=',
    '::',
    '#',
  ],
  ...[
    '<div>',
    '<b>',
    '<table><tr><td>',
    '</td></tr></table>',
    '<!--',
    '<script>',
    '<sup>',
    '<kbd>',
    '</',
    '<br a b c d e f>',
    '<svg>',
  ],
  ...['&lt;', '&#0;', '&#x202e;', '&amp', '\u0000', '\ufeff', '\ud83d', 'é', '\u0301', '¹', '†', '…', '👍'],
  ...['Ctrl+', 'Ctrl+K or ', '⌘', '⌥⇧', 'Shift-', 'F', 'F2', '/', ' / ', 'Num ', '+', 'hold ', 'Lift stain,F2\n'],
  ...[
    'Command,Shortcut\n',
    'Menu\tCommand\tKeys\n',
    '| Command | Keys |\n|---|---|\n',
    '<table><tr><th>Command<th>Keys\n',
  ],
  ...[
    '{"format":"gray-pin-program",',
    '[',
    '{"a":',
    '"__proto__":',
    '\\u0000',
    'x'.repeat(1000),
    'Repair > Surface > ',
  ],
];
let whole: readonly string[] | undefined;

/** A list in some form, spoilt as files are: parts of it taken out, doubled, moved, bytes changed, broken off. */
function mutatedList(random: Random, most: number): Uint8Array {
  const bytes = listIn(among(random, LISTED_FORMS), 1 + size(random, 60)).slice(0, most);
  let file = bytes;
  for (let times = 1 + size(random, 6); times > 0 && file.length > 0; times--) {
    const from = Math.floor(random() * file.length);
    const part = file.slice(from, from + size(random, Math.min(400, file.length)));
    const [before, after] = [file.slice(0, from), file.slice(from + part.length)];
    const how = random();
    if (how < 0.25) file = joined(before, after);
    else if (how < 0.5) file = joined(before, part, part, after);
    else if (how < 0.65) {
      const to = Math.floor(random() * before.length);
      file = joined(before.slice(0, to), part, before.slice(to), after);
    } else if (how < 0.75) file = before;
    else if (how < 0.9) file = joined(before, new TextEncoder().encode(among(random, PIECES)), after);
    else file = file.map((byte) => (random() < 0.01 ? Math.floor(random() * 256) : byte));
  }
  return file;
}
const joined = (...parts: readonly Uint8Array[]): Uint8Array<ArrayBuffer> => new Uint8Array(Buffer.concat(parts));

/** A file that means no good, of so many bytes at most: pieces that are hard to read, repeated, or a real file spoilt. */
export function hostileFile(random: Random, most: number): Uint8Array {
  const how = random();
  if (how < 0.08) return Uint8Array.from({ length: size(random, most) }, () => Math.floor(random() * 256));
  if (how < 0.5) return mutatedList(random, most);
  if (how < 0.58) {
    whole ??= ['nibshore', 'tarnlight'].map((name) => readFileSync(`demo/${name}.json`, 'utf8'));
    const file = JSON.parse(among(random, whole)) as { program: { commands: unknown[] } };
    file.program.commands.length = size(random, file.program.commands.length);
    return new TextEncoder().encode(JSON.stringify(spoilt(random, file)));
  }
  const parts: string[] = [];
  const times = 1 + size(random, 8);
  for (let i = 0, room = most; i < times && room > 0; i++) {
    const piece = among(random, PIECES);
    const part = piece.repeat(Math.max(1, Math.min(size(random, most), Math.floor(room / piece.length))));
    parts.push(part);
    room -= part.length;
  }
  const text = parts.join('');
  if (how < 0.62) return new Uint8Array(Buffer.from(`\ufeff${text}`, 'utf16le'));
  return new TextEncoder().encode(text);
}

/** Files as large as are taken: each piece by itself over and over, then a few in turn. */
export function largestFiles(random: Random, bytes: number, mixed: number): readonly Uint8Array[] {
  const few = (): string => Array.from({ length: 2 + Math.floor(random() * 2) }, () => among(random, PIECES)).join('');
  return [...PIECES, ...Array.from({ length: mixed }, few)].map((turn) =>
    new TextEncoder().encode(turn.repeat(Math.ceil(bytes / turn.length))).slice(0, bytes),
  );
}

/** An address of a page: a real one spoilt, or none. */
export function hostileAddress(random: Random, pages: readonly string[]): string {
  const odd = () => encodeURIComponent(withoutHalves(among(random, ADDRESSES)));
  const parts = among(random, pages).split('/');
  const path = parts.map((one, i) => (i > 1 && random() < 0.4 ? odd() : one)).join('/');
  const tail = random() < 0.3 ? `/${odd()}` : '';
  const query = random() < 0.4 ? `?${among(random, ['form', 'keys', 'names', 'with', 'odd'])}=${odd()}` : '';
  return path + tail + query;
}
const withoutHalves = (text: string): string => text.replace(/[\ud800-\udfff]/g, '');
