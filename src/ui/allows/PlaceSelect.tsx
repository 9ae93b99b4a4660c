'use client';

import type { Context } from '@/core/program/program';
import { Pick } from '../kit/Pick';

type Props = {
  readonly label: string;
  readonly contexts: readonly Context[];
  readonly value: string;
  readonly onChange: (context: string) => void;
};

/** Chooses a place where keys are listened for. */
export function PlaceSelect({ label, contexts, value, onChange }: Props) {
  return (
    <Pick label={label} hidden value={value} options={contexts.map((one) => [one.id, one.name])} onChange={onChange} />
  );
}
