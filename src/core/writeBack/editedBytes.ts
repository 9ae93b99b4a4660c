import type { TextEdit } from './edits';

/** Texts as bytes in an encoding; null where it has no sign for something in them. */
export function encodeText(text: string, encoding: string): Uint8Array | null {
  if (encoding === 'utf-16le' || encoding === 'utf-16be') {
    const bytes = new Uint8Array(2 * text.length);
    const view = new DataView(bytes.buffer);
    for (let i = 0; i < text.length; i++) view.setUint16(2 * i, text.charCodeAt(i), encoding === 'utf-16le');
    return bytes;
  }
  if (encoding !== 'windows-1252') return new TextEncoder().encode(text);
  const bytes = new Uint8Array(text.length);
  for (let i = 0; i < text.length; i++) {
    const byte = WINDOWS_1252.get(text.charCodeAt(i));
    if (byte === undefined) return null;
    bytes[i] = byte;
  }
  return bytes;
}

/** Each byte by the sign it stands for, as the WHATWG Encoding standard has it. */
const WINDOWS_1252: ReadonlyMap<number, number> = new Map(
  Array.from(new TextDecoder('windows-1252').decode(Uint8Array.from({ length: 256 }, (_, i) => i)), (sign, i) => [
    sign.charCodeAt(0),
    i,
  ]),
);

/** How many bytes stand before the text of a file, to tell its encoding. */
function markLength(bytes: Uint8Array): number {
  const [a, b, c] = bytes;
  if (a === 0xef && b === 0xbb && c === 0xbf) return 3;
  return (a === 0xff && b === 0xfe) || (a === 0xfe && b === 0xff) ? 2 : 0;
}

/**
 * A file with edits of its text done: every byte between them stays as it is, so that the mark of the encoding, ends of
 * lines, and what is not quite right in it are kept.
 * @param edits in order and apart, each in signs that the encoding has.
 * @throws Error where one is not.
 */
export function editedBytes(bytes: Uint8Array, text: string, encoding: string, edits: readonly TextEdit[]): Uint8Array {
  const lengthOf = (part: string): number =>
    encoding === 'windows-1252' ? part.length : encoding.startsWith('utf-16') ? 2 * part.length : utf8Length(part);
  const parts: Uint8Array[] = [];
  let [at, from] = [0, 0];
  let byte = markLength(bytes);
  for (const one of edits) {
    byte += lengthOf(text.slice(at, one.from));
    const written = encodeText(one.text, encoding);
    if (!written) throw new Error('An edit has signs that the encoding of its file has not.');
    parts.push(bytes.subarray(from, byte), written);
    byte += lengthOf(text.slice(one.from, one.to));
    [at, from] = [one.to, byte];
  }
  parts.push(bytes.subarray(from));
  const all = new Uint8Array(parts.reduce((sum, one) => sum + one.length, 0));
  let to = 0;
  for (const one of parts) {
    all.set(one, to);
    to += one.length;
  }
  return all;
}

/** The bytes of a text in UTF-8. */
function utf8Length(text: string): number {
  let length = 0;
  for (let i = 0; i < text.length; i++) {
    const code = text.charCodeAt(i);
    // Two halves of a pair are two bytes each.
    length += code < 0x80 ? 1 : code < 0x800 || (code >= 0xd800 && code < 0xe000) ? 2 : 3;
  }
  return length;
}
