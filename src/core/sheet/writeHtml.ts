import { INK_COLORS } from '../workspace/appearance';
import { INK_SHAPES, INK_WORDS } from '../workspace/dressing';
import type { SheetContents, SheetLine } from './sheet';

const safe = (text: string): string => text.replace(/[&<>"']/g, (one) => `&#${one.charCodeAt(0)};`);

/** A sheet as a fragment of a web page: what can be pasted into a post or a mail, without style sheets or scripts. */
export function writeFragment({ title, notes, groups, heads }: SheetContents): string {
  const said = notes.map((one) => one.replace(/^● ?/, '')).join(' · ');
  return [
    `<h1>${safe(title)}</h1>`,
    ...(said === '' ? [] : [`<p>${safe(said)}</p>`]),
    ...groups.flatMap((group) => [
      `<h2>${safe(group.title)}</h2>`,
      '<table>',
      ...(heads ? [`<tr><th></th>${heads.map((one) => `<th>${safe(one)}</th>`).join('')}</tr>`] : []),
      ...group.lines.map((line) => `<tr><td>${nameOf(line)}</td>${cellsOf(line)}</tr>`),
      '</table>',
    ]),
    '',
  ].join('\n');
}

function nameOf({ name, changed, mark, notes }: SheetLine): string {
  const shape = mark
    ? `<svg width="10" height="10" viewBox="0 0 12 12" role="img" aria-label="${INK_WORDS[mark].name}"><path d="${INK_SHAPES[mark]}" fill="${INK_COLORS[mark]}" fill-rule="evenodd"/></svg> `
    : '';
  const own = changed ? `<strong>${safe(name)}</strong>` : safe(name);
  return `${shape}${own}${(notes ?? []).map((one) => `<br><small>${safe(one)}</small>`).join('')}`;
}

function cellsOf(line: SheetLine): string {
  const columns = line.columns?.map((keys) => keysOf({ keys })) ?? [keysOf(line)];
  return columns.map((one) => `<td>${one}</td>`).join('');
}

function keysOf({ keys, again = [] }: Pick<SheetLine, 'keys' | 'again'>): string {
  const chord = (caps: readonly string[]): string =>
    caps.map((one) => (one === 'hold' || one === 'then' ? ` ${one} ` : `<kbd>${safe(one)}</kbd>`)).join('');
  return [...keys, ...again].map(chord).join(' or ');
}

const STYLE = `body{font:15px/1.45 system-ui,sans-serif;max-width:72rem;margin:2rem auto;padding:0 1rem;color:#161616;background:#fff}
main{columns:22rem;column-gap:2.5rem}h1{font-size:1.5rem;margin:0 0 .3rem}h2{font-size:1.05rem;margin:1.2rem 0 .3rem;border-bottom:2px solid;break-after:avoid}
table{width:100%;border-collapse:collapse}tr{break-inside:avoid;border-bottom:1px solid #ccc}td{padding:.28rem 0;vertical-align:top}td+td{text-align:right;white-space:nowrap;padding-left:1rem}
kbd{font:.85em ui-monospace,monospace;border:1px solid #767676;border-radius:4px;padding:.1em .4em;margin-left:.2em}small{color:#555}th{text-align:left;font-weight:400;color:#555;padding-left:1rem}
@media print{body{margin:0;max-width:none}}`;

/** A sheet as one file that any browser shows, offline, and prints. */
export function writePage(contents: SheetContents): string {
  const fragment = writeFragment(contents);
  const at = fragment.indexOf('<h2>');
  const [head, body] = at < 0 ? [fragment, ''] : [fragment.slice(0, at), fragment.slice(at)];
  return `<!DOCTYPE html>
<html lang="en">
<head>
<meta charset="utf-8">
<meta name="viewport" content="width=device-width, initial-scale=1">
<title>${safe(contents.title)}</title>
<style>${STYLE}</style>
</head>
<body>
${head}<main>
${body}</main>
</body>
</html>
`;
}
