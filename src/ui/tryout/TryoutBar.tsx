'use client';

import Button from '@mui/material/Button';
import Link from 'next/link';
import { memo } from 'react';
import type { KeymapView } from '@/core/keymap/keymapView';
import type { KeymapLink } from '@/core/view/shelf';
import type { RoomState } from '@/core/workspace/roomView';
import { Segments } from '../kit/Segments';
import { KeymapPicker } from '../parts/KeymapPicker';
import type { RoomHook } from '../room/useRoom';
import { WorkspaceMenu } from '../room/WorkspaceMenu';
import { FullScreen } from './FullScreen';

type Props = {
  readonly view: KeymapView;
  readonly links: readonly KeymapLink[];
  readonly hook: RoomHook;
  readonly which: 'draft' | 'kept';
  readonly onWhich: (which: 'draft' | 'kept') => void;
  readonly onSwitched: (state: RoomState) => void;
  readonly onAfresh: () => void;
};

/** Which keymap is tried, in which workspace. */
export const TryoutBar = memo(function TryoutBar(props: Props) {
  const { view, links, hook, which, onWhich, onSwitched, onAfresh } = props;
  const { program, programSlug } = view;
  return (
    <header className="bar">
      <h1>Tryout</h1>
      <KeymapPicker
        programName={program.name}
        label={view.draft.name}
        links={links}
        program={programSlug}
        keymap={view.draft.slug}
        to={(one, keymapSlug) => `/tryout/${one}/${keymapSlug}`}
      />
      <Segments
        label="Which keys"
        hidden
        value={which}
        options={[
          ['draft', 'As drafted'],
          ['kept', 'As kept'],
        ]}
        onChange={onWhich}
      />
      <WorkspaceMenu hook={hook} program={programSlug} onSwitched={onSwitched} />
      <span className="push" />
      <FullScreen />
      <Button variant="text" onClick={onAfresh}>
        Start afresh
      </Button>
      <Button variant="text" component={Link} href={`/board/${programSlug}/${view.draft.slug}`} prefetch={false}>
        Back to the Board
      </Button>
    </header>
  );
});
