import { outsideTree } from '../core/program/contextsOverlap';
import { Problem } from '../schemas/problem';
import type { Facts } from './models/programs';

/** @throws Problem when contexts are no tree, or commands and rules speak of what is not there. */
export function refuseContradictions({ contexts, commands }: Facts): void {
  const roots = contexts.filter((one) => one.parent === null);
  if (roots.length !== 1) throw new Problem('not valid', 'One place has to contain all others.');
  const [lost] = outsideTree(contexts);
  if (lost) throw new Problem('not valid', `“${lost.name}” lies in no other place.`);
  const known = new Set(contexts.map((one) => one.id));
  const homeless = commands.find((one) => !known.has(one.context));
  if (homeless) throw new Problem('not valid', `“${homeless.name}” is listened for in a place that is not there.`);
}
