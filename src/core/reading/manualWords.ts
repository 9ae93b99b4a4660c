/** Signs that the source of a manual names: `\(aq`, `\[rs]`. */
const NAMED: Readonly<Record<string, string>> = {
  aq: "'",
  cq: "'",
  oq: "'",
  dq: '"',
  lq: '"',
  rq: '"',
  ga: '`',
  ha: '^',
  ti: '~',
  rs: '\\',
  bu: '•',
  en: '–',
  em: '—',
  mi: '-',
  hy: '-',
  pl: '+',
  sl: '/',
  at: '@',
  sh: '#',
  ua: '↑',
  da: '↓',
  '->': '→',
  '<-': '←',
  lB: '[',
  rB: ']',
  lC: '{',
  rC: '}',
  ba: '|',
  co: '©',
};
const SIGNS: Readonly<Record<string, string>> = {
  '-': '-',
  e: '\\',
  '&': '',
  '|': '',
  '^': '',
  '~': ' ',
  ' ': ' ',
  '0': ' ',
  "'": "'",
  '`': '`',
  '%': '',
};

/** What a part of the source of a manual says: without fonts and sizes, with the signs that are named there. */
export const manualWords = (source: string): string =>
  source
    .replace(/\\f(?:\(..|\[[^\]]{0,12}\]|.)|\\s[+-]?\d{1,2}|\\m\[[^\]]{0,20}\]/gu, '')
    .replace(
      /\\(?:\((\S{2})|\[([^\]\s]{1,12})\])/gu,
      (all, short?: string, long?: string) => NAMED[short ?? long ?? ''] ?? all,
    )
    .replace(/\\([-e&|^~ 0'`%])/gu, (_, sign: string) => SIGNS[sign] ?? '')
    .replace(/@(?:kbd|key|code|samp|command|asis|strong|b|i|var|emph|w|dfn|file|option|r|t)\{([^{}]{0,200})\}/gu, '$1')
    .replace(/@([@{}])/gu, '$1');
