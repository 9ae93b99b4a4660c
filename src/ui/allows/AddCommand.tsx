'use client';

import { joiResolver } from '@hookform/resolvers/joi';
import Button from '@mui/material/Button';
import Stack from '@mui/material/Stack';
import { useForm } from 'react-hook-form';
import { placeCommand } from '@/core/program/changeCommand';
import { type Command, type Context, KINDS, type Kind } from '@/core/program/program';
import { slugs } from '@/core/text/slug';
import { newCommand, stepsIn } from '@/schemas/forms';
import { FormField } from '../kit/FormField';
import { FormPick } from '../kit/FormPick';
import styles from './allows.module.css';
import type { Step } from './step';

type Props = { readonly commands: readonly Command[]; readonly contexts: readonly Context[]; readonly step: Step };

/** A command of one's own: a script, a plug-in, a value to set. */
export function AddCommand({ commands, contexts, step }: Props) {
  const form = useForm({
    resolver: joiResolver(newCommand),
    defaultValues: {
      name: '',
      menu: 'Scripts',
      kind: 'script' as Kind,
      context: contexts.find((one) => one.parent === null)?.id ?? '',
    },
  });
  const add = form.handleSubmit(async ({ name, menu, kind, context }) => {
    const path = stepsIn(menu);
    const id = slugs(commands.map((one) => one.id))(name, ...[...path].reverse());
    const made: Command = { id, name, kind, path, context };
    const next = placeCommand(commands, made);
    if (await step(`Added: ${made.name}`, { commands: next })) form.resetField('name');
  });
  return (
    <Stack component="section" spacing={2} className="card" aria-labelledby="add">
      <h2 id="add">Add a command by hand</h2>
      <p className="soft">A script of yours, a plug-in, a value to set.</p>
      <form className={styles.addForm} noValidate onSubmit={add}>
        <FormField form={form} name="name" label="Name" />
        <FormField form={form} name="menu" label="Menu" />
        <FormPick form={form} name="kind" label="Kind" options={KINDS.map((one) => [one, one])} />
        <FormPick form={form} name="context" label="Listened for" options={contexts.map((one) => [one.id, one.name])} />
        <Button type="submit" variant="outlined">
          Add the command
        </Button>
      </form>
    </Stack>
  );
}
