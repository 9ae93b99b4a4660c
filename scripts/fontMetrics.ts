/** Writes the advance widths of the shipped fonts to src/core/sheet/metrics.json, so that the core can measure text. */
import { writeFileSync } from 'node:fs';
import * as fontkit from 'fontkit';
import { FACE_FILES } from '../src/server/sheets/fontFiles';

const SYMBOLS = '⌘⌥⇧⌃⊞↩⇥⎋⌫⌦⇞⇟↖↘↑↓←→⇪⌤⟳◆●○□▾✓';

const metrics = Object.fromEntries(
  Object.entries(FACE_FILES).map(([face, file]) => {
    const font = fontkit.openSync(file) as fontkit.Font;
    const wanted = face.startsWith('symbols') ? [...SYMBOLS].map((c) => c.codePointAt(0) ?? 0) : [...font.characterSet];
    const advances: Record<string, number> = {};
    for (const code of wanted.sort((a, b) => a - b)) {
      if (code >= 32 && code !== 127 && font.hasGlyphForCodePoint(code)) {
        advances[code.toString(16)] = Math.round(
          (font.glyphForCodePoint(code).advanceWidth / font.unitsPerEm) * 10_000,
        );
      }
    }
    return [face, advances];
  }),
);
writeFileSync('src/core/sheet/metrics.json', `${JSON.stringify(metrics)}\n`);
console.log(
  Object.entries(metrics)
    .map(([face, advances]) => `${face} ${Object.keys(advances).length}`)
    .join(', '),
);
