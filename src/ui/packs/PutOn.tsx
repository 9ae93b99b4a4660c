import Button from '@mui/material/Button';
import Card from '@mui/material/Card';
import Table from '@mui/material/Table';
import TableBody from '@mui/material/TableBody';
import TableCell from '@mui/material/TableCell';
import TableHead from '@mui/material/TableHead';
import TableRow from '@mui/material/TableRow';
import { useMemo } from 'react';
import type { Counterpart } from '@/core/counterpart/counterpart';
import { fromFileBinding } from '@/core/file/keymapFile';
import type { Draft } from '@/core/keymap/draft';
import type { KeymapView } from '@/core/keymap/keymapView';
import type { Ticket } from '@/core/keymap/ticket';
import { lineId } from '@/core/pack/matchPack';
import type { Pack, PackLine } from '@/core/pack/pack';
import { type Command, type CommandId, pathText } from '@/core/program/program';
import { counted } from '@/core/text/sentence';
import { describeTransferLine } from '@/core/transfer/describeTransferLine';
import type { KnockOn, TransferLine } from '@/core/transfer/transferTypes';
import { FilterChip } from '../kit/FilterChip';
import { Pick } from '../kit/Pick';
import { Progress } from '../kit/Progress';
import { Row } from '../kit/Row';
import { KeysThere } from '../parts/KeysThere';
import { SentenceView } from '../parts/SentenceView';
import { usePutOn } from './usePutOn';

type Props = {
  readonly pack: Pack;
  readonly view: KeymapView;
  readonly draft: Draft;
  readonly uses: Readonly<Record<CommandId, number>>;
  readonly onPut: (ticket: Ticket) => void;
  readonly onLeave: () => void;
};

/** What a pack is, and what becomes of each of its lines here, before anything happens. */
export function PutOn({ pack, view: { program }, draft, uses, onPut, onLeave }: Props) {
  const { working, current, say, choose } = usePutOn(pack, program, draft, uses);
  const answer = working.made?.answer ?? null;
  const commands = useMemo(() => new Map(program.commands.map((one) => [one.id, one])), [program]);
  const knockOns = useMemo(() => new Map((answer?.knockOns ?? []).map((one) => [one.command.id, one])), [answer]);
  const takes = answer?.lines.filter((one) => one.choice === 'take').length ?? 0;
  const ticket = answer?.ticket ?? null;
  return (
    <>
      <Card component="section" aria-label="What the pack is" sx={{ px: 4, py: 3 }}>
        <h2>{pack.name}</h2>
        {pack.note && <p>{pack.note}</p>}
        <p className="soft">
          {counted(pack.lines.length, 'command')}
          {pack.owner && ` by ${pack.owner}`}, made in {pack.program.name} {pack.program.version}.
          {answer &&
            ` ${takes} of them change here${
              knockOns.size > 0 ? `, and ${counted(knockOns.size, 'command gives', 'commands give')} up a key` : ''
            }.`}
        </p>
        <Row gap={3} wraps style={{ marginTop: 'var(--space-2)' }}>
          <Button variant="contained" disabled={!ticket || !current} onClick={() => ticket && onPut(ticket)}>
            Put it on
          </Button>
          <Button variant="outlined" onClick={onLeave}>
            Leave it
          </Button>
          {answer && !ticket && <span role="status">Nothing of it changes anything here.</span>}
        </Row>
      </Card>
      {!answer && <Progress label="Looking for its commands here" />}
      {answer && (
        // A long table is scrolled by keyboard as well
        <section className="card scrolls" aria-label="Lines of the pack" tabIndex={0}>
          <Table stickyHeader>
            <TableHead>
              <TableRow>
                {['In the pack', 'Here', 'Keys', 'Yours', 'What happens'].map((words) => (
                  <TableCell key={words}>{words}</TableCell>
                ))}
              </TableRow>
            </TableHead>
            <TableBody>
              {pack.lines.map((line, i) => (
                <Line
                  key={lineId(i)}
                  line={line}
                  counterpart={answer.counterparts.find((one) => one.command === lineId(i))}
                  done={answer.lines.find((one) => one.theirs.id === lineId(i))}
                  {...{ commands, knockOns, draft, choose }}
                  onSay={(command) => say(lineId(i), command)}
                />
              ))}
            </TableBody>
          </Table>
        </section>
      )}
    </>
  );
}

type LineProps = {
  readonly line: PackLine;
  readonly counterpart: Counterpart | undefined;
  /** What becomes of it, where its command is here. */
  readonly done: TransferLine | undefined;
  readonly commands: ReadonlyMap<CommandId, Command>;
  readonly knockOns: ReadonlyMap<CommandId, KnockOn>;
  readonly draft: Draft;
  readonly choose: ReturnType<typeof usePutOn>['choose'];
  readonly onSay: (command: CommandId | null) => void;
};

function Line({ line, counterpart, done, commands, knockOns, draft, choose, onSay }: LineProps) {
  const { name, path } = line.command;
  const here = commands.get(counterpart?.counterpart ?? '');
  const unsure = counterpart?.confidence === 'check';
  const others = (counterpart?.candidates ?? []).flatMap((one) => commands.get(one.command) ?? []);
  const taken = done?.choice === 'take' || done?.choice === 'other';
  return (
    <TableRow>
      <TableCell component="th" scope="row">
        <strong>{name}</strong> <span className="soft small">{pathText(path)}</span>
      </TableCell>
      <TableCell>
        {here ? here.name : <span className="soft">not here</span>}
        {unsure && here && (
          <Row gap={2} wraps>
            <Button
              variant="outlined"
              size="small"
              aria-label={`${name} is ${here.name}`}
              onClick={() => onSay(here.id)}
            >
              That is it
            </Button>
            <Button variant="text" size="small" aria-label={`${name} is not ${here.name}`} onClick={() => onSay(null)}>
              It is not
            </Button>
          </Row>
        )}
        {!here && others.length > 0 && (
          <Pick
            label={`What ${name} is here`}
            hidden
            value=""
            options={[['', 'Choose it…'], ...others.map((one) => [one.id, one.name] as const)]}
            onChange={(id) => id !== '' && onSay(id)}
          />
        )}
      </TableCell>
      <TableCell>
        <KeysThere keys={line.keys.map(fromFileBinding)} none="no key" />
      </TableCell>
      <TableCell>
        <KeysThere keys={done?.before ?? (here ? (draft.keymap.bindings.get(here.id) ?? []) : [])} />
      </TableCell>
      <TableCell>
        {unsure && <p className="soft">Nothing, until it is confirmed.</p>}
        {!here && <p className="soft">Nothing: no command here does this.</p>}
        {done && line.keys.length === 0 && !unsure && (
          <p>{done.after.length === 0 ? 'has no keys then' : 'keeps its keys'}</p>
        )}
        {done && line.keys.length > 0 && (
          <>
            <p>
              <SentenceView sentence={describeTransferLine(done, knockOns, (id) => draft.keymap.spares.has(id))} />
            </p>
            {done.choice !== 'same' && (
              <Row wraps gap={2} role="group" aria-label={`Keys of ${done.mine.name}`}>
                <FilterChip pressed={taken} onClick={() => choose(done.mine.id, 'take')}>
                  Take its keys
                </FilterChip>
                <FilterChip pressed={!taken} onClick={() => choose(done.mine.id, 'keep')}>
                  Keep mine
                </FilterChip>
              </Row>
            )}
          </>
        )}
      </TableCell>
    </TableRow>
  );
}
