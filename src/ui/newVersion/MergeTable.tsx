import Table from '@mui/material/Table';
import TableBody from '@mui/material/TableBody';
import TableCell from '@mui/material/TableCell';
import TableHead from '@mui/material/TableHead';
import TableRow from '@mui/material/TableRow';
import type { ReactNode } from 'react';
import type { ChordText } from '@/core/chord/chord';
import { type Command, type CommandId, pathText } from '@/core/program/program';
import type { Meeting, MergeChoice, MergeLine } from '@/core/succession/mergeKeymap';
import type { SuccessionAnswer } from '@/workers/succeeder';
import { FilterChip } from '../kit/FilterChip';
import { Row } from '../kit/Row';
import { KeyCaps } from '../parts/KeyCaps';
import { KeysThere } from '../parts/KeysThere';

type Named = (id: CommandId) => Command | undefined;
type Props = {
  readonly lines: readonly MergeLine[];
  readonly closest: SuccessionAnswer['closest'];
  readonly versions: readonly [before: string, after: string];
  readonly before: Named;
  readonly after: Named;
  readonly onChoose: (line: MergeLine, choice: MergeChoice) => void;
};

/** What becomes of keys, a command a row: the factory's then and now, mine, what meets and what happens. */
export function MergeTable({ lines, closest, versions: [then, now], before, after, onChoose }: Props) {
  return (
    <Table stickyHeader>
      <TableHead>
        <TableRow>
          {['Command', `Factory ${then}`, `Factory ${now}`, 'Yours', 'What meets', 'What happens'].map((words) => (
            <TableCell key={words}>{words}</TableCell>
          ))}
        </TableRow>
      </TableHead>
      <TableBody>
        {lines.map((line) => (
          <TableRow key={line.command}>
            <TableCell component="th" scope="row">
              <strong>{after(line.command)?.name}</strong>
              <br />
              <span className="soft small">{whereFrom(line, before, after, now)}</span>
            </TableCell>
            <TableCell>
              <KeysThere keys={line.factoryThen} none={line.was.length === 0 ? 'not there' : 'none'} />
            </TableCell>
            <TableCell>
              <KeysThere keys={line.factoryNow} />
            </TableCell>
            <TableCell>
              <KeysThere keys={line.mine} />
            </TableCell>
            <TableCell>
              {line.meets.map((one) => (
                <p key={'chord' in one ? one.chord : one.kind}>{meetingWords(one, after, before)}</p>
              ))}
            </TableCell>
            <TableCell>
              {line.meets.length === 0 ? (
                <KeysThere keys={line.after} none="has no key" />
              ) : (
                <Row wraps gap={2} role="group" aria-label={`What happens to ${after(line.command)?.name}`}>
                  {optionsOf(line, closest[line.command]).map(([choice, words]) => (
                    <FilterChip
                      key={choice.take}
                      pressed={line.chosen.take === choice.take}
                      onClick={() => onChoose(line, choice)}
                    >
                      {words}
                    </FilterChip>
                  ))}
                </Row>
              )}
            </TableCell>
          </TableRow>
        ))}
      </TableBody>
    </Table>
  );
}

/** Where a command lives, and what it was called or where it was before. */
function whereFrom({ command, was }: MergeLine, before: Named, after: Named, now: string): string {
  const own = after(command);
  const path = pathText(own?.path ?? []);
  if (was.length === 0) return `${path} · new in ${now}`;
  const old = was.flatMap((id) => before(id) ?? []);
  const names = old.map((one) => one.name).filter((name) => name !== own?.name);
  if (names.length > 0) return `was ${names.join(' and ')} · ${path}`;
  const moved = old.find((one) => pathText(one.path) !== path);
  return moved ? `${path} · was in ${pathText(moved.path)}` : path;
}

function meetingWords(meeting: Meeting, after: Named, before: Named): ReactNode {
  const named = (ids: readonly CommandId[], of: Named): string => ids.map((id) => of(id)?.name ?? '').join(' and ');
  switch (meeting.kind) {
    case 'both moved':
      return 'Both of you moved it.';
    case 'is mine':
    case 'now clash':
      return (
        <>
          <KeyCaps chord={meeting.chord} /> {meeting.kind === 'is mine' ? 'is' : 'now meets'} your{' '}
          <strong>{named([meeting.whose], after)}</strong>
          {meeting.keeper ? ', a keeper.' : '.'}
        </>
      );
    case 'split':
      return `It was split; the other part is ${named(meeting.others, after)}.`;
    case 'joined':
      return `${named(meeting.from, before)} became one, and you had keys on each.`;
    case 'unsure':
      return `It is only likely that this is what it became (${Math.round(100 * meeting.figure)} %).`;
  }
}

/** What can be chosen of a line, in words that say what happens. */
function optionsOf(line: MergeLine, closest: string | undefined): (readonly [MergeChoice, ReactNode])[] {
  const both = line.meets.some((one) => one.kind === 'both moved');
  const taken = line.meets.some((one) => one.kind === 'is mine' || one.kind === 'now clash');
  const stays = line.mine.length > 0 ? 'Stay as it is' : 'Mine stays, it comes without';
  const chord = line.chosen.take === 'keys' ? line.chosen.chord : closest;
  return line.choices.flatMap((take): (readonly [MergeChoice, ReactNode])[] => {
    if (take === 'mine') return [[{ take }, both ? 'Keep mine' : taken ? stays : 'Give it my keys']];
    if (take === 'theirs') return [[{ take }, both ? 'Take theirs' : taken ? 'Let it have them' : 'Let them go']];
    if (take === 'both') return [[{ take }, 'Both keys']];
    if (chord === undefined) return [];
    return [[{ take, chord }, <GiveIt key={take} chord={chord} />]];
  });
}

const GiveIt = ({ chord }: { readonly chord: ChordText }) => (
  <span className="chords">
    Give it <KeyCaps chord={chord} />
  </span>
);
