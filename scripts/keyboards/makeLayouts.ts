/**
 * Writes src/core/keyboard/layouts.json from Debian's `xkb-data` and `x11proto-dev`: for every layout of the list, what
 * each character key prints at base, Shift, AltGr and Shift+AltGr. `npm run layouts`; one more layout is one more line.
 */
import { writeFileSync } from 'node:fs';
import { keysymPrinter } from './keysyms';
import { CHARACTER_KEYS, LAYOUT_LIST } from './layoutList';
import { readSymbols } from './xkbSymbols';

const print = keysymPrinter();
const layouts = LAYOUT_LIST.map(([id, name, xkb, shape]) => {
  const symbols = readSymbols(xkb);
  const keys = CHARACTER_KEYS.flatMap(([at, code]) => {
    const levels = (symbols.get(at) ?? []).slice(0, 4).map((symbol) => print(symbol) ?? '');
    while (levels.at(-1) === '') levels.pop();
    return levels.length > 0 ? [[code, levels] as const] : [];
  });
  return `{"id":${JSON.stringify(id)},"name":${JSON.stringify(name)},"xkb":${JSON.stringify(xkb)},"shape":"${shape}","keys":{\n${keys
    .map(([code, levels]) => `${JSON.stringify(code)}:${JSON.stringify(levels)}`)
    .join(',\n')}}}`;
});
writeFileSync('src/core/keyboard/layouts.json', `[\n${layouts.join(',\n')}\n]\n`);
console.log(`${layouts.length} layouts`);
