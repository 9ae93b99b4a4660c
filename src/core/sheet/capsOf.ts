import { parseCanonical } from '../chord/parseChord';
import { type Notation, strokeCaps } from '../chord/writeChord';
import { remembering } from '../text/remembering';

const caps: Readonly<Record<Notation, (chord: string) => readonly string[]>> = {
  windows: capsIn('windows'),
  mac: capsIn('mac'),
  symbols: capsIn('symbols'),
};

/** The caps of one chord for paper; a held chord ends in the word "hold", strokes of a sequence are joined by "then". */
export function capsOf(chord: string, notation: Notation): readonly string[] {
  return caps[notation](chord);
}

function capsIn(notation: Notation): (chord: string) => readonly string[] {
  return remembering((chord) => {
    const parsed = parseCanonical(chord);
    if (!parsed) return [chord];
    const caps = parsed.strokes.flatMap((stroke, i) => [...(i > 0 ? ['then'] : []), ...strokeCaps(stroke, notation)]);
    return parsed.hold ? [...caps, 'hold'] : caps;
  });
}
