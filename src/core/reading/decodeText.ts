/** A file's bytes as text, or the plain reason why they are not text. */
export type Decoded =
  | { readonly ok: true; readonly text: string; readonly encoding: string }
  | { readonly ok: false; readonly message: string };

/**
 * Recognizes the encoding of a text file: a byte order mark, UTF-16 by its zero bytes, UTF-8 if valid, else Windows-1252
 * (as the WHATWG Encoding standard names them).
 */
export function decodeText(bytes: Uint8Array): Decoded {
  if (bytes.length === 0) return { ok: false, message: 'The file is empty.' };
  const encoding = guessEncoding(bytes);
  const text = new TextDecoder(encoding).decode(bytes);
  // Control characters other than tab, line ends and form feed do not occur in lists people read.
  let odd = 0;
  for (let i = 0; i < text.length && i < 20_000; i++) {
    const code = text.charCodeAt(i);
    if ((code < 32 && code !== 9 && code !== 10 && code !== 13 && code !== 12) || code === 0xfffd) odd++;
  }
  if (odd > 3 && odd > Math.min(text.length, 20_000) / 500) {
    return {
      ok: false,
      message: "This isn't a text file we can read. Save the list as CSV or as a web page and try again.",
    };
  }
  return { ok: true, text, encoding };
}

function guessEncoding(bytes: Uint8Array): string {
  const [a, b, c] = bytes;
  if (a === 0xef && b === 0xbb && c === 0xbf) return 'utf-8';
  if (a === 0xff && b === 0xfe) return 'utf-16le';
  if (a === 0xfe && b === 0xff) return 'utf-16be';
  let even = 0;
  let odd = 0;
  const looked = Math.min(bytes.length, 4000);
  for (let i = 0; i < looked; i++) {
    if (bytes[i] === 0) {
      if (i % 2 === 0) even++;
      else odd++;
    }
  }
  if (odd > looked / 5 && even < odd / 10) return 'utf-16le';
  if (even > looked / 5 && odd < even / 10) return 'utf-16be';
  try {
    new TextDecoder('utf-8', { fatal: true }).decode(bytes);
    return 'utf-8';
  } catch {
    return 'windows-1252';
  }
}
