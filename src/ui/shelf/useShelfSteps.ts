import { useRouter } from 'next/navigation';
import { useState } from 'react';
import type { KeymapSummary } from '@/core/keymap/keymapView';
import type { ProgramSummary } from '@/core/view/shelf';
import { ask } from '../shell/api';
import { useNotice } from '../shell/Notices';
import { useStep } from '../shell/useStep';

/** Something that is given a name. */
type Naming = {
  readonly title: string;
  readonly action: string;
  readonly name: string;
  readonly owner?: string;
  readonly done: (name: string, owner: string) => Promise<void>;
};

/** What can be done with what stands on the Shelf. */
export type ShelfSteps = {
  readonly putAway: (what: Put, away: boolean) => void;
  readonly renameProgram: (program: ProgramSummary) => void;
  readonly renameKeymap: (keymap: KeymapSummary) => void;
  readonly duplicate: (keymap: KeymapSummary) => void;
};
/** A program with its keymaps, or one keymap. */
export type Put = { readonly program: ProgramSummary; readonly keymap: KeymapSummary | null };

/** Renames, duplicates, puts away and brings back; each says what it did, with the way back. */
export function useShelfSteps() {
  const router = useRouter();
  const tell = useNotice();
  const step = useStep(() => router.refresh());
  const [naming, setNaming] = useState<Naming | null>(null);
  const onNamed = (): void => setNaming(null);
  const putAway = ({ program, keymap }: Put, away: boolean): void => {
    const name = keymap?.name ?? program.name;
    void step({
      address: keymap ? `/api/keymaps/${keymap.id}` : `/api/programs/${program.slug}`,
      body: { putAway: away },
      said: away ? `${name} is put away${keymap ? '' : ' with its keymaps'}.` : `${name} is back on the Shelf.`,
      ...(away ? { undo: { words: 'Bring it back', body: { putAway: false }, said: 'It is back on the Shelf.' } } : {}),
    });
  };
  const rename = (what: string, name: string, address: string, owner?: string): void =>
    setNaming({
      title: `Rename ${what}`,
      action: 'Rename it',
      name,
      ...(owner === undefined ? {} : { owner }),
      done: async (newName, newOwner) => {
        await ask('PATCH', address, { name: newName, ...(owner === undefined ? {} : { owner: newOwner }) });
        onNamed();
        router.refresh();
      },
    });
  const duplicate = (keymap: KeymapSummary): void =>
    setNaming({
      title: `Duplicate ${keymap.name}`,
      action: 'Make the copy',
      name: keymap.factory ? 'My keys' : `Copy of ${keymap.name}`,
      owner: keymap.owner,
      done: async (name, owner) => {
        await ask('POST', `/api/keymaps/${keymap.id}/duplicate`, { name, owner });
        onNamed();
        router.refresh();
        tell(`${name} stands on the Shelf.`);
      },
    });
  const steps: ShelfSteps = {
    putAway,
    renameProgram: ({ name, slug }) => rename(name, name, `/api/programs/${slug}`),
    renameKeymap: ({ name, id, owner }) => rename(name, name, `/api/keymaps/${id}`, owner),
    duplicate,
  };
  return { naming, steps, onNamed };
}
