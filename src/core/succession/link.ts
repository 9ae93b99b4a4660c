import type { Command, CommandId } from '../program/program';
import { groupBy } from '../text/groupBy';

/** How it is known that a command of one version became one of the next. */
export type LinkConfidence = 'sure' | 'check' | 'said';

/**
 * A command of a version, and what became of it in the next. One of several links is a command that was split, several to
 * one are commands that were joined; without any it is gone, or new.
 */
export type Link = {
  readonly before: CommandId;
  readonly after: CommandId;
  readonly confidence: LinkConfidence;
  /** How likely it is, from 0 to 1. */
  readonly figure: number;
};

/** What a person says: this became that; or, with null, it is gone, or it is new. */
export type SaidLink =
  | { readonly before: CommandId; readonly after: CommandId | null }
  | { readonly before: null; readonly after: CommandId };

/** What became of a command; what was both renamed and moved is said to be both. */
export type Fate = 'same' | 'renamed' | 'moved' | 'renamed and moved' | 'split' | 'joined';

/** Links by the commands before and after, in their order. */
export type Links = {
  readonly from: ReadonlyMap<CommandId, readonly Link[]>;
  readonly to: ReadonlyMap<CommandId, readonly Link[]>;
};

export const linksBySide = (links: readonly Link[]): Links => ({
  from: groupBy(links, (one) => one.before),
  to: groupBy(links, (one) => one.after),
});

/** What became of a command by way of one of its links. */
export function fateOf(link: Link, { from, to }: Links, before: Command, after: Command): Fate {
  if ((from.get(link.before)?.length ?? 0) > 1) return 'split';
  if ((to.get(link.after)?.length ?? 0) > 1) return 'joined';
  const renamed = before.name !== after.name;
  const moved = before.path.join('\n') !== after.path.join('\n');
  if (renamed) return moved ? 'renamed and moved' : 'renamed';
  return moved ? 'moved' : 'same';
}
