'use client';

import Button from '@mui/material/Button';
import { useMemo, useState } from 'react';
import { compareKeymaps } from '@/core/keymap/compareKeymaps';
import type { Draft } from '@/core/keymap/draft';
import { counted } from '@/core/text/sentence';
import type { KeymapLink } from '@/core/view/views';
import { KeymapPicker } from '../parts/KeymapPicker';
import { NameDialog } from '../parts/NameDialog';
import { useNotice } from '../shell/Notices';
import type { DraftActions } from './useDraft';

type Props = {
  readonly programName: string;
  readonly programSlug: string;
  readonly draft: Draft;
  readonly links: readonly KeymapLink[];
  readonly actions: DraftActions;
  readonly onUndo: () => void;
  readonly onRedo: () => void;
};

/** Which keymap this is, how it stands, and the ways to keep it. */
export function BoardBar({ programName, programSlug, draft, links, actions, onUndo, onRedo }: Props) {
  const { state, tape } = draft;
  const [naming, setNaming] = useState(false);
  const tell = useNotice();
  const changes = useMemo(() => compareKeymaps(draft.kept, draft.keymap).length, [draft.kept, draft.keymap]);
  const here = {
    program: programSlug,
    programName,
    keymap: state.slug,
    name: state.name,
    owner: state.owner,
    factory: state.factory,
  };
  const all = links.some((link) => link.program === programSlug && link.keymap === state.slug)
    ? links.map((link) => (link.program === programSlug && link.keymap === state.slug ? here : link))
    : [
        ...links.filter((link) => link.program <= programSlug),
        here,
        ...links.filter((link) => link.program > programSlug),
      ];
  const discard = async (): Promise<void> => {
    if (await actions.discard())
      tell(`${counted(changes, 'change')} discarded. ${state.keptCursor === null ? 'Undo' : 'Redo'} brings them back.`);
  };
  return (
    <header className="bar">
      <h1>{programName}</h1>
      <span className="soft">keymap</span>
      <KeymapPicker label={state.name} links={all} program={programSlug} keymap={state.slug} screen="board" />
      <span className="pill draft" role="status">
        {state.factory
          ? 'factory keys'
          : changes === 0 && !state.unnamed
            ? 'kept'
            : `draft · ${counted(changes, 'change')}`}
      </span>
      <span className="push" />
      <button
        type="button"
        className="word"
        aria-disabled={state.cursor === 0}
        onClick={onUndo}
        aria-keyshortcuts="Control+Z"
      >
        Undo
      </button>
      <button
        type="button"
        className="word"
        aria-disabled={state.cursor >= tape.length}
        onClick={onRedo}
        aria-keyshortcuts="Control+Shift+Z"
      >
        Redo
      </button>
      <button
        type="button"
        className="word"
        aria-disabled={changes === 0}
        onClick={() => changes > 0 && void discard()}
      >
        Discard
      </button>
      <Button variant="outlined" onClick={() => setNaming(true)}>
        Keep as new…
      </Button>
      <Button
        variant="contained"
        disabled={state.factory || (changes === 0 && !state.unnamed)}
        onClick={async () => {
          if (state.unnamed) return setNaming(true);
          if (await actions.keep()) tell(`${state.name} is kept with ${counted(changes, 'change')}.`);
        }}
      >
        Keep changes
      </Button>
      {naming && (
        <NameDialog
          title="Keep as a new keymap"
          action="Keep it"
          name={state.factory || state.unnamed ? `My ${programName} keys` : `${state.name} 2`}
          owner={state.owner}
          hint={
            state.factory || state.unnamed
              ? 'The factory keys stay as they are.'
              : `“${state.name}” goes back to what was kept of it.`
          }
          onClose={() => setNaming(false)}
          onDone={async (name, owner) => {
            setNaming(false);
            if (await actions.keepAsNew(name, owner)) tell(`Kept as ${name}.`);
          }}
        />
      )}
    </header>
  );
}
