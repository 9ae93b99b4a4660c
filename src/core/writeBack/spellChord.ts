import type { Chord, Modifier, Stroke } from '../chord/chord';
import { classOf, inFileOrder } from './sorts';
import type { Around, Said, SpelledWord, Spelling, StrokeClass } from './spelling';
import { keyWord, modifierWord } from './wordFor';

/** Keys as a file writes them, and the words in that. */
export type Spelled = {
  readonly strokes: readonly string[];
  /** What stands between them, and around all. */
  readonly between: string;
  readonly around: Around;
  readonly words: readonly SpelledWord[];
};
type SpelledStroke = { readonly text: string; readonly words: readonly SpelledWord[] };
/** Why keys can't be written as the file writes them. */
export type Unspelled = { readonly why: 'held' | 'sequence' | 'no word'; readonly what: string };

/**
 * Writes a chord as a file does: words that stand in it, else words of the family those belong to, marked as guessed.
 * @param said what a person said of words; nothing of it is guessed any more.
 */
export function spellChord(spelling: Spelling, chord: Chord, said: Said): Spelled | Unspelled {
  const alone = chord.strokes.length === 1 && chord.strokes[0]?.key === null;
  if (chord.hold && !alone && spelling.hold === null) return { why: 'held', what: '' };
  if (chord.strokes.length > 1 && spelling.strokes === null) return { why: 'sequence', what: '' };
  const words: SpelledWord[] = [];
  const texts: string[] = [];
  for (const stroke of chord.strokes) {
    const spelled = spellStroke(spelling, stroke, said);
    if ('why' in spelled) return spelled;
    texts.push(spelled.text);
    words.push(...spelled.words);
  }
  const around: Around = (chord.hold && !alone ? spelling.hold : null) ?? ['', ''];
  return { strokes: texts, between: spelling.strokes ?? ' ', around, words };
}

function spellStroke(spelling: Spelling, stroke: Stroke, said: Said): SpelledStroke | Unspelled {
  const asCapital = spelling.capitals[stroke.modifiers.length > 1 ? 'held' : 'alone'];
  const capital = asCapital && stroke.modifiers.includes('Shift') && /^\p{Lu}$/u.test(stroke.key ?? '');
  const held = inFileOrder(
    stroke.modifiers.filter((one) => !(capital && one === 'Shift')),
    spelling,
  );
  const words: SpelledWord[] = [];
  for (const modifier of held) {
    const word = modifierWord(spelling, modifier, stroke.key, said);
    if (!word) return { why: 'no word', what: modifier };
    words.push(word);
  }
  if (stroke.key === null)
    return {
      text: words.map((one, i) => (i === 0 ? '' : jointBehind(spelling, held[i - 1])) + one.word).join(''),
      words,
    };
  const key = capital
    ? { what: stroke.key, word: stroke.key, guessed: false }
    : keyWord(spelling, stroke.key, stroke.modifiers, said);
  if (!key) return { why: 'no word', what: stroke.key };
  const joined = spelling.keyFirst
    ? [key.word, ...words.map((one) => one.word)].join(spelling.joint)
    : words.map((one, i) => one.word + jointBehind(spelling, held[i])).join('') + key.word;
  const [before, behind] = aroundFor(spelling, classOf({ ...stroke, modifiers: held }, key.word));
  return { text: before + joined + behind, words: [...words, key] };
}

const jointBehind = ({ joint, jointAfter }: Spelling, modifier: Modifier | undefined): string =>
  (modifier && jointAfter.get(modifier)) ?? joint;

/** What stands around keys of a class; where the file has none of it, what stands around those most like them. */
function aroundFor({ around }: Spelling, own: StrokeClass): Around {
  const known = around.get(own);
  if (known) return known;
  const [named, held] = [around.get('named'), around.get('held')];
  if (own === 'plain') {
    const other = named ?? held ?? ['', ''];
    // Brackets hold words together; a sign alone needs none.
    return other[0] === '<' ? ['', ''] : other;
  }
  return (own === 'named' ? held : named) ?? around.get('plain') ?? ['', ''];
}
