import { canonicalText, type Modifier, type Stroke } from '../chord/chord';
import { parseCanonical } from '../chord/parseChord';
import type { Reading } from '../reading/readCommandList';
import { type Aligned, alignStroke } from './alignStroke';
import { CELL_FORMS } from './cellForm';
import { learnNone } from './learnNone';
import type { SourcePlaces } from './placesOf';
import { classOf, sortAs, sortOf, withSort } from './sorts';
import { type Around, LONGEST_SIGN, type Sort, type SortName, type Spelling, type StrokeClass } from './spelling';
import { variedIn } from './spellingNear';
import { mostOf, Tally, tally } from './tally';

/** What may stand between two strokes. */
const STROKE_JOINTS = ['", "', "', '", ' then ', ' > ', ', ', ' ', ',', ''];

/** Learns how a file writes keys from all of them, and how it says that there are none. */
export function learnSpelling(reading: Reading, { listed, chordsOf }: SourcePlaces): Spelling {
  const form = CELL_FORMS[reading.format];
  const modifiers = new Map<Modifier, Tally<string>>();
  const modifiersWith = new Map<string, Tally<string>>();
  const jointAfter = new Map<Modifier, Tally<string>>();
  const written = new Map<string, [line: number, word: string][]>();
  let line = 0;
  const note = (what: string, word: string): void => {
    const known = written.get(what);
    if (known) known.push([line, word]);
    else written.set(what, [[line, word]]);
  };
  const around = new Map<StrokeClass, Tally<Around>>();
  const keys = new Map<string, Tally<string>>();
  const sorts = new Map<SortName, Tally<Sort>>();
  const [joints, strokes, several, hold, cell, lead] = [
    new Tally<string>(),
    new Tally<string>(),
    new Tally<string>(),
    new Tally<Around>(),
    new Tally<Around>(),
    new Tally<string>(),
  ];
  const before = new Map<string, number>();
  let [learned, first, behindKey] = [0, 0, 0];
  // How often a capital says Shift, and how often it is said: alone, and with other modifiers.
  const capitals = { alone: [0, 0], held: [0, 0] };
  const isKey = (word: string, key: string): boolean => {
    if (word === key || word.toUpperCase() === key) return true;
    if (/["']/u.test(word) && word.length > 1) return false;
    const [only, ...more] = chordsOf(word, '"');
    const read = only === undefined || more.length > 0 ? null : parseCanonical(only);
    return read?.strokes.length === 1 && read.strokes[0]?.key === key;
  };
  // Many commands have the same keys in places of their own.
  const known = new Map<string, Aligned | null>();
  const aligned = (raw: string, stroke: Stroke): Aligned | null => {
    const id = `${stroke.modifiers.join('+')}+${stroke.key} ${raw}`;
    let found = known.get(id);
    if (found === undefined) {
      found = alignStroke(raw, stroke, isKey);
      known.set(id, found);
    }
    return found;
  };
  const learnStroke = (raw: string, stroke: Stroke): void => {
    const found = aligned(raw, stroke);
    if (!found) return;
    learned++;
    if (found.modifiers.length > 0 && stroke.key !== null) found.keyFirst ? first++ : behindKey++;
    for (const [modifier, word] of found.modifiers) {
      tally(modifiers, modifier).add(word);
      note(modifier, word);
      if (stroke.key !== null) tally(modifiersWith, withSort(modifier, stroke.key)).add(word);
    }
    found.joints.forEach((joint, i) => {
      joints.add(joint);
      const [modifier] = found.modifiers[i] ?? [];
      if (modifier) tally(jointAfter, modifier).add(joint);
    });
    found.modifiers.forEach(([one], i) => {
      for (const [other] of found.modifiers.slice(i + 1))
        before.set(`${one} ${other}`, (before.get(`${one} ${other}`) ?? 0) + 1);
    });
    if (stroke.key === null) return;
    if (/^\p{Lu}$/u.test(stroke.key) && stroke.modifiers.includes('Shift')) {
      const count = capitals[stroke.modifiers.length > 1 ? 'held' : 'alone'];
      const at = found.capital ? 0 : 1;
      count[at] = (count[at] ?? 0) + 1;
    }
    learnKey(found, stroke);
    const written = { ...stroke, modifiers: found.modifiers.map(([one]) => one) };
    tally(around, classOf(written, found.key)).add([found.before, found.behind]);
  };
  const learnKey = ({ key: word, capital: isCapital }: Aligned, { key, modifiers: held }: Stroke): void => {
    const sort = key === null ? null : sortOf(key, held);
    if (key === null || (sort === 'letter, with Shift' && isCapital)) return;
    const written = sort === null ? null : sortAs(word, key);
    if (sort !== null && written) tally(sorts, sort).add(written);
    else {
      tally(keys, key).add(word);
      note(key, word);
    }
  };
  const learnChord = (raw: string, chord: NonNullable<ReturnType<typeof parseCanonical>>): void => {
    const [stroke, ...more] = chord.strokes;
    if (!stroke) return;
    if (chord.hold && stroke.key !== null) {
      const pressed = canonicalText({ hold: false, strokes: chord.strokes });
      const found = heldIn(raw, (inner) => chordsOf(inner, '"')[0] === pressed);
      if (!found) return;
      hold.add([found[0], found[2]]);
      learnStroke(found[1], stroke);
    } else if (more.length > 0) {
      for (const joint of STROKE_JOINTS) {
        const parts = joint === '' ? (raw.match(/<[^<>\s]+>|\\?[CM]-\S|\\e\S|\^\S|\S/gu) ?? []) : raw.split(joint);
        if (parts.length !== chord.strokes.length) continue;
        const all = parts.every((part, i) => aligned(part, chord.strokes[i] as Stroke));
        if (!all) continue;
        strokes.add(joint);
        parts.forEach((part, i) => {
          learnStroke(part, chord.strokes[i] as Stroke);
        });
        return;
      }
    } else learnStroke(raw, stroke);
  };
  for (const { places } of listed.values())
    for (const { parts, own, commentedOut, blank, sign, line: at } of places) {
      if (!parts || (own.length === 0 && commentedOut === null) || sign.length > LONGEST_SIGN) continue;
      lead.add(blank);
      line = at;
      cell.add([parts.before, parts.behind]);
      for (const one of parts.between) several.add(one);
      for (const { raw, chord } of parts.pieces) {
        const read = chord === null ? null : parseCanonical(chord);
        if (read) learnChord(form.textOf(raw, parts.before), read);
      }
    }
  const [none, noneGuessed] = learnNone(reading, listed.values(), cell.most() ?? ['', '']);
  return {
    modifiers: mostOf(modifiers),
    modifiersWith: mostOf(modifiersWith),
    before,
    joint: joints.most() ?? '+',
    jointAfter: mostOf(jointAfter),
    varied: variedIn(written),
    keyFirst: first > behindKey,
    around: mostOf(around),
    keys: mostOf(keys),
    sorts: mostOf(sorts),
    capitals: {
      alone: reading.manner.capitals && (capitals.alone[0] ?? 0) > (capitals.alone[1] ?? 0),
      held: reading.manner.capitals && (capitals.held[0] ?? 0) > (capitals.held[1] ?? 0),
    },
    strokes: strokes.most() ?? null,
    several: several.most() ?? null,
    hold: hold.most() ?? null,
    lead: lead.most() ?? '',
    cell: cell.most() ?? ['', ''],
    none,
    noneGuessed,
    learnedFrom: learned,
  };
}

/** What stands before and behind keys that are held. */
function heldIn(raw: string, isPressed: (inner: string) => boolean): readonly [string, string, string] | null {
  for (const { index } of raw.matchAll(/\s/gu)) {
    const [head, tail] = [raw.slice(0, index + 1), raw.slice(index + 1)];
    if (isPressed(tail)) return [head, tail, ''];
    if (isPressed(raw.slice(0, index))) return ['', raw.slice(0, index), raw.slice(index)];
  }
  return null;
}
