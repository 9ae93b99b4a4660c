import type { WishList } from '@/core/advice/wishList';
import type { Said } from '@/core/counterpart/knownPairs';
import type { Settings } from '@/core/settings/settings';
import {
  type CountEdit,
  countEdits,
  fieldEdits,
  type SayEdit,
  sayEdits,
  startingAs,
  type TickEdit,
  tickEdits,
  type WishEdit,
  wishEdits,
} from '@/core/sync/ways';
import type { MatchPlan } from '@/core/transfer/matchPlan';
import { ask } from '../shell/api';
import type { Way } from './createKept';

const patch = 'PATCH' as const;

export const ticksWay = (keymap: number, from: number): Way<readonly string[], TickEdit> => ({
  ...tickEdits,
  send: (_, ticks, mark) => ask(patch, `/api/keymaps/${keymap}/ticks`, { from, ticks }, true, undefined, mark),
});

export const wishesWay = (keymap: number, start: WishList): Way<WishList | null, WishEdit> => ({
  ...startingAs(start, wishEdits),
  send: (_, list, mark) => ask(patch, `/api/keymaps/${keymap}/wishes`, list ?? start, true, undefined, mark),
});

export const usesWay = (keymap: number): Way<Readonly<Record<string, number>>, CountEdit> => ({
  ...countEdits,
  send: (edit, _, mark) => ask(patch, `/api/keymaps/${keymap}/uses`, edit, true, undefined, mark),
});

export const planWay = (
  keymap: number,
  source: number,
  start: MatchPlan,
): Way<MatchPlan | null, Partial<MatchPlan>> => ({
  ...startingAs(start, fieldEdits<MatchPlan>()),
  send: (_, plan, mark) =>
    ask(patch, `/api/keymaps/${keymap}/match`, { source, plan: plan ?? start }, true, undefined, mark),
});

export const saidWay: Way<readonly Said[], SayEdit> = {
  ...sayEdits,
  send: (edit, _, mark) => ask('POST', '/api/counterparts', edit, true, undefined, mark),
};

export const settingsWay: Way<Settings, Partial<Settings>> = {
  ...fieldEdits<Settings>(),
  send: (edit, _, mark) => ask(patch, '/api/settings', edit, true, undefined, mark),
};
