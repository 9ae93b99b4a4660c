import type { ChordText } from '../chord/chord';
import type { Sentence } from '../text/sentence';
import type { Reach } from './reachOf';

/** One key unit in centimeters: the usual pitch of keys is 19.05 mm. */
const CM = 1.905;
/** From here on the hand has left its place, in key units. */
const AWAY = 3;
/** Figures this far apart are felt. */
const FELT = 0.03;
/** From here on a chord is hard to reach. */
export const HARD = 0.6;

const NUMBERS = ['no', 'one', 'two', 'three', 'four', 'five', 'six'];

/** Reach in words: hands, keys held together, how far the hand goes, how wide the fingers are. */
export function describeReach(reach: Reach): string {
  const { hands, keys, travel, figure, strokes, spread, span } = reach;
  if (hands === 'none') return 'There is no such key on this keyboard.';
  const together = keys > 1 ? `${NUMBERS[keys] ?? keys} keys together` : '';
  const wide = spread > 0.4 ? `fingers ${cm(span)} cm apart` : '';
  const then = strokes > 1 ? 'one after another' : '';
  const rest = [together, wide, then].filter((one) => one !== '');
  if (hands === 'both') return sentences('Needs both hands: the pen is put down', rest);
  if (travel > AWAY) return sentences(`One hand, but it leaves its place by ${cm(travel)} cm`, rest);
  if (rest.length > 0) return `One hand, ${rest.join(', ')}.`;
  return figure < 0.12 ? 'Under the fingers.' : figure < 0.2 ? 'One hand, close by.' : 'One hand, a short way.';
}

function sentences(first: string, rest: readonly string[]): string {
  const more = rest.join(', ');
  return `${first}.${more === '' ? '' : ` ${more[0]?.toUpperCase()}${more.slice(1)}.`}`;
}

const cm = (units: number): number => Math.round(units * CM);

/**
 * How a chord compares with another by reach, and the greatest difference between them.
 * @param otherKeys the keys it is compared with; null where they are those that the command has now.
 */
export function compareReach(reach: Reach, other: Reach, otherKeys: ChordText | null): Sentence {
  const than: Sentence[number] = otherKeys === null ? { text: 'now' } : { keys: otherKeys };
  const better = reach.figure < other.figure;
  if (Math.abs(reach.figure - other.figure) < FELT) return [{ text: 'As easy to reach as ' }, than, { text: '.' }];
  const why = difference(better ? reach : other, better ? other : reach, better);
  return [{ text: better ? 'Easier than ' : 'Harder than ' }, than, { text: why === '' ? '.' : `: ${why}.` }];
}

function difference(easy: Reach, hard: Reach, easyIsThis: boolean): string {
  const say = (this_: string, other: string) =>
    `${easyIsThis ? this_ : other} instead of ${easyIsThis ? other : this_}`;
  if (hard.hands === 'none') return 'those keys are not on this keyboard';
  if (easy.hands !== hard.hands) return easyIsThis ? 'one hand instead of both' : 'both hands instead of one';
  if (easy.keys !== hard.keys) {
    const [a, b] = easyIsThis ? [easy.keys, hard.keys] : [hard.keys, easy.keys];
    return `${NUMBERS[a] ?? a} ${a === 1 ? 'key' : 'keys together'} instead of ${NUMBERS[b] ?? b}`;
  }
  if (easy.strokes !== hard.strokes) return say('one stroke', 'two');
  if (hard.travel - easy.travel > 1) return `${cm(hard.travel - easy.travel)} cm ${easyIsThis ? 'less' : 'more'} to go`;
  if (hard.spread - easy.spread > 0.15) return easyIsThis ? 'the fingers closer together' : 'the fingers further apart';
  return '';
}
