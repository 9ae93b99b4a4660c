import type { ChordText } from '../chord/chord';
import { type Advisor, type Wants, worthOf } from './advisor';
import type { Candidate } from './candidates';

/**
 * What every chord of a table costs a command, as costOfChord would have it, all at once: reach, keys and layers are
 * numbered, so that weighing a cell is a few sums.
 * @returns a function that writes the costs for a command's wants into a list; they stand until it is asked again.
 */
export function columnCosts(advisor: Advisor, chords: readonly Candidate[]): (wants: Wants) => Float64Array {
  const tables = new Map<string, Table>();
  const out = new Float64Array(chords.length);
  return (wants) => {
    const prefix = wants.command.kind === 'held action' ? 'hold:' : '';
    let table = tables.get(prefix);
    if (!table) {
      table = tableOf(advisor, chords, prefix);
      tables.set(prefix, table);
    }
    const { reach, keyOf, layerOf, keys, layers, columnOf } = table;
    const letters = new Float64Array(keys.size);
    for (const [letter, reason] of wants.letters) {
      const key = keys.get(letter);
      if (key !== undefined) letters[key] = worthOf(reason);
    }
    const families = new Float64Array(layers.size);
    for (const [text, reason] of wants.family) {
      const layer = layers.get(text);
      if (layer !== undefined) families[layer] = worthOf(reason);
    }
    for (let j = 0; j < out.length; j++)
      out[j] =
        (reach[j] as number) - (letters[keyOf[j] as number] as number) - (families[layerOf[j] as number] as number);
    for (const places of [wants.beside, wants.asIn])
      for (const [place, reason] of places) {
        const column = columnOf.get(place);
        if (column !== undefined) out[column] = (out[column] as number) - worthOf(reason);
      }
    return out;
  };
}

type Table = {
  readonly reach: Float64Array;
  readonly keyOf: Int32Array;
  readonly layerOf: Int32Array;
  readonly keys: ReadonlyMap<string, number>;
  readonly layers: ReadonlyMap<string, number>;
  readonly columnOf: ReadonlyMap<ChordText, number>;
};
function tableOf(advisor: Advisor, chords: readonly Candidate[], prefix: string): Table {
  const facts = chords.map((one) => advisor.chord(prefix + one.chord));
  const keys = new Map<string, number>();
  const layers = new Map<string, number>();
  const numberOf = (numbers: Map<string, number>, text: string): number => {
    const number = numbers.get(text) ?? numbers.size;
    numbers.set(text, number);
    return number;
  };
  return {
    reach: Float64Array.from(facts, (one) => one.reach.figure),
    keyOf: Int32Array.from(facts, (one) => numberOf(keys, one.key ?? '')),
    layerOf: Int32Array.from(facts, (one) => numberOf(layers, one.layer)),
    keys,
    layers,
    columnOf: new Map(facts.map((one, j) => [one.place, j])),
  };
}
