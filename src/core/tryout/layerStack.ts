import type { Meaning } from '../words/meanings';
import type { Part } from './samplePicture';

/** One layer of the sample picture, with the parts of the plant that are on it. */
export type Layer = {
  readonly number: number;
  readonly name: string;
  readonly parts: readonly Part[];
  readonly shown: boolean;
  readonly locked: boolean;
};
/** The layers from the top down, and which of them is chosen, by its place. */
export type LayerStack = { readonly layers: readonly Layer[]; readonly at: number };

const start = (name: string, number: number, ...parts: readonly Part[]): Layer => ({
  name,
  number,
  parts,
  shown: true,
  locked: false,
});
/** The layers the sample picture comes with. */
export const START_LAYERS: LayerStack = {
  layers: [start('Petals', 4, 'petals'), start('Leaves', 3, 'leaves'), start('Stem', 2, 'stem'), start('Sheet', 1)],
  at: 1,
};

/** The parts that can be seen. */
export function shownParts({ layers }: LayerStack): ReadonlySet<Part> {
  return new Set(layers.filter((one) => one.shown).flatMap((one) => one.parts));
}

/** The layers after a command of these meanings; null where it is none for layers, or changes nothing. */
export function changeLayers({ layers, at }: LayerStack, meanings: readonly Meaning[]): LayerStack | null {
  const says = (...wanted: readonly Meaning[]): boolean => wanted.every((one) => meanings.includes(one));
  const chosen = layers[at];
  if (!chosen) return null;
  const last = layers.length - 1;
  const replace = (next: Layer): LayerStack => ({ layers: layers.map((one, i) => (i === at ? next : one)), at });
  const insert = (next: Layer): LayerStack => ({ layers: [...layers.slice(0, at), next, ...layers.slice(at)], at });
  const moveTo = (to: number): LayerStack | null => {
    const others = layers.filter((one) => one !== chosen);
    return to < 0 || to > last ? null : { layers: [...others.slice(0, to), chosen, ...others.slice(to)], at: to };
  };
  const choose = (to: number): LayerStack | null => (to < 0 || to > last ? null : { layers, at: to });
  const number = Math.max(...layers.map((one) => one.number)) + 1;
  if (says('isolate')) {
    const alone = layers.every((one) => one === chosen || !one.shown);
    return { layers: layers.map((one) => ({ ...one, shown: alone || one === chosen })), at };
  }
  if (says('merge', 'down')) return at === last ? null : joined({ layers, at }, [chosen, layers[at + 1] as Layer]);
  if (says('join=merge', 'vis=show'))
    return joined(
      { layers, at },
      layers.filter((one) => one.shown),
    );
  if (!says('layer')) return null;
  if (says('make=new')) return insert({ ...start(`Layer ${number}`, number) });
  if (says('copy.double')) return insert({ ...chosen, name: `${chosen.name} copy`, number });
  if (says('make=gone'))
    return last === 0 ? null : { layers: layers.filter((one) => one !== chosen), at: Math.min(at, last - 1) };
  if (says('vis=hide')) return replace({ ...chosen, shown: !chosen.shown });
  if (says('lock=on')) return replace({ ...chosen, locked: !chosen.locked });
  if (says('go') || says('order=next') || says('order=previous'))
    return choose(at + (says('up=up') || says('order=previous') ? -1 : 1));
  if (says('up=up')) return moveTo(at - 1);
  return says('up=down') ? moveTo(at + 1) : null;
}

/** The layers with some made into one, where the lowest of them is and under its name. */
function joined({ layers }: LayerStack, some: readonly Layer[]): LayerStack | null {
  const lowest = some.at(-1);
  if (!lowest || some.length < 2) return null;
  const one = { ...lowest, parts: [...new Set(some.flatMap((layer) => layer.parts))] };
  const next = layers.flatMap((layer) => (layer === lowest ? [one] : some.includes(layer) ? [] : [layer]));
  return { layers: next, at: next.indexOf(one) };
}
