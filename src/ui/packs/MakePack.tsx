import { joiResolver } from '@hookform/resolvers/joi';
import Button from '@mui/material/Button';
import Table from '@mui/material/Table';
import TableBody from '@mui/material/TableBody';
import TableCell from '@mui/material/TableCell';
import TableHead from '@mui/material/TableHead';
import TableRow from '@mui/material/TableRow';
import { useMemo, useState } from 'react';
import { useForm } from 'react-hook-form';
import { type Draft, draftOf } from '@/core/keymap/draft';
import { bindingsOf, changedCommands } from '@/core/keymap/keymap';
import type { KeymapView } from '@/core/keymap/keymapView';
import { MOST_LINES, makePack } from '@/core/pack/pack';
import { type CommandId, type Program, pathText } from '@/core/program/program';
import { counted } from '@/core/text/sentence';
import { slug } from '@/core/text/slug';
import { packNaming } from '@/schemas/packs';
import { FormField } from '../kit/FormField';
import { Pick } from '../kit/Pick';
import { Row } from '../kit/Row';
import { Tick } from '../kit/Tick';
import { toggled } from '../kit/toggled';
import { KeysThere } from '../parts/KeysThere';
import { useNotice } from '../shell/Notices';
import { useSettings } from '../shell/SettingsContext';
import { saveText } from '../shell/saveText';

type Props = {
  readonly program: Program;
  readonly draft: Draft;
  /** The keymap whose differences are offered; the factory's where it is null. */
  readonly from: KeymapView | null;
};

/** Some of the keys that differ, chosen one by one or by a ticket, with a name and a note, saved as a file. */
export function MakePack({ program, draft, from }: Props) {
  const { settings, where } = useSettings();
  const tell = useNotice();
  const form = useForm({ resolver: joiResolver(packNaming), defaultValues: { name: '', note: '' } });
  const [chosen, setChosen] = useState<readonly CommandId[]>([]);
  const base = useMemo(() => (from ? draftOf(from).keymap : draft.factory), [from, draft.factory]);
  const rows = useMemo(() => {
    const changed = new Set(changedCommands(base, draft.keymap));
    return program.commands.filter((one) => changed.has(one.id));
  }, [program, base, draft.keymap]);
  const picked = chosen.filter((id) => rows.some((one) => one.id === id));
  const tickets = draft.tape.slice(0, draft.state.cursor - draft.earlier);
  const save = form.handleSubmit(({ name, note }) => {
    const given = {
      name,
      note,
      owner: draft.state.owner,
      madeOn: { ...where.keyboard.choice, desktop: settings.desktop },
    };
    const pack = makePack(given, program, draft.factory, draft.keymap, picked);
    saveText(`${JSON.stringify(pack, null, 2)}\n`, `${slug(name)}.pack.json`);
    tell(`“${name}” is saved, with ${counted(picked.length, 'command')}.`);
  });
  const all = picked.length === rows.length;
  if (rows.length === 0)
    return (
      <p className="empty">
        {from ? `Nothing differs from ${from.draft.name}.` : 'Nothing is yours here yet.'} Give commands other keys on
        the Board, and they can go into a pack.
      </p>
    );
  return (
    <>
      <h2>Make a pack</h2>
      <Row component="form" gap={4} wraps align="flex-start" onSubmit={(event) => void save(event)}>
        <FormField form={form} name="name" label="Name of the pack" />
        <FormField form={form} name="note" label="What it is for" sx={{ width: 'min(20rem, 100%)' }} />
        <Button
          type="submit"
          variant="contained"
          disabled={picked.length === 0 || picked.length > MOST_LINES}
          sx={{ alignSelf: 'flex-end' }}
        >
          Save the pack
        </Button>
      </Row>
      <Row gap={4} wraps align="center">
        <p role="status">
          {picked.length} of {rows.length} chosen{from && `, of what differs from ${from.draft.name}`}.
          {picked.length > MOST_LINES && ` A pack has ${MOST_LINES} commands at most.`}
        </p>
        {tickets.length > 0 && (
          <Pick
            label="Choose what a ticket changed"
            hidden
            value=""
            options={[
              ['', 'Choose what a ticket changed…'],
              ...tickets.map((one, i) => [`${i}`, one.title] as const).toReversed(),
            ]}
            onChange={(at) => setChosen(tickets[Number(at)]?.changes.map((one) => one.command) ?? chosen)}
          />
        )}
      </Row>
      {/* A long table is scrolled by keyboard as well */}
      <section className="card scrolls" aria-label="What can go into a pack" tabIndex={0}>
        <Table stickyHeader>
          <TableHead>
            <TableRow>
              <TableCell>
                <Tick
                  checked={all}
                  label="All of them"
                  onChange={() => setChosen(all ? [] : rows.map((one) => one.id))}
                />
              </TableCell>
              <TableCell>Command</TableCell>
              <TableCell>{from ? from.draft.name : 'Factory'}</TableCell>
              <TableCell>In the pack</TableCell>
            </TableRow>
          </TableHead>
          <TableBody>
            {rows.map(({ id, name, path }) => (
              <TableRow key={id}>
                <TableCell>
                  <Tick checked={picked.includes(id)} label={name} onChange={() => setChosen(toggled(picked, id))} />
                </TableCell>
                <TableCell component="th" scope="row">
                  <strong>{name}</strong> <span className="soft small">{pathText(path)}</span>
                </TableCell>
                <TableCell>
                  <KeysThere keys={bindingsOf(base, id)} />
                </TableCell>
                <TableCell>
                  <KeysThere keys={bindingsOf(draft.keymap, id)} none="no key" />
                </TableCell>
              </TableRow>
            ))}
          </TableBody>
        </Table>
      </section>
    </>
  );
}
