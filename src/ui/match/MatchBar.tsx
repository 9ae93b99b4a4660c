import Button from '@mui/material/Button';
import Link from 'next/link';
import type { ReactNode } from 'react';
import { useMemo } from 'react';
import { compareKeymaps } from '@/core/keymap/compareKeymaps';
import type { Draft } from '@/core/keymap/draft';
import type { DraftState, KeymapView } from '@/core/keymap/keymapView';
import type { KeymapLink } from '@/core/view/shelf';
import { DraftPill } from '../draft/DraftPill';
import { UndoRedo } from '../draft/UndoRedo';
import type { DraftActions } from '../draft/useDraft';
import { Row } from '../kit/Row';
import { KeymapPicker } from '../parts/KeymapPicker';
import { likeAddress } from './likeAddress';

type Props = {
  readonly draft: Draft;
  readonly actions: DraftActions;
  readonly view: KeymapView;
  readonly theirs: KeymapView;
  readonly their: DraftState;
  readonly links: readonly KeymapLink[];
  /** What is done with the match. */
  readonly children: ReactNode;
};

/** Which keymap is to feel like which, and what is done with it. */
export function MatchBar({ draft, actions, view, theirs, their, links, children }: Props) {
  const { program, programSlug } = view;
  const { state } = draft;
  const changes = useMemo(() => compareKeymaps(draft.kept, draft.keymap).length, [draft.kept, draft.keymap]);
  return (
    <header className="bar">
      <h1>Match</h1>
      <span className="soft">make</span>
      <KeymapPicker
        says="The keymap that is to change"
        programName={program.name}
        label={state.name}
        links={links}
        program={programSlug}
        keymap={state.slug}
        to={(one, keymap) => likeAddress(one, keymap, theirs.programSlug, their.slug)}
      />
      <span className="soft">feel like</span>
      <KeymapPicker
        says="The keymap it is to feel like"
        programName={theirs.program.name}
        label={their.name}
        links={links.filter((one) => one.program !== programSlug)}
        program={theirs.programSlug}
        keymap={their.slug}
        to={(one, keymap) => likeAddress(programSlug, state.slug, one, keymap)}
      />
      <DraftPill state={state} changes={changes} />
      <span className="push" />
      <Row gap={1}>
        <UndoRedo draft={draft} actions={actions} />
        <Button variant="text" component={Link} href="/match/compare">
          Compare all
        </Button>
        {children}
      </Row>
    </header>
  );
}
