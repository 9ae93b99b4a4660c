'use client';

import { useRouter } from 'next/navigation';
import { useState } from 'react';
import { ActionsMenu } from '../parts/ActionsMenu';
import { NameDialog } from '../parts/NameDialog';
import { useSettings } from '../shell/SettingsContext';

/** Who sits here: their keymaps and workspaces come first, and each has a room of their own. */
export function PersonMenu({ person, persons }: { person: string; persons: readonly string[] }) {
  const router = useRouter();
  const { change } = useSettings();
  const [naming, setNaming] = useState(false);
  const choose = async (next: string): Promise<void> => {
    if (await change({ person: next })) router.refresh();
  };
  return (
    <>
      <ActionsMenu
        label={`For ${person || 'anybody'}: who sits here`}
        words={`For ${person || 'anybody'}`}
        actions={[
          ...['', ...persons].map((one) => [one || 'Anybody', () => void choose(one)] as const),
          ['Somebody else…', () => setNaming(true)],
        ]}
      />
      {naming && (
        <NameDialog
          title="Who sits here?"
          action="Sit down"
          name=""
          hint="A name or a role. Their keymaps and workspaces come first, and their room is their own."
          onClose={() => setNaming(false)}
          onDone={async (name) => {
            await choose(name);
            setNaming(false);
          }}
        />
      )}
    </>
  );
}
