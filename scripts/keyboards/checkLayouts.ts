/**
 * Compares layouts.json with the X keyboard data as an independent tool compiles it (`xkbcli`, Debian's
 * libxkbcommon-tools) and says how many legends were compared. `npm run check-layouts`.
 */
import { execFileSync } from 'node:child_process';
import { readFileSync } from 'node:fs';
import { keysymPrinter } from './keysyms';
import { CHARACTER_KEYS, LAYOUT_LIST } from './layoutList';

type Facts = { id: string; keys: Record<string, string[]> };
const facts = JSON.parse(readFileSync('src/core/keyboard/layouts.json', 'utf8')) as Facts[];
const print = keysymPrinter();
let compared = 0;
const wrong: string[] = [];
for (const [id, , xkb] of LAYOUT_LIST) {
  const [, layout = '', variant = ''] = /^(\w+)(?:\(([\w-]+)\))?$/.exec(xkb) ?? [];
  const keymap = execFileSync('xkbcli', ['compile-keymap', '--layout', layout, '--variant', variant], {
    encoding: 'utf8',
  });
  const compiled = new Map<string, string[]>();
  for (const [, name = '', body = ''] of keymap.matchAll(/^\s*key <(\w+)>\s*\{([^;]*)\};/gm)) {
    // The group's own number in brackets is none of its symbols.
    const lists = [
      ...body
        .replace(/type(?:\[\d\])?\s*=\s*"[^"]*",?/g, '')
        .matchAll(/(?:symbols\[(?:Group)?1\]\s*=\s*)?\[([^\]]*)\]/g),
    ];
    const list = lists.map((one) => one[1] ?? '').find((one) => !/^(?:Group)?\d$/.test(one));
    if (list !== undefined)
      compiled.set(
        name,
        list.split(',').map((one) => one.trim()),
      );
  }
  const ours = facts.find((one) => one.id === id);
  for (const [at, code] of CHARACTER_KEYS) {
    const symbols = compiled.get(at) ?? [];
    for (let level = 0; level < 4; level++) {
      const theirs = print(symbols[level] ?? 'NoSymbol') ?? '';
      const mine = ours?.keys[code]?.[level] ?? '';
      if (CHARACTER_KEYS.findIndex(([one]) => one === at) < 48 || theirs !== '' || mine !== '') compared++;
      if (mine !== theirs) wrong.push(`${id} ${code} level ${level + 1}: ours “${mine}”, compiled “${theirs}”`);
    }
  }
}
for (const line of wrong) console.log(line);
console.log(`${compared} legends of ${LAYOUT_LIST.length} layouts compared, ${wrong.length} differ.`);
process.exit(wrong.length === 0 && compared > 5000 ? 0 : 1);
