import type { Command } from '../program/program';
import { type Meaning, meaningsIn } from '../words/meanings';

/** What pressing the keys of a command by mistake does, the worst first. */
export const HARMS = ['loses work', 'changes the picture', 'changes a tool', 'changes the view'] as const;
export type Harm = (typeof HARMS)[number];

const LOSES: ReadonlySet<Meaning> = new Set(['make=gone', 'flatten', 'merge', 'join=merge', 'revert', 'crop', 'apply']);
/** These lose work only where they are about the picture as a whole: a tear is closed, a seam is trimmed. */
const LOSES_WHOLE: ReadonlySet<Meaning> = new Set(['close', 'quit', 'cut', 'trim']);
const WHOLE = /^(?:picture|all=all|view\.window|selection|layer)/;
const VIEWS: ReadonlySet<Meaning> = new Set(
  'view zoom fit actualsize fullscreen hidepanels ruler grid guide snap proof gamut clipwarn pan beforeafter newview splitview panel settings info histogram navigator search shortcut help open print history'.split(
    ' ',
  ),
);
/** What a value of these is set for is in the picture. */
const OF_PICTURE = /^(?:layer|picture|mask)/;
const known = new Map<string, Harm>();

/**
 * How much harm a command does when it is called by mistake: by what its name says it does, held or not, and by its kind:
 * a tool in hand has done nothing yet, a value is one of a tool unless it is one of the picture.
 */
export function harmOf({ kind, name, path }: Command): Harm {
  if (kind === 'panel') return 'changes the view';
  if (kind === 'tool') return 'changes a tool';
  if (kind === 'value' || kind === 'held action') {
    const own = meaningsIn(name);
    if (own.some((one) => VIEWS.has(one))) return 'changes the view';
    return own.some((one) => OF_PICTURE.test(one)) ? 'changes the picture' : 'changes a tool';
  }
  const id = `${path.join('›')}›${name}`;
  let harm = known.get(id);
  if (!harm) {
    if (known.size > 20_000) known.clear();
    const own = meaningsIn(name);
    const whole = own.every((one) => LOSES_WHOLE.has(one) || WHOLE.test(one));
    if (own.some((one) => LOSES.has(one) || (whole && LOSES_WHOLE.has(one)))) harm = 'loses work';
    else if (own.some((one) => VIEWS.has(one)) || path.flatMap(meaningsIn).some((one) => one === 'view'))
      harm = 'changes the view';
    else harm = own.includes('selection') || own.includes('store=save') ? 'changes a tool' : 'changes the picture';
    known.set(id, harm);
  }
  return harm;
}
