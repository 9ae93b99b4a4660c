'use client';

import { type ComponentType, useMemo } from 'react';
import { type Packed, unpack } from '@/core/view/packed';

/** A screen that is given all it shows as one text: a program has thousands of commands. */
export function unpacked<Props extends object>(Screen: ComponentType<Props>) {
  return function Unpacked({ packed }: { readonly packed: Packed<Props> }) {
    const props = useMemo(() => unpack(packed), [packed]);
    return <Screen {...props} />;
  };
}
