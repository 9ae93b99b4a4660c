import { readFileSync } from 'node:fs';
import { inflateSync } from 'node:zlib';

/** Tables that move or replace letters depending on their neighbors; the layout measures each letter by its own width. */
const LEFT_OUT = new Set(['GPOS', 'GSUB', 'GDEF', 'kern', 'morx', 'DSIG']);
const DIRECTORY_ENTRY = 20;

const known = new Map<string, Buffer>();

/**
 * A font file (WOFF 1.0, W3C Recommendation 2012) as plain sfnt data without kerning and ligatures, ready for the PDF
 * library, which would otherwise unpack it at every sheet. Remembered by path.
 */
export function plainFont(path: string): Buffer {
  let font = known.get(path);
  if (!font) {
    font = unpack(readFileSync(path));
    known.set(path, font);
  }
  return font;
}

function unpack(woff: Buffer): Buffer {
  if (woff.toString('latin1', 0, 4) !== 'wOFF') throw new Error('This is not a WOFF file.');
  const count = woff.readUInt16BE(12);
  const tables: { tag: string; checksum: number; data: Buffer }[] = [];
  for (let i = 0; i < count; i++) {
    const at = 44 + i * DIRECTORY_ENTRY;
    const tag = woff.toString('latin1', at, at + 4);
    const [offset, packed, length] = [woff.readUInt32BE(at + 4), woff.readUInt32BE(at + 8), woff.readUInt32BE(at + 12)];
    if (LEFT_OUT.has(tag)) continue;
    const raw = woff.subarray(offset, offset + packed);
    tables.push({ tag, checksum: woff.readUInt32BE(at + 16), data: packed < length ? inflateSync(raw) : raw });
  }
  const power = 2 ** Math.floor(Math.log2(tables.length));
  const head = Buffer.alloc(12 + 16 * tables.length);
  woff.copy(head, 0, 4, 8);
  head.writeUInt16BE(tables.length, 4);
  head.writeUInt16BE(power * 16, 6);
  head.writeUInt16BE(Math.log2(power), 8);
  head.writeUInt16BE((tables.length - power) * 16, 10);
  const parts: Buffer[] = [head];
  let offset = head.length;
  tables.forEach(({ tag, checksum, data }, i) => {
    const at = 12 + 16 * i;
    head.write(tag, at, 'latin1');
    head.writeUInt32BE(checksum, at + 4);
    head.writeUInt32BE(offset, at + 8);
    head.writeUInt32BE(data.length, at + 12);
    const padded = Buffer.concat([data, Buffer.alloc((4 - (data.length % 4)) % 4)]);
    parts.push(padded);
    offset += padded.length;
  });
  return Buffer.concat(parts);
}
