import { expose } from 'comlink';
import { type Advisor, buildAdvisor, type Elsewhere } from '../core/advice/advisor';
import { planWishes } from '../core/advice/planWishes';
import type { Plan, WishList } from '../core/advice/wishList';
import { buildClashIndex, type ClashIndex, programFacts } from '../core/clash/clashIndex';
import type { Desktop } from '../core/desktop/desktopKeys';
import { usesOf } from '../core/effort/uses';
import type { KeyboardChoice } from '../core/keyboard/keyboard';
import { whereOf } from '../core/keyboard/where';
import { keymapOf, type Row } from '../core/keymap/keymap';
import type { CommandId, Program } from '../core/program/program';
import type { Hand } from '../core/reach/hand';
import { nowAndThen } from './nowAndThen';

/** What a plan is made for besides the wishes: told once, and again when it changes. */
export type Ground = {
  readonly program: Program;
  readonly elsewhere: readonly Elsewhere[];
  readonly choice: KeyboardChoice;
  readonly desktop: Desktop;
  readonly hand: Hand;
};
/** The keymap that is planned on. */
export type Keys = { readonly rows: readonly Row[]; readonly spares: readonly CommandId[] };
/** What changes from one plan to the next. */
export type Task = {
  readonly list: WishList;
  readonly uses: Readonly<Record<CommandId, number>>;
};

let advisor: Advisor | null = null;
let index: ClashIndex | null = null;
const planner = {
  open({ program, elsewhere, choice, desktop, hand }: Ground): void {
    advisor = buildAdvisor(programFacts(program), whereOf(choice, desktop), hand, elsewhere);
    index = null;
  },
  take({ rows, spares }: Keys): void {
    if (advisor) index = buildClashIndex(advisor.facts, keymapOf(rows, spares), advisor.where.place);
  },
  /** Makes a plan; @returns it with the milliseconds it took here. */
  plan({ list, uses }: Task, onProgress: (part: number) => void): { readonly plan: Plan; readonly ms: number } {
    if (!advisor || !index) throw new Error('The planner has not been told what to plan for.');
    const start = performance.now();
    const say = nowAndThen(onProgress);
    const { keymap } = index;
    const told = new Map(Object.entries(uses));
    const plan = planWishes(
      advisor,
      index,
      list,
      (command) => usesOf(command, told, keymap.spares.has(command.id)),
      (done, of) => say(done / of),
    );
    if (!plan) throw new Error('There is no plan.');
    return { plan, ms: performance.now() - start };
  },
};
export type Planner = typeof planner;
expose(planner);
