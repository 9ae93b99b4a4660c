import type { Modifier } from '../chord/chord';
import type { Spelling } from './spelling';

/** Of all words of a file, those that it does not always write in one way. */
export const variedIn = (written: Spelling['varied']): Spelling['varied'] =>
  new Map([...written].filter(([, all]) => all.some(([, word]) => word !== all[0]?.[1])));

/** So much of the places of a word are written in one way where that is the way of the whole file. */
const CLEAR = 0.8;

/**
 * How a file writes keys near a line, where it does not write them in one way: what stands in the line itself counts first,
 * then what is nearly always written, then what stands nearest.
 */
export function spellingNear(spelling: Spelling, line: number): Spelling {
  if (spelling.varied.size === 0) return spelling;
  const [modifiers, keys] = [new Map(spelling.modifiers), new Map(spelling.keys)];
  const told = new Set<string>();
  for (const [what, all] of spelling.varied) {
    const usual = modifiers.get(what as Modifier) ?? keys.get(what);
    const near = all.reduce((best, one) => (Math.abs(one[0] - line) < Math.abs(best[0] - line) ? one : best));
    const clear = all.filter(([, word]) => word === usual).length >= CLEAR * all.length;
    if (near[1] === usual || (near[0] !== line && clear)) {
      if (!clear) told.add(what);
      continue;
    }
    told.add(what);
    if (modifiers.has(what as Modifier)) modifiers.set(what as Modifier, near[1]);
    else keys.set(what, near[1]);
  }
  if (told.size === 0) return spelling;
  // What goes by the sort of the key goes by the whole file.
  const modifiersWith = new Map([...spelling.modifiersWith].filter(([sort]) => !told.has(sort.split(' ')[0] ?? '')));
  return { ...spelling, modifiers, keys, modifiersWith };
}
