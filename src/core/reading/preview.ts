import type { Reading } from './readCommandList';

/** What a file turned out to be, before it is brought in. */
export type Preview =
  | { readonly kind: 'list'; readonly reading: Reading; readonly encoding: string; readonly name: string }
  | {
      readonly kind: 'program file';
      readonly name: string;
      readonly version: string;
      readonly commands: number;
      readonly keymaps: readonly { readonly name: string; readonly owner: string }[];
    };
