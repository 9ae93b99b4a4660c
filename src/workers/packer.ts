import { expose } from 'comlink';
import { type Advisor, buildAdvisor } from '../core/advice/advisor';
import { programFacts } from '../core/clash/clashIndex';
import type { Counterpart } from '../core/counterpart/counterpart';
import type { Desktop } from '../core/desktop/desktopKeys';
import type { KeyboardChoice } from '../core/keyboard/keyboard';
import { whereOf } from '../core/keyboard/where';
import { type Keymap, keymapOf, type Row } from '../core/keymap/keymap';
import { matchPack } from '../core/pack/matchPack';
import type { Pack } from '../core/pack/pack';
import { putOnPack } from '../core/pack/putOnPack';
import type { CommandId, Program } from '../core/program/program';
import type { Hand } from '../core/reach/hand';
import type { Choice, Transfer } from '../core/transfer/transferTypes';

/** The program whose keymap packs are put on, and for whom. */
export type PackGround = {
  readonly program: Program;
  readonly factory: readonly Row[];
  readonly uses: Readonly<Record<CommandId, number>>;
  readonly choice: KeyboardChoice;
  readonly desktop: Desktop;
  readonly hand: Hand;
};
export type PackTask = {
  readonly pack: Pack;
  /** What a person says of which command a line is of, by the lines. */
  readonly said: readonly (readonly [line: CommandId, command: CommandId | null])[];
  readonly choices: readonly (readonly [CommandId, Choice])[];
  readonly mine: { readonly rows: readonly Row[]; readonly spares: readonly CommandId[] };
};
export type PackAnswer = Omit<Transfer, 'keymap'> & { readonly counterparts: readonly Counterpart[] };

let ground: { readonly given: PackGround; readonly advisor: Advisor; readonly factory: Keymap } | null = null;

const packer = {
  open(given: PackGround): void {
    const advisor = buildAdvisor(programFacts(given.program), whereOf(given.choice, given.desktop), given.hand, []);
    ground = { given, advisor, factory: keymapOf(given.factory) };
  },
  /** Which commands a pack is of here, and what putting it on does. */
  putOn({ pack, said, choices, mine }: PackTask): PackAnswer {
    if (!ground) throw new Error('The packer has not been told of a program.');
    const { given, advisor, factory } = ground;
    const counterparts = matchPack(pack, given.program, factory, new Map(said));
    const { keymap: _, ...done } = putOnPack(
      pack,
      counterparts,
      advisor,
      keymapOf(mine.rows, mine.spares),
      new Map(choices),
      new Map(Object.entries(given.uses)),
    );
    return { ...done, counterparts };
  },
};
export type Packer = typeof packer;
expose(packer);
