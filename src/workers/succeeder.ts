import { expose } from 'comlink';
import type { Desktop } from '../core/desktop/desktopKeys';
import type { KeyboardChoice } from '../core/keyboard/keyboard';
import { whereOf } from '../core/keyboard/where';
import { keymapOf, type Row } from '../core/keymap/keymap';
import type { Ticket } from '../core/keymap/ticket';
import type { CommandId, Program } from '../core/program/program';
import type { Hand } from '../core/reach/hand';
import { findLinks } from '../core/succession/findLinks';
import type { Link, SaidLink } from '../core/succession/link';
import { type MergeLine, mergeTicket } from '../core/succession/mergeKeymap';
import { type Answers, type Succession, succeed } from '../core/succession/succeed';

type Listed = { readonly program: Program; readonly factory: readonly Row[] };
/** Two versions of a program, and for whom they are compared. */
export type SuccessionGround = {
  readonly before: Listed;
  readonly after: Listed;
  readonly choice: KeyboardChoice;
  readonly desktop: Desktop;
  readonly hand: Hand;
};
export type SuccessionTask = {
  readonly said: readonly SaidLink[];
  readonly answers: Answers;
  readonly mine: { readonly rows: readonly Row[]; readonly spares: readonly CommandId[] };
};
export type SuccessionAnswer = {
  readonly links: readonly Link[];
  /** The lines of which anything is told. */
  readonly lines: readonly MergeLine[];
  readonly gone: Succession['merge']['gone'];
  readonly closest: Succession['closest'];
  /** What makes a keymap of the new factory keys; null where it is the same. */
  readonly ticket: Ticket | null;
};

let ground: SuccessionGround | null = null;
let found: { readonly said: readonly SaidLink[]; readonly links: readonly Link[] } | null = null;

const succeeder = {
  open(given: SuccessionGround): void {
    ground = given;
    found = null;
  },
  /** What became of the commands, and what that makes of a keymap. */
  succeed({ said, answers, mine }: SuccessionTask): SuccessionAnswer {
    if (!ground) throw new Error('The succeeder has not been told of the versions.');
    const [before, after] = [ground.before, ground.after].map(({ program, factory }) => ({
      program,
      factory: keymapOf(factory),
    })) as [Parameters<typeof findLinks>[0], Parameters<typeof findLinks>[1]];
    const known = found && JSON.stringify(found.said) === JSON.stringify(said) ? found.links : null;
    const links = known ?? findLinks(before, after, said);
    found = { said, links };
    const judged = { where: whereOf(ground.choice, ground.desktop), hand: ground.hand };
    const { merge, closest } = succeed(before, after, links, keymapOf(mine.rows, mine.spares), answers, judged);
    const ticket = mergeTicket(before, after.factory, merge);
    const lines = merge.lines.filter((one) => one.changed.mine || one.changed.theirs || one.meets.length > 0);
    return { links, lines, gone: merge.gone, closest, ticket };
  },
};
export type Succeeder = typeof succeeder;
expose(succeeder);
