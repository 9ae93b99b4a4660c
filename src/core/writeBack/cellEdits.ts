import type { TextEdit } from './edits';
import { lineStart } from './lineBounds';
import type { Place } from './placesOf';
import type { Writing } from './writing';

/** Keys written into their place. @param base the place as the source file has it, by which blanks before it are set. */
export function cellEdits(
  { text, format, pattern, spelling }: Writing,
  place: Place,
  base: Place,
  raw: string,
): TextEdit[] {
  const [from, end] = place.keys;
  if (place.absent) {
    if (raw === '' || !pattern) return [];
    if (format !== 'text in columns')
      return [{ from, to: from, text: text.slice(pattern.name[1], pattern.keys[0]) + raw }];
    // Keys stand in the column they have in other lines.
    const column = pattern.keys[0] - lineStart(text, pattern.name[0]) - (from - lineStart(text, from));
    const lead = base.absent ? ' '.repeat(Math.max(2, column)) : base.blank;
    // What stands in a column behind them stays there.
    const rest = place.gap.length - lead.length - raw.length;
    const pad = /[\r\n]/u.test(text[end + place.gap.length] ?? '\n') ? '' : ' '.repeat(Math.max(2, rest));
    return [{ from, to: end + place.gap.length, text: lead + raw + pad }];
  }
  if (raw === place.raw) return [];
  if (format === 'text in columns' && raw === '' && /[\r\n]/u.test(text[end] ?? '\n'))
    return [{ from: from - place.blank.length, to: end, text: '' }];
  if (format === 'settings') {
    const ends = /[\r\n]/u.test(text[end] ?? '\n');
    const blank = raw !== '' || base.raw === '' ? base.blank : ends ? '' : place.blank;
    const lead = raw !== '' && base.raw === '' && blank === '' ? spelling.lead : blank;
    // What is remarked behind stays as far away as it was.
    const gap = place.raw === '' && !ends ? base.gap : '';
    return [{ from: from - place.blank.length, to: end, text: lead + raw + gap }];
  }
  const [pad, to] = keptInColumn(place, base, raw);
  return [{ from, to, text: raw + pad }];
}

/** Blanks behind keys that keep what follows in the column it has in the source file, and where those now end. */
function keptInColumn({ keys: [, to], gap }: Place, base: Place, raw: string): readonly [string, number] {
  if (base.followed === null) return ['', to];
  const least = base.followed === 'by blanks' || base.followed === 'by a bar' ? 1 : 2;
  return [' '.repeat(Math.max(least, base.raw.length + base.gap.length - raw.length)), to + gap.length];
}
