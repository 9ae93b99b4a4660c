'use client';
import type { Holder } from '@/core/clash/clashIndex';
import { holds, type Keymap } from '@/core/keymap/keymap';
import type { KeyFace } from '@/core/layer/layer';
import type { PinState } from '../parts/Pin';

export function pinState({ holders, held, clash, fixed }: KeyFace, factory: Keymap): PinState | null {
  if (fixed !== null) return 'fixed';
  if (clash) return 'clash';
  const all = holders.length > 0 ? holders : held;
  if (all.length === 0) return null;
  const pins = all.map((holder) => pinOfHolder(holder, factory));
  if (pins.every((pin) => pin === 'spare')) return 'spare';
  return (
    (['keeper', 'yours'] as const).find((one) => pins.includes(one)) ?? (holders.length > 1 ? 'shared' : 'factory')
  );
}

/** The pin of one binding. */
export function pinOfHolder({ command, chord, keeper, spare }: Holder, factory: Keymap): PinState {
  if (spare) return 'spare';
  if (keeper) return 'keeper';
  return holds(factory, command.id, chord) ? 'factory' : 'yours';
}
