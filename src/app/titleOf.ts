import type { Metadata } from 'next';
import { loadNames } from '@/server/useCases/screens';
import { addressPart } from './addressPart';

type Given = { readonly params: Promise<{ readonly program: string; readonly keymap?: string }> };

/** Makes the title of a page: the program and the keymap that its address names, then the screen. */
export function titleOf(screen: string): (given: Given) => Promise<Metadata> {
  return async ({ params }) => {
    const { program, keymap } = await params;
    const names = await loadNames(addressPart(program), keymap === undefined ? null : addressPart(keymap));
    return { title: [...names, screen].join(' · ') };
  };
}
