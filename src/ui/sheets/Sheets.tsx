'use client';

import Alert from '@mui/material/Alert';
import Button from '@mui/material/Button';
import GlobalStyles from '@mui/material/GlobalStyles';
import Paper from '@mui/material/Paper';
import Link from 'next/link';
import { useEffect, useMemo, useState } from 'react';
import { makeSheet } from '@/core/sheet/makeSheet';
import { requestOf, sheetDataOf } from '@/core/sheet/requestOf';
import { chosenCommands } from '@/core/sheet/sheetContents';
import { sheetQuery } from '@/core/sheet/sheetQuery';
import type { SheetSpec } from '@/core/sheet/sheetSpec';
import type { SheetsView } from '@/core/sheet/sheetsView';
import { counted } from '@/core/text/sentence';
import type { KeymapLink } from '@/core/view/shelf';
import { Progress } from '../kit/Progress';
import { replaceAddress } from '../kit/useBackCloses';
import { ActionsMenu } from '../parts/ActionsMenu';
import { KeymapPicker } from '../parts/KeymapPicker';
import { usePainted } from '../parts/usePainted';
import { useNotice } from '../shell/Notices';
import { useSettings } from '../shell/SettingsContext';
import { unpacked } from '../shell/unpacked';
import { copyContents } from './copyContents';
import { KeptSheets } from './KeptSheets';
import { SheetOptions } from './SheetOptions';
import { SheetPages } from './SheetPages';
import { savePng } from './savePng';
import styles from './sheets.module.css';
import { useOthers } from './useOthers';

type Props = {
  readonly given: SheetsView;
  readonly links: readonly KeymapLink[];
  readonly initial: SheetSpec;
  readonly today: string;
};

const FILES = [
  ['Picture (SVG)', 'svg'],
  ['Web page', 'html'],
  ['Fragment for a post or a mail', 'fragment'],
  ['Markdown', 'markdown'],
  ['Separated values (CSV)', 'csv'],
  ['Workbook (XLSX)', 'xlsx'],
] as const;

/** Paper people keep: what goes on it at the left, the page as it will print beside it. */
export function Sheets({ given, links, initial, today }: Props) {
  const [spec, setSpec] = useState(initial);
  const tell = useNotice();
  const { where } = useSettings();
  const { view } = given;
  const { program, programSlug, draft } = view;
  const { others, missing, problem } = useOthers(given, spec);
  const data = useMemo(() => sheetDataOf(given), [given]);
  const request = useMemo(() => requestOf(data, spec, where, others), [data, spec, where, others]);
  const { contents, layout } = useMemo(() => makeSheet(request, today), [request, today]);
  const count = contents.groups.reduce((sum, group) => sum + group.lines.length, 0);
  const address = `/sheets/${programSlug}/${draft.slug}`;
  const painted = usePainted(spec);
  useEffect(() => {
    replaceAddress(`${address}?${new URLSearchParams(sheetQuery(painted))}`);
  }, [painted, address]);
  const file = (as: string): string =>
    `/api/sheets?${new URLSearchParams({ ...sheetQuery(spec), program: programSlug, keymap: draft.slug, date: today, as })}`;
  const choose = (values: Partial<SheetSpec>): void => setSpec((now) => ({ ...now, ...values }));
  const copy = async (): Promise<void> => {
    try {
      await copyContents(contents);
      tell('Copied. Paste it where it is to stand.');
    } catch {
      tell('This browser did not let it be copied. Save it as a fragment instead.');
    }
  };
  const size = `${(layout.width / 72).toFixed(3)}in ${(layout.height / 72).toFixed(3)}in`;
  const what = layout.cards === undefined ? '' : `${counted(layout.cards, spec.form)}, `;
  return (
    <div className="screen">
      <GlobalStyles styles={{ '@page': { size, margin: 0 } }} />
      <header className="bar">
        <h1>Sheets</h1>
        <KeymapPicker
          programName={program.name}
          label={draft.name}
          links={links}
          program={programSlug}
          keymap={draft.slug}
          to={(one, keymap) => `/sheets/${one}/${keymap}`}
        />
        <span className="soft" role="status">
          {spec.form === 'programs' || spec.form === 'steps'
            ? counted(count, spec.form === 'steps' ? 'step' : 'line')
            : counted(chosenCommands(request).length, 'command')}{' '}
          on {what}
          {counted(layout.pages.length, 'page')}
        </span>
        <span className="push" />
        <Button variant="text" component={Link} href={`${address}/changes`} prefetch={false}>
          Change list
        </Button>
        <ActionsMenu
          label="Save as another file"
          words="Other files"
          actions={[
            [`Into a file ${program.name} reads…`, `${address}/write`],
            ['In a form of your own…', `${address}/form`],
            ...FILES.map(([words, as]) => [words, () => window.location.assign(file(as))] as const),
            ['Copy for a post or a mail', () => void copy()],
            [
              'Picture (PNG)',
              () => void savePng(layout, contents.title).catch(() => tell('The picture could not be made.')),
            ],
          ]}
        />
        <Button variant="outlined" component="a" href={file('pdf')} download={`${program.name} ${draft.name}.pdf`}>
          Save as PDF
        </Button>
        <Button variant="contained" onClick={() => window.print()}>
          Print
        </Button>
      </header>
      <main className={`panes ${styles.sheets}`}>
        <Paper component="section" variant="side" className="no-print" aria-label="What the sheet shows">
          <KeptSheets given={given} spec={spec} onShow={setSpec} />
          <SheetOptions given={given} links={links} request={request} spec={spec} painted={painted} onChoose={choose} />
          <div>
            <h2>Fit</h2>
            <p>
              {counted(layout.pages.length, 'page')}, {counted(layout.columns, 'column')}, {layout.size.toFixed(1)} pt
            </p>
            {spec.pages === 0 && (
              <p className="soft">
                As large as one page allows; what would be too small to read well goes on to more pages.
              </p>
            )}
          </div>
          {layout.warnings.map((warning) => (
            <Alert key={warning} severity="warning" role="note">
              {warning}
            </Alert>
          ))}
        </Paper>
        <section className={styles.desk} tabIndex={0} aria-label="The page as it will print">
          {missing ? (
            <div className="empty">
              <p role="status">{problem || 'Finding what these keymaps have in common…'}</p>
              {!problem && <Progress label="Finding what these keymaps have in common" />}
            </div>
          ) : count === 0 ? (
            <Nothing spec={spec} onAll={() => choose({ contents: 'all', form: 'desk' })} />
          ) : (
            <SheetPages layout={layout} />
          )}
        </section>
      </main>
    </div>
  );
}

/** Says why there is nothing on the sheet, and what to do about it. */
function Nothing({ spec, onAll }: { spec: SheetSpec; onAll: () => void }) {
  const why =
    spec.form === 'steps'
      ? 'Both keymaps have the same keys. There is nothing to change in the program.'
      : spec.form === 'programs'
        ? 'Choose at least one other program that does some of the same.'
        : spec.form === 'difference'
          ? 'Both keymaps have the same keys, so there is no difference to print.'
          : {
              yours: 'You have not changed any keys of this keymap yet, so there is nothing of yours to print.',
              all: 'No command of this keymap has keys.',
              picked: 'No command is picked yet. Pick the ones that matter at the left.',
              used: 'Nothing was told of how often commands are used. Tell it in the wish list, or pick commands by hand.',
              places: 'No command with keys is in these menus, kinds and places.',
            }[spec.contents];
  return (
    <div className="empty">
      <p>{why}</p>
      {spec.contents !== 'all' && (
        <Button variant="outlined" onClick={onAll}>
          Put all with keys on it
        </Button>
      )}
    </div>
  );
}

export const PackedSheets = unpacked(Sheets);
