import type { Fate, Staying, Taken, Taking } from './taking';
import type { Uid, WholeKeymap, WholeWorkspace } from './whole';

/** A keymap or a workspace of a file, and what becomes of it. */
export type TakingLine = {
  readonly uid: Uid;
  readonly what: 'keymap' | 'workspace';
  readonly name: string;
  readonly owner: string;
  readonly fate: Fate;
  /** What it is called here then. */
  readonly as: string;
  /** Whether it has all that the one here has and more, so that the one here may go on as it. */
  readonly further: boolean;
};
/** A program of a file, and what becomes of it and of what belongs to it. */
export type TakingProgram = Omit<TakingLine, 'what' | 'owner'> & {
  readonly version: string;
  readonly lines: readonly TakingLine[];
  /** How much comes in besides, by what it is; nothing of a sort is left out. */
  readonly besides: readonly (readonly [what: Besides, count: number])[];
};
/** What belongs to keymaps and programs. */
export type Besides = Exclude<keyof Taking['belongings'], 'stays'>;
/** What taking a file in does, as it is shown before anything happens. */
export type TakingView = {
  readonly programs: readonly TakingProgram[];
  /** What is said otherwise here, and stays so. */
  readonly stays: readonly (readonly [what: Staying, count: number])[];
  /** Whether anything comes in. */
  readonly changes: boolean;
};

/** Says what a taking does. The factory's keymaps are part of their programs. */
export function takingView({ programs, belongings: { stays, ...belongings } }: Taking): TakingView {
  const shown = programs.map((program): TakingProgram => {
    const { thing, fate, as, further, keymaps, workspaces } = program;
    const own = new Set([as.uid, ...keymaps.map((one) => one.as.uid)]);
    const besides = Object.entries(belongings).flatMap(([what, all]) => {
      const count = all.filter(({ of }) => own.has(of)).length;
      return count === 0 ? [] : [[what as Besides, count] as const];
    });
    const lines = [
      ...keymaps.filter((one) => !one.thing.factory).map((one) => lineOf('keymap', one)),
      ...workspaces.map((one) => lineOf('workspace', one)),
    ];
    const { uid, name, version } = thing;
    return { uid, name, version, fate, as: as.name, further, lines, besides };
  });
  return {
    programs: shown,
    stays: (Object.entries(stays) as [Staying, number][]).filter(([, count]) => count > 0),
    changes: shown.some((one) => comes(one) || one.besides.length > 0 || one.lines.some(comes)),
  };
}

const lineOf = (
  what: TakingLine['what'],
  { thing, fate, as, further }: Taken<WholeKeymap | WholeWorkspace>,
): TakingLine => ({
  ...{ uid: thing.uid, what, name: thing.name, owner: thing.owner, fate, as: as.name, further },
});

/** Whether something of the file comes in. */
export const comes = ({ fate }: Pick<TakingLine, 'fate'>): boolean =>
  fate === 'new' || fate === 'twice' || fate === 'goes on';
