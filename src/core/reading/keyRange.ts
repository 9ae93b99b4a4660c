const HELD = String.raw`(?:[\p{L}\d]+\s*[+-]\s*)*`;
const LAST = String.raw`F\d{1,2}|\d|\p{L}`;
const RANGE = new RegExp(
  String.raw`^(${HELD})(${LAST})\s*(?:\.{2,3}|…|-|–|\s(?:to|bis|through|à|a|hasta|jusqu'à)\s)\s*(${HELD})(${LAST})$`,
  'iu',
);
const BRACKETED = new RegExp(String.raw`^(${HELD})\[(\d|\p{L})-(\d|\p{L})\]$`, 'iu');

/** All keys of a range such as `Alt+1 ... Alt+4`, `F1-F4` or `Ctrl+[1-9]`; null where a text is none. */
export function keyRange(text: string): readonly string[] | null {
  const bracketed = BRACKETED.exec(text);
  const [, before = '', first = '', again = '', last = ''] = bracketed
    ? ['', bracketed[1], bracketed[2], '', bracketed[3]]
    : (RANGE.exec(text) ?? []);
  if (
    first === '' ||
    (again !== '' && again.replace(/\s/gu, '').toLowerCase() !== before.replace(/\s/gu, '').toLowerCase())
  )
    return null;
  const kind = (one: string): string => (/^F\d/iu.test(one) ? 'F' : /^\d$/u.test(one) ? 'digit' : 'letter');
  if (kind(first) !== kind(last)) return null;
  // `C-s` is no range, but a letter for a modifier.
  if (kind(first) === 'letter' && !/\+\s*$/u.test(before)) return null;
  const at = (one: string): number =>
    kind(one) === 'letter' ? one.toUpperCase().charCodeAt(0) : Number(one.replace(/^F/iu, ''));
  const [from, to] = [at(first), at(last)];
  if (to <= from || to - from > 25) return null;
  const word = (n: number): string =>
    kind(first) === 'F' ? `F${n}` : kind(first) === 'digit' ? `${n}` : String.fromCharCode(n);
  return Array.from({ length: to - from + 1 }, (_, i) => `${before}${word(from + i)}`);
}
