import type { ChordText } from '../chord/chord';
import { addUnit } from './addUnit';
import { cellEdits } from './cellEdits';
import { CELL_FORMS } from './cellForm';
import type { TextEdit } from './edits';
import { outOfUse, usedAgain } from './outOfUse';
import type { Listed, Place } from './placesOf';
import { removeUnit } from './removeUnit';
import { NO_KEY, SEVERAL, type SpelledWord } from './spelling';
import { spellingNear } from './spellingNear';
import { type Cell, NO_SEVERAL, type NoCell, writeCell } from './writeCell';
import { takesLines, type Writing } from './writing';

const APART = 'Its keys stand in several places of this file, as a modifier in each. Change them there by hand.';

/** What becomes of one command in a file. */
export type CommandPlan = {
  readonly edits: readonly TextEdit[];
  readonly words: readonly SpelledWord[];
  /** Why some of its keys can't be written, and which; then it stays as it is. */
  readonly why: {
    readonly text: string;
    readonly chord: ChordText | null;
    /** What there is no word for, which a person may say. */
    readonly missing?: string;
  } | null;
  readonly did: 'nothing' | 'changed' | 'line added' | 'line removed';
  /** The keys it has once the file is written. */
  readonly keys: readonly ChordText[];
};
const nothing = (listed: Listed): CommandPlan => ({
  edits: [],
  words: [],
  why: null,
  did: 'nothing',
  keys: listed.command.keys,
});

/**
 * The edits that give a command the keys wanted, where its keys stand in a file; keys for which the file has no form are
 * left out and told.
 * @param source the command as the source file has it: its cells are followed, so that what is written does not depend on
 * what was written before.
 */
export function planEdits(
  writing: Writing,
  listed: Listed,
  source: Listed | undefined,
  wanted: readonly ChordText[],
): CommandPlan {
  let why: CommandPlan['why'] = null;
  for (let keys = wanted; ; ) {
    const plan = editsFor(writing, listed, source, keys);
    if (plan.why?.chord == null || !keys.includes(plan.why.chord)) return { ...plan, why: why ?? plan.why };
    why ??= plan.why;
    const { chord } = plan.why;
    keys = keys.filter((one) => one !== chord);
  }
}

function editsFor(
  writing: Writing,
  listed: Listed,
  source: Listed | undefined,
  wanted: readonly ChordText[],
): CommandPlan {
  const { places } = listed;
  const based = source && source.places.length === places.length ? source.places : places;
  const cannot = (why: string, chord: ChordText | null = null, missing?: string): CommandPlan => ({
    ...nothing(listed),
    why: reasonOf({ why, chord, ...(missing === undefined ? {} : { missing }) }),
  });
  if (based === places && sameSet(listed.command.keys, wanted)) return nothing(listed);
  if (places.length === 0) return sameSet(listed.command.keys, wanted) ? nothing(listed) : cannot(NO_PLACE);
  if (wanted.length > 0 && places.some((place) => place.apart)) return cannot(APART);
  const { placed, left } = shareOut(based, wanted, writing.spelling.several !== null);
  const edits: TextEdit[] = [];
  const words: SpelledWord[] = [];
  let did: CommandPlan['did'] = 'nothing';
  for (const [i, place] of places.entries()) {
    const [base, target] = [based[i] ?? place, placed[i] ?? []];
    const own =
      target.length > 0 ? withKeys(writing, place, base, target) : withoutKeys(writing, place, base, wanted.length > 0);
    if ('why' in own) return cannot(own.why, own.chord, own.missing);
    edits.push(...own.edits);
    words.push(...own.words);
    if (own.edits.length > 0 && did !== 'line removed') did = own.line ? 'line removed' : 'changed';
  }
  if (left.length > 0) {
    const like = places.find((place) => !place.absent && place.commentedOut !== 'off');
    if (!like || !takesLines(writing)) return cannot(NO_SEVERAL, left[0], SEVERAL);
    for (const chord of left) {
      const cell = cellOf(writing, bare(like), [chord]);
      if ('why' in cell) return cannot(cell.why, cell.chord, cell.missing);
      edits.push(...addUnit(writing, places.at(-1) ?? like, like, writing.text.slice(...like.name), cell.raw));
      words.push(...cell.words);
      did = 'line added';
    }
  }
  if (edits.length > 0 && places.some((place) => writing.shared.has(place.keys[0])))
    return cannot('Its keys stand in one place with those of another command.');
  return { edits, words, why: null, did: edits.length === 0 ? 'nothing' : did, keys: wanted };
}

/** Why a cell can't be written, as told of its command. */
export const reasonOf = ({ why, ...rest }: NoCell): NonNullable<CommandPlan['why']> => ({ text: why, ...rest });

const NO_PLACE = 'The file has no place for its keys.';
const NO_NONE = 'There is no form to follow for a command without keys here.';

export const sameSet = (a: readonly ChordText[], b: readonly ChordText[]): boolean =>
  a.length === b.length && a.every((chord) => b.includes(chord));

/** Which of the keys stand at which place: those that stay stay, others fill what became free; the rest is left. */
function shareOut(
  based: readonly Place[],
  wanted: readonly ChordText[],
  several: boolean,
): { readonly placed: readonly (readonly ChordText[])[]; readonly left: readonly ChordText[] } {
  const open = new Set(wanted);
  const kept = based.map(({ own, commentedOut }) =>
    commentedOut === 'off' ? [] : own.filter((chord) => open.delete(chord)),
  );
  const left = [...open];
  const filled = kept.map((own, i) => {
    const room = (based[i]?.own.length ?? 0) - own.length;
    return [...own, ...left.splice(0, own.length === 0 ? Math.max(1, room) : room)];
  });
  if (left.length === 0 || !(several || based.some(({ parts }) => parts && parts.between.length > 0)))
    return { placed: filled, left };
  const at = Math.max(
    0,
    filled.findIndex((one) => one.length > 0),
  );
  return { placed: filled.map((one, i) => (i === at ? [...one, ...left] : one)), left: [] };
}

type PlaceEdits = { readonly edits: readonly TextEdit[]; readonly words: readonly SpelledWord[]; readonly line?: true };

/** A cell with keys, as the file writes them near its line. */
export function cellOf(
  { spelling: overall, format, said, quoted }: Writing,
  { parts, line }: Pick<Place, 'parts' | 'line'>,
  chords: readonly ChordText[],
): Cell | NoCell {
  const spelling = spellingNear(overall, line);
  const [before, behind] = parts ? [parts.before, parts.behind] : spelling.cell;
  const inQuotes = quoted && before + behind === '';
  const around = inQuotes ? { pieces: [], between: [], ...parts, before: '"', behind: '"' } : parts;
  return writeCell(around, chords, spelling, CELL_FORMS[format], said);
}

/** A place with a cell like its own, but without keys. */
export const bare = ({ parts, line }: Place): Pick<Place, 'parts' | 'line'> => ({
  parts: parts && { ...parts, pieces: [] },
  line,
});

function withKeys(writing: Writing, place: Place, base: Place, target: readonly ChordText[]): PlaceEdits | NoCell {
  if (place.absent && !writing.pattern)
    return { why: 'Its record has no place for keys, and no other shows where that is.', chord: target[0] ?? '' };
  // What was commented out to say what holds without it says so again.
  if (base.commentedOut === 'kept' && sameSet(base.own, target))
    return {
      edits: [
        ...(place.commentedOut ? [] : outOfUse(writing, place, base.sign)),
        ...cellEdits(writing, place, base, base.raw),
      ],
      words: [],
    };
  const cell = cellOf(writing, base, target);
  if ('why' in cell) return cell;
  return { edits: [...usedAgain(writing, place), ...cellEdits(writing, place, base, cell.raw)], words: cell.words };
}

/** A place without its keys, as the source file had it, or as it says that there are none. @param others whether its command has keys elsewhere. */
function withoutKeys(writing: Writing, place: Place, base: Place, others: boolean): PlaceEdits | NoCell {
  const { none } = writing.spelling;
  const { text } = writing;
  const done = (edits: readonly TextEdit[], line?: true): PlaceEdits => ({
    edits,
    words: [],
    ...(line ? { line } : {}),
  });
  if (base.commentedOut === 'off')
    return done([
      ...(place.commentedOut ? [] : outOfUse(writing, place, base.sign)),
      ...cellEdits(writing, place, base, base.raw),
    ]);
  const rest = base.parts?.pieces.some((one) => one.chord === null) ? cellOf(writing, base, []) : null;
  if (rest) return 'why' in rest ? rest : done(cellEdits(writing, place, base, rest.raw));
  if (place.own.length === 0 && base.own.length > 0) return done([]);
  if (base.own.length === 0) {
    if (!base.absent) return done(cellEdits(writing, place, base, base.raw));
    return place.absent ? done([]) : done(withoutField(text, place) ?? []);
  }
  // A line that says what holds without it has to say aloud that nothing does.
  if (place.commentedOut === 'kept' && none.kind !== 'text') return { why: NO_NONE, chord: null, missing: NO_KEY };
  if (place.commentedOut === 'kept')
    return done([
      ...usedAgain(writing, place),
      ...cellEdits(writing, place, base, none.kind === 'text' ? none.raw : ''),
    ]);
  if (none.kind === 'commented out') {
    const out = place.commentedOut ? [] : outOfUse(writing, place, none.sign);
    if (out.length === 0 && !place.commentedOut) return { why: NO_NONE, chord: null, missing: NO_KEY };
    return done([...out, ...cellEdits(writing, place, base, base.raw)]);
  }
  if (none.kind === 'no line' || (others && place.whole === null)) return done(removeUnit(writing, place), true);
  if (none.kind === 'text') return done(cellEdits(writing, place, base, none.raw));
  const gone = withoutField(text, place);
  return gone ? done(gone) : { why: NO_NONE, chord: null, missing: NO_KEY };
}

/** Keys taken out with what leads to them, where they stand right behind the name. */
function withoutField(text: string, { name, keys }: Place): TextEdit[] | null {
  const between = text.slice(name[1], keys[0]);
  const other = (between.match(/[=:]/gu) ?? []).length > 1;
  return keys[0] < name[1] || other ? null : [{ from: name[1], to: keys[1], text: '' }];
}
