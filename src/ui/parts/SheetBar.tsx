import Button from '@mui/material/Button';
import Link from 'next/link';
import type { ReactNode } from 'react';
import type { KeymapView } from '@/core/keymap/keymapView';
import type { KeymapLink } from '@/core/view/shelf';
import { KeymapPicker } from './KeymapPicker';

type Props = {
  readonly title: string;
  readonly view: KeymapView;
  readonly links: readonly KeymapLink[];
  /** The last part of the screen's address. */
  readonly part: 'changes' | 'write' | 'form';
  /** What else is chosen here, beside the keymap. */
  readonly choices?: ReactNode;
  /** What can be done, at the end. */
  readonly children: ReactNode;
};

/** The bar of a screen that Sheets leads to: what it is, of which keymap, the way back, and what can be done. */
export function SheetBar({ title, view, links, part, choices, children }: Props) {
  const { program, programSlug, draft } = view;
  return (
    <header className="bar">
      <h1>{title}</h1>
      <KeymapPicker
        programName={program.name}
        label={draft.name}
        links={links}
        program={programSlug}
        keymap={draft.slug}
        to={(one, keymap) => `/sheets/${one}/${keymap}/${part}`}
      />
      {choices}
      <span className="push" />
      <Button variant="text" component={Link} href={`/sheets/${programSlug}/${draft.slug}`} prefetch={false}>
        Back to Sheets
      </Button>
      {children}
    </header>
  );
}
