import Box from '@mui/material/Box';
import { useMemo } from 'react';
import type { Program } from '@/core/program/program';
import type { NewVersionView } from '@/core/succession/newVersionView';
import { counted } from '@/core/text/sentence';
import type { SuccessionAnswer } from '@/workers/succeeder';
import { FilterChip } from '../kit/FilterChip';
import { Row } from '../kit/Row';
import { Counts } from './Counts';
import { FateTable } from './FateTable';
import type { FateRow } from './fates';
import { GoneList } from './GoneList';
import { MergeTable } from './MergeTable';
import { useFates } from './useFates';
import type { Shown, useNewVersion } from './useNewVersion';

type Props = {
  readonly view: NewVersionView;
  readonly answer: SuccessionAnswer;
  readonly rows: readonly FateRow[];
  /** What was chosen to be shown; null for what needs a word first. */
  readonly chosen: Shown | null;
  readonly onShow: (shown: Shown) => void;
  readonly becoming: ReturnType<typeof useNewVersion>;
};

/** What is said where nothing of a kind is there. */
const EMPTY: Readonly<Partial<Record<Shown, string>>> = {
  asked: 'Nothing of yours meets anything of the maker’s.',
  stays: 'You changed nothing that is still there.',
  comes: 'The maker changed no keys.',
  check: 'Nothing is left to be checked.',
};

/** What becomes of keys and of commands, in figures and as a table of what is chosen. */
export function Becomes({ view: { before, after }, answer, rows, chosen, onShow, becoming }: Props) {
  const versions = [before.program.version, after.program.version] as const;
  const named = useMemo(
    () => [nameIn(before.program), nameIn(after.program)] as const,
    [before.program, after.program],
  );
  const fates = useFates(becoming, named[1]);
  const { lines, gone, closest } = answer;
  const of = useMemo(
    () => ({
      asked: lines.filter((one) => one.meets.length > 0),
      stays: lines.filter((one) => one.meets.length === 0 && one.changed.mine),
      comes: lines.filter((one) => one.meets.length === 0 && !one.changed.mine),
    }),
    [lines],
  );
  const unsure = rows.filter((one) => one.unsure);
  const added = rows.filter((one) => one.fate === 'new').flatMap((one) => one.after);
  const countOf = (fate: string): number => rows.filter((one) => one.fate.includes(fate)).length;
  const shown = chosen ?? (of.asked.length > 0 ? 'asked' : 'stays');
  const table = shown === 'asked' || shown === 'stays' || shown === 'comes' ? of[shown] : null;
  const chip = (what: Shown, words: string) => (
    <FilterChip pressed={shown === what} onClick={() => onShow(what)}>
      {words}
    </FilterChip>
  );
  const none = (table?.length === 0 || (shown === 'check' && unsure.length === 0)) && EMPTY[shown];
  return (
    <Box sx={{ display: 'grid', gridTemplateRows: 'auto auto minmax(0, 1fr)', gap: 3, height: '100%', minHeight: 0 }}>
      <Counts
        asked={of.asked.length}
        stays={of.stays}
        comes={of.comes.length}
        gone={gone.length}
        before={named[0]}
        after={named[1]}
      />
      <Row wraps role="group" aria-label="Show">
        {chip('asked', `Need your word ${of.asked.length}`)}
        {chip('stays', `Yours stay ${of.stays.length}`)}
        {chip('comes', `New from the maker ${of.comes.length}`)}
        {gone.length > 0 && chip('gone', `Yours, but gone ${gone.length}`)}
        {chip(
          'commands',
          `Commands: renamed ${countOf('renamed')} · moved ${countOf('moved')} · new ${countOf('new')} · gone ${countOf('gone')}`,
        )}
        {unsure.length > 0 && chip('check', `To be checked ${unsure.length}`)}
      </Row>
      {/* A long table is scrolled by keyboard as well */}
      <section className="card scrolls" aria-label="What happens" tabIndex={0}>
        {table && table.length > 0 && (
          <MergeTable
            lines={table}
            closest={closest}
            versions={versions}
            before={named[0]}
            after={named[1]}
            onChoose={({ command }, choice) => void becoming.choose({ command, choice })}
          />
        )}
        {(shown === 'commands' || shown === 'check') && (
          <FateTable
            rows={shown === 'check' ? unsure : rows.filter((one) => one.fate !== 'same')}
            versions={versions}
            added={added}
            {...fates}
          />
        )}
        {shown === 'gone' && <GoneList gone={gone} named={named[0]} version={versions[1]} />}
        <Box component="p" className="soft" sx={{ px: 4, py: 3 }}>
          {none && `${none} `}
          Nothing is lost: {versions[0]} stays on the Shelf with its keymap as it is. Moving makes one ticket on the new
          tape, with each line in it
          {gone.length > 0 && `; ${counted(gone.length, 'command')} of yours can't come along`}.
        </Box>
      </section>
    </Box>
  );
}

function nameIn({ commands }: Program) {
  const all = new Map(commands.map((one) => [one.id, one]));
  return (id: string) => all.get(id);
}
