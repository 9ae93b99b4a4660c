import { counted } from '@/core/text/sentence';
import type { Staying } from '@/core/whole/taking';
import { type Besides, comes, type TakingLine, type TakingProgram, type TakingView } from '@/core/whole/takingView';

/** What becomes of a keymap or a workspace, as a sentence. */
export function lineWords({ fate, as, further, what }: TakingLine): string {
  if (fate === 'same') return 'Is here already.';
  if (fate === 'further here') return 'Is here already, and has gone further here.';
  if (fate === 'new') return 'Comes in.';
  if (fate === 'goes on') return 'Goes on here as there; its steps come onto the tape here, where they can be undone.';
  const why =
    what === 'workspace'
      ? 'Stands otherwise here'
      : further
        ? 'Has gone further there'
        : 'Was changed on both computers';
  return `${why}, so it comes in beside the one here, as “${as}”.`;
}

/** What becomes of a program. */
export function programWords({ fate, as, further }: TakingProgram): string {
  if (fate === 'same') return 'The same program is here.';
  if (fate === 'further here') return 'Is here, and what it allows has gone further here.';
  if (fate === 'new') return 'Is not here yet, and comes in.';
  if (fate === 'goes on')
    return 'Is here. Its list or what it allows has gone further there, and goes on here as there.';
  return further ? `Stands by itself, as “${as}”.` : `Another list of this name is here, so it comes in as “${as}”.`;
}

/** How much comes in, as a sentence. */
export function comingWords({ programs }: TakingView): string {
  const lines = programs.flatMap((one) => one.lines).filter(comes);
  const of = (what: TakingLine['what']): number => lines.filter((one) => one.what === what).length;
  const all = [
    [programs.filter(comes).length, 'program', 'programs'],
    [of('keymap'), 'keymap', 'keymaps'],
    [of('workspace'), 'workspace', 'workspaces'],
    [programs.flatMap((one) => one.besides).reduce((sum, [, n]) => sum + n, 0), 'thing besides', 'things besides'],
  ] as const;
  const said = all.flatMap(([n, one, many]) => (n === 0 ? [] : [counted(n, one, many)]));
  return said.length === 0 ? 'Nothing comes in.' : `In all: ${said.join(', ')}.`;
}

const BESIDES: Readonly<Record<Besides, readonly [one: string, many?: string]>> = {
  sheets: ['sheet'],
  wishes: ['wish list'],
  ticks: ['ticked change list'],
  plans: ['settled match'],
  derivations: ['note of what a keymap was derived from', 'notes of what keymaps were derived from'],
  moves: ['note of a keymap that went along', 'notes of keymaps that went along'],
  uses: ['count of use', 'counts of use'],
  chosen: ['choice of the finder', 'choices of the finder'],
  counterparts: ['said counterpart'],
  forms: ['form of one’s own', 'forms of one’s own'],
  sources: ['source file'],
  rooms: ['room'],
  stood: ['room, as a workspace', 'rooms, as workspaces'],
  successions: ['note of the version before', 'notes of the version before'],
};
/** How much of what comes in besides. */
export const besidesWords = ([what, count]: readonly [Besides, number]): string => counted(count, ...BESIDES[what]);

const STAYS: Readonly<Record<Staying, readonly [one: string, many?: string]>> = {
  wishes: ['wish list'],
  ticks: ['ticked change list'],
  plans: ['settled match', 'settled matches'],
  derivations: ['note of what a keymap was derived from', 'notes of what keymaps were derived from'],
  uses: ['count of use', 'counts of use'],
  chosen: ['choice of the finder', 'choices of the finder'],
  counterparts: ['said counterpart'],
  successions: ['note of the version before', 'notes of the version before'],
};
/** How much is said otherwise here, and stays. */
export const staysWords = ([what, count]: readonly [Staying, number]): string => counted(count, ...STAYS[what]);
