import type { WishList } from '../advice/wishList';
import { cutText } from '../text/cutText';
import type {
  Uid,
  WholeChosen,
  WholeContents,
  WholeForm,
  WholeKeymap,
  WholeProgram,
  WholeRoom,
  WholeSaid,
  WholeSheet,
  WholeSource,
  WholeUse,
  WholeWorkspace,
} from './whole';

/** What becomes of something in a file: it is here already, it comes in, or it comes in beside what is here. */
export type Fate = 'same' | 'further here' | 'new' | 'twice' | 'goes on';
/** Under which name and marks something comes in. */
export type As = { readonly uid: Uid; readonly kin: Uid; readonly name: string };
export type Taken<Thing> = {
  readonly thing: Thing;
  readonly fate: Fate;
  /** The one here that it is or stands beside. */
  readonly here: Uid | null;
  readonly as: As;
  /** Whether it has all that the one here has, and more. */
  readonly further: boolean;
};
export type TakenProgram = Taken<WholeProgram> & {
  readonly keymaps: readonly Taken<WholeKeymap>[];
  readonly workspaces: readonly Taken<WholeWorkspace>[];
};
/** All that is done to take a file in beside what is here. */
export type Taking = { readonly programs: readonly TakenProgram[]; readonly belongings: Belongings };

/** Something that comes in with a program or a keymap, by the uid that has here. */
export type Of<Thing> = Thing & { readonly of: Uid };
/** What comes in with programs and keymaps, all uids being those here; and how much of it stays as it is here. */
export type Belongings = {
  readonly sheets: readonly Of<WholeSheet>[];
  readonly wishes: readonly Of<{ readonly wishes: WishList }>[];
  readonly ticks: readonly Of<WholeKeymap['ticks'][number]>[];
  readonly plans: readonly Of<WholeKeymap['plans'][number]>[];
  readonly derivations: readonly Of<NonNullable<WholeKeymap['derivation']>>[];
  readonly moves: readonly Of<WholeKeymap['moves'][number]>[];
  readonly uses: readonly Of<WholeUse>[];
  readonly chosen: readonly Of<WholeChosen>[];
  readonly counterparts: readonly Of<WholeSaid>[];
  readonly forms: readonly Of<WholeForm>[];
  readonly sources: readonly Of<WholeSource>[];
  readonly rooms: readonly Of<WholeRoom>[];
  /** Rooms that stand otherwise here, to be kept as workspaces. */
  readonly stood: readonly Of<{
    readonly kin: Uid;
    readonly name: string;
    readonly person: string;
    readonly contents: WholeContents;
  }>[];
  readonly successions: readonly Of<NonNullable<WholeProgram['succession']>>[];
  /** What is said otherwise here, and stays as it is said here: how many of each. */
  readonly stays: Readonly<Record<Staying, number>>;
};
/** What can only be one way, so that it stays as it is here. */
export type Staying = 'wishes' | 'ticks' | 'plans' | 'derivations' | 'uses' | 'chosen' | 'counterparts' | 'successions';

/** The kin of workspaces that somebody's room was kept as begins so. */
export const KEPT_ROOM = 'room';

/** What a keymap is and how it became so. */
export const stateOf = ({ rows, spares, tape, cursor, kept, leftAside }: WholeKeymap) => ({
  ...{ rows, spares, tape, cursor, kept, leftAside },
});
/** What a program says of itself and how it came to say so. */
export const factsOf = ({ facts, steps }: WholeProgram) => ({ facts, steps });

/** A workspace's contents with the keymap it has here. A keymap that came with nothing is the factory's. */
export const translator =
  (becomes: ReadonlyMap<Uid, Uid>) =>
  (contents: WholeContents): WholeContents =>
    typeof contents.keymap === 'string' ? { ...contents, keymap: becomes.get(contents.keymap) ?? null } : contents;

/** Contents with the kin of their keymap: a workspace is the same on whichever second of a keymap it is. */
export function familiar(
  here: readonly WholeProgram[],
  taken: readonly { readonly keymaps: readonly Taken<WholeKeymap>[] }[],
): (contents: WholeContents) => WholeContents {
  const kin = new Map<Uid, Uid>();
  for (const one of taken.flatMap(({ keymaps }) => keymaps)) kin.set(one.as.uid, one.as.kin);
  for (const one of here.flatMap(({ keymaps }) => keymaps)) kin.set(one.uid, one.kin);
  return translator(kin);
}

/** A name that none of the others has: with what the file is called, and a number if it must. */
export function besideName(name: string, label: string, taken: ReadonlySet<string>): string {
  if (!taken.has(name)) return name;
  for (let n = 1; ; n++) {
    const end = ` (${label}${n === 1 ? '' : ` ${n}`})`;
    const one = `${cutText(name, 120 - end.length)}${end}`;
    if (!taken.has(one)) return one;
  }
}
