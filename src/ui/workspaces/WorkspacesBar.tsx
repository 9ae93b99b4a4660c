import Button from '@mui/material/Button';
import Link from 'next/link';
import type { KeymapView } from '@/core/keymap/keymapView';
import type { KeymapLink } from '@/core/view/shelf';
import { PART_WORDS, PARTS, type Part } from '@/core/workspace/room';
import type { RoomState } from '@/core/workspace/roomView';
import { Segments } from '../kit/Segments';
import { ActionsMenu } from '../parts/ActionsMenu';

type Props = {
  readonly view: KeymapView;
  readonly links: readonly KeymapLink[];
  readonly state: RoomState;
  readonly show: Part;
  readonly onShow: (part: Part) => void;
  readonly undo: () => void;
  readonly redo: () => void;
};

/** Which program's room it is, which part of it is arranged, and the way along its steps. */
export function WorkspacesBar({ view, links, state, show, onShow, undo, redo }: Props) {
  const { program, programSlug } = view;
  const programs = [...new Map(links.map((one) => [one.program, one.programName]))];
  return (
    <header className="bar">
      <h1>Workspaces</h1>
      <ActionsMenu
        label={`Program: ${program.name}`}
        words={program.name}
        actions={programs.map(([slug, name]) => [name, `/workspaces/${slug}?show=${show}`] as const)}
      />
      <Segments
        label="What is arranged"
        hidden
        value={show}
        options={PARTS.map((part) => [part, PART_WORDS[part]])}
        onChange={onShow}
      />
      <span className="push" />
      <Button
        variant="text"
        aria-disabled={state.cursor === 0}
        data-tip={state.cursor > 0 ? state.steps[state.cursor - 1] : undefined}
        onClick={undo}
      >
        Undo
      </Button>
      <Button
        variant="text"
        aria-disabled={state.cursor >= state.steps.length}
        data-tip={state.steps[state.cursor]}
        onClick={redo}
      >
        Redo
      </Button>
      <Button variant="text" component={Link} href={`/tryout/${programSlug}/${view.draft.slug}`} prefetch={false}>
        Try it
      </Button>
    </header>
  );
}
