'use client';

import Button from '@mui/material/Button';
import Link from 'next/link';
import { memo, useMemo, useState } from 'react';
import { ariaKeys } from '@/core/chord/ariaKeys';
import type { ClashIndex } from '@/core/clash/clashIndex';
import { compareKeymaps } from '@/core/keymap/compareKeymaps';
import { type Draft, tapeLengthOf } from '@/core/keymap/draft';
import { counted } from '@/core/text/sentence';
import type { KeymapLink } from '@/core/view/shelf';
import { DraftPill } from '../draft/DraftPill';
import type { DraftActions } from '../draft/useDraft';
import { ActionsMenu } from '../parts/ActionsMenu';
import { KeymapPicker } from '../parts/KeymapPicker';
import { NameDialog } from '../parts/NameDialog';
import { useNotice } from '../shell/Notices';
import { useSettings } from '../shell/SettingsContext';
import type { Shown } from './BoardDialogs';
import { useTroubleCount } from './useTroubleCount';

type Props = {
  readonly programName: string;
  readonly programSlug: string;
  readonly draft: Draft;
  readonly index: ClashIndex;
  readonly links: readonly KeymapLink[];
  readonly actions: DraftActions;
  readonly onUndo: () => void;
  readonly onRedo: () => void;
  readonly onShow: (what: Shown) => void;
  readonly onRestoreAll: () => void;
};

/** Which keymap this is, how it stands, and the ways to keep it. */
export const BoardBar = memo(function BoardBar(props: Props) {
  const { programName, programSlug, draft, index, links, actions, onUndo, onRedo, onShow, onRestoreAll } = props;
  const { state } = draft;
  const mac = useSettings().where.desktop === 'mac';
  const [naming, setNaming] = useState(false);
  const tell = useNotice();
  const changes = useMemo(() => compareKeymaps(draft.kept, draft.keymap).length, [draft.kept, draft.keymap]);
  const bad = useTroubleCount(index, draft.factory);
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
    const back = state.keptCursor === null ? 'Undo' : 'Redo';
    if (await actions.discard()) tell(`Changes of ${counted(changes, 'command')} discarded. ${back} brings them back.`);
  };
  return (
    <header className="bar">
      <h1>{programName}</h1>
      <span className="soft">keymap</span>
      <KeymapPicker
        label={state.name}
        links={all}
        program={programSlug}
        keymap={state.slug}
        to={(program, keymap) => `/board/${program}/${keymap}`}
      />
      <DraftPill state={state} changes={changes} />
      <span className="push" />
      <Button
        variant="text"
        aria-disabled={state.cursor === 0}
        onClick={onUndo}
        aria-keyshortcuts={ariaKeys(['Mod+Z'], mac)}
      >
        Undo
      </Button>
      <Button
        variant="text"
        aria-disabled={state.cursor >= tapeLengthOf(draft)}
        onClick={onRedo}
        aria-keyshortcuts={ariaKeys(['Mod+Shift+Z'], mac)}
      >
        Redo
      </Button>
      <Button variant="text" component={Link} href={`/wishes/${programSlug}/${state.slug}`} prefetch={false}>
        Wish list
      </Button>
      <Button variant="text" onClick={() => onShow('check')}>
        Check{bad > 0 ? ` ${bad}` : ''}
      </Button>
      <ActionsMenu
        label={`More for ${state.name}`}
        actions={[
          ['Kept versions…', () => onShow('history')],
          ['Try it out', `/tryout/${programSlug}/${state.slug}`],
          ['Make it feel like another program…', `/match/${programSlug}/${state.slug}`],
          ['Compare with another keymap…', `/shelf/compare/${programSlug}?left=${state.slug}`],
          ...(state.factory || state.locked
            ? []
            : ([
                ['Everything back to factory keys', onRestoreAll],
                ...(changes > 0 ? ([['Discard the draft', () => void discard()]] as const) : []),
              ] as const)),
          ...(state.factory
            ? []
            : ([
                [state.locked ? 'Unlock' : 'Lock, so that nothing changes', () => void actions.lock(!state.locked)],
              ] as const)),
          [`What ${programName} allows…`, `/shelf/allows/${programSlug}`],
          [`Save for ${programName}…`, `/sheets/${programSlug}/${state.slug}/write`],
          ['Packs…', `/shelf/packs/${programSlug}/${state.slug}`],
          ['Print a sheet', `/sheets/${programSlug}/${state.slug}`],
        ]}
      />
      <Button variant="outlined" onClick={() => setNaming(true)}>
        Keep as new…
      </Button>
      <Button
        variant="contained"
        disabled={state.factory || state.locked || (changes === 0 && !state.unnamed)}
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
});
