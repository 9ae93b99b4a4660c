import { joiResolver } from '@hookform/resolvers/joi';
import Button from '@mui/material/Button';
import Stack from '@mui/material/Stack';
import { useForm } from 'react-hook-form';
import { changeCommand } from '@/core/program/changeCommand';
import { type Command, KINDS, type Program, pathText } from '@/core/program/program';
import { newCommand, stepsIn } from '@/schemas/forms';
import { DialogFrame } from '../kit/DialogFrame';
import { FormField } from '../kit/FormField';
import { FormPick } from '../kit/FormPick';
import type { Step } from './step';

type Props = {
  readonly command: Command;
  readonly program: Program;
  /** Whether it came with keys of the program's own. */
  readonly came: boolean;
  readonly step: Step;
  readonly onClose: () => void;
};

/** What a command is called, where it lives and what it is, to be corrected in one step. */
export function EditCommand({ command, program: { commands, contexts }, came, step, onClose }: Props) {
  const { id, name, path, kind, context } = command;
  const form = useForm({
    resolver: joiResolver(newCommand),
    defaultValues: { name, menu: pathText(path), kind, context },
  });
  const save = form.handleSubmit(async ({ menu, ...values }) => {
    // A part of a path may hold what parts are told by.
    const next = { ...values, path: menu === pathText(path) ? path : stepsIn(menu) };
    const twin = commands.find(
      (one) => one.id !== id && one.name === next.name && pathText(one.path) === pathText(next.path),
    );
    if (twin) return form.setError('name', { message: 'Another command there is called so.' }, { shouldFocus: true });
    const made = changeCommand(commands, id, next);
    const same = commands.every((one, i) => one === made.commands[i] || (one.id === id && sameCommand(one, next)));
    if (same || (await step(made.title, { commands: made.commands }))) onClose();
  });
  return (
    <DialogFrame
      title={`Change ${name}`}
      onClose={onClose}
      onSubmit={save}
      actions={
        <>
          <Button variant="text" onClick={onClose}>
            Leave it
          </Button>
          <Button variant="contained" type="submit">
            Change it
          </Button>
        </>
      }
    >
      <Stack spacing={3}>
        <p className="soft">
          Keymaps, sheets and workspaces follow; it stays the same command.
          {came && ' It came with keys of the program’s own, so only a new version of the list takes it away.'}
        </p>
        <FormField form={form} name="name" label="Name" autoFocus />
        <FormField form={form} name="menu" label="Menu" hint="Parts of a menu stand apart by ›." />
        <FormPick form={form} name="kind" label="Kind" options={KINDS.map((one) => [one, one])} />
        <FormPick form={form} name="context" label="Listened for" options={contexts.map((one) => [one.id, one.name])} />
      </Stack>
    </DialogFrame>
  );
}

const sameCommand = (a: Command, b: Omit<Command, 'id'>): boolean =>
  a.name === b.name && a.kind === b.kind && a.context === b.context && pathText(a.path) === pathText(b.path);
