'use client';

import Button from '@mui/material/Button';
import GlobalStyles from '@mui/material/GlobalStyles';
import Link from 'next/link';
import { useEffect, useMemo, useState } from 'react';
import { NOTATIONS, type Notation } from '@/core/chord/writeChord';
import { draftOf } from '@/core/keymap/draft';
import { layOutSheet } from '@/core/sheet/layOutSheet';
import { PAPERS, type Paper, WAYS, type Way } from '@/core/sheet/sheet';
import { CONTENTS, type Contents, chosenCommands, sheetContents } from '@/core/sheet/sheetContents';
import { counted } from '@/core/text/sentence';
import type { KeymapLink, KeymapView } from '@/core/view/views';
import { type Dressing, marksOf } from '@/core/workspace/dressing';
import { KeymapPicker } from '../parts/KeymapPicker';
import { Segments } from '../parts/Segments';
import { SheetPage } from './SheetPage';
import styles from './sheets.module.css';

export type SheetOptions = {
  readonly contents: Contents;
  readonly notation: Notation;
  readonly paper: Paper;
  readonly way: Way;
  /** Whether the marks of menu lines stand on it. */
  readonly marks: 'yes' | 'no';
};
type Props = {
  readonly view: KeymapView;
  readonly dressing: Dressing;
  readonly links: readonly KeymapLink[];
  readonly initial: SheetOptions;
  readonly today: string;
};

const CONTENT_WORDS: Readonly<Record<Contents, string>> = { yours: 'Yours', all: 'All with keys' };
const NOTATION_WORDS: Readonly<Record<Notation, string>> = {
  windows: 'Windows',
  mac: 'Mac',
  symbols: '⌘ ⌥',
};
const WAY_WORDS: Readonly<Record<Way, string>> = { across: 'Across', upright: 'Upright' };

/** A printable cheat sheet: what goes on it at the left, the page as it will print beside it. */
export function Sheets({ view, dressing, links, initial, today }: Props) {
  const [options, setOptions] = useState(initial);
  const draft = useMemo(() => draftOf(view), [view]);
  const { program, programSlug } = view;
  const base = useMemo(
    () => ({ program, keymapName: draft.state.name, keymap: draft.keymap, factory: draft.factory }),
    [program, draft],
  );
  const marks = useMemo(() => marksOf(dressing), [dressing]);
  const counts = useMemo(
    () => new Map(CONTENTS.map((contents) => [contents, chosenCommands({ ...base, contents }).length])),
    [base],
  );
  const layout = useMemo(
    () =>
      layOutSheet(
        sheetContents({
          ...base,
          contents: options.contents,
          notation: options.notation,
          footer: draft.state.owner,
          ...(options.marks === 'yes' ? { marks } : {}),
        }),
        options.paper,
        options.way,
        today,
      ),
    [base, options, marks, draft.state.owner, today],
  );
  const query = new URLSearchParams({
    ...options,
    program: programSlug,
    keymap: draft.state.slug,
    date: today,
  }).toString();
  useEffect(() => {
    window.history.replaceState(null, '', `/sheets/${programSlug}/${draft.state.slug}?${new URLSearchParams(options)}`);
  }, [options, programSlug, draft.state.slug]);
  const choose = (values: Partial<SheetOptions>): void => setOptions((now) => ({ ...now, ...values }));
  const count = counts.get(options.contents) ?? 0;
  const size = `${(layout.width / 72).toFixed(3)}in ${(layout.height / 72).toFixed(3)}in`;

  return (
    <div className="screen">
      <GlobalStyles styles={{ '@page': { size, margin: 0 } }} />
      <header className="bar">
        <h1>Sheets</h1>
        <KeymapPicker
          label={`${program.name} · ${draft.state.name}`}
          links={links}
          program={programSlug}
          keymap={draft.state.slug}
          to={(program, keymap) => `/sheets/${program}/${keymap}`}
        />
        <span className="soft" role="status">
          {counted(count, 'shortcut')} on {counted(layout.pages.length, 'page')}
        </span>
        <span className="push" />
        <Link className="word" href={`/sheets/${programSlug}/${draft.state.slug}/changes`} prefetch={false}>
          Change list
        </Link>
        <Button
          variant="outlined"
          component="a"
          href={`/api/sheets?${query}`}
          download={`${program.name} ${draft.state.name}.pdf`}
        >
          Save as PDF
        </Button>
        <Button variant="contained" onClick={() => window.print()}>
          Print
        </Button>
      </header>
      <main className={styles.sheets}>
        <section className={`${styles.options} no-print`} aria-label="What the sheet shows">
          <Segments
            label="Put on it"
            value={options.contents}
            onChange={(contents) => choose({ contents })}
            options={CONTENTS.map((one) => [one, `${CONTENT_WORDS[one]} ${counts.get(one) ?? 0}`] as const)}
          />
          <Segments
            label="Keys written for"
            value={options.notation}
            onChange={(notation) => choose({ notation })}
            options={NOTATIONS.map((one) => [one, NOTATION_WORDS[one]] as const)}
          />
          <Segments
            label="Paper"
            value={options.paper}
            onChange={(paper) => choose({ paper })}
            options={(Object.keys(PAPERS) as Paper[]).map((one) => [one, one] as const)}
          />
          <Segments
            label="Lay the page"
            value={options.way}
            onChange={(way) => choose({ way })}
            options={WAYS.map((one) => [one, WAY_WORDS[one]] as const)}
          />
          {marks.size > 0 && (
            <Segments
              label="Marks of menu lines"
              value={options.marks}
              onChange={(next) => choose({ marks: next })}
              options={[
                ['yes', 'Printed'],
                ['no', 'Left out'],
              ]}
            />
          )}
          <div>
            <h2 className={styles.fit}>Fit</h2>
            <p>
              {counted(layout.pages.length, 'page')}, {counted(layout.columns, 'column')}, {layout.size.toFixed(1)} pt
            </p>
            <p className="soft">
              As large as one page allows; what would be smaller than 7.5 pt goes on to more pages.
            </p>
          </div>
          {layout.warnings.map((warning) => (
            <p key={warning} className={styles.warning}>
              {warning}
            </p>
          ))}
        </section>
        <section className={styles.desk} tabIndex={0} aria-label="The page as it will print">
          {count === 0 ? (
            <div className="empty">
              <p>
                {options.contents === 'yours'
                  ? 'You have not changed any keys of this keymap yet, so there is nothing of yours to print.'
                  : 'No command of this keymap has keys.'}
              </p>
              {options.contents === 'yours' && (
                <Button variant="outlined" onClick={() => choose({ contents: 'all' })}>
                  Put all with keys on it
                </Button>
              )}
            </div>
          ) : (
            layout.pages.map((page, i) => (
              <div
                key={i}
                className={styles.page}
                style={{
                  aspectRatio: `${layout.width} / ${layout.height}`,
                  maxWidth: options.way === 'across' ? '842px' : '595px',
                }}
              >
                <SheetPage layout={layout} page={page} label={`Page ${i + 1} of ${layout.pages.length}`} />
              </div>
            ))
          )}
        </section>
      </main>
    </div>
  );
}
