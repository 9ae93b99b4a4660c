'use client';

import { joiResolver } from '@hookform/resolvers/joi';
import Button from '@mui/material/Button';
import Stack from '@mui/material/Stack';
import TextField from '@mui/material/TextField';
import { useForm } from 'react-hook-form';
import type { Command, Context } from '@/core/program/program';
import { counted } from '@/core/text/sentence';
import { slugs } from '@/core/text/slug';
import { newPlace } from '@/schemas/forms';
import { FormField } from '../kit/FormField';
import { FormPick } from '../kit/FormPick';
import { Row } from '../kit/Row';
import type { Step } from './step';

/** The tree of places keys are listened for. */
export function Places({
  contexts,
  commands,
  step,
}: {
  contexts: readonly Context[];
  commands: readonly Command[];
  step: Step;
}) {
  const form = useForm({
    resolver: joiResolver(newPlace),
    defaultValues: { name: '', parent: contexts.find((one) => one.parent === null)?.id ?? '' },
  });
  const add = form.handleSubmit(async ({ name, parent }) => {
    const id = slugs(contexts.map((one) => one.id))(name);
    if (await step(`Place added: ${name}`, { contexts: [...contexts, { id, name, parent }] })) form.resetField('name');
  });
  const depthOf = (context: Context): number => {
    let depth = 0;
    for (let at = context.parent; at !== null && depth < contexts.length; depth++)
      at = contexts.find((one) => one.id === at)?.parent ?? null;
    return depth;
  };
  const ordered = inTreeOrder(contexts, null);
  const used = new Map<string, number>();
  for (const one of commands) used.set(one.context, (used.get(one.context) ?? 0) + 1);
  return (
    <Stack component="section" spacing={2} className="card" aria-labelledby="places">
      <h2 id="places">Places where keys are listened for</h2>
      <p className="soft">A place lies in another: what is heard everywhere is heard over the canvas, too.</p>
      <Stack component="ul" spacing={1}>
        {ordered.map((context) => (
          <Row
            key={context.id}
            component="li"
            wraps
            style={{ marginLeft: `calc(var(--space-5) * ${depthOf(context)})` }}
          >
            <TextField
              key={context.name}
              defaultValue={context.name}
              slotProps={{ htmlInput: { 'aria-label': `Name of the place ${context.name}`, maxLength: 120 } }}
              onBlur={(event) => {
                const next = event.target.value.trim();
                if (next !== '' && next !== context.name)
                  void step(`Place renamed: ${next}`, {
                    contexts: contexts.map((one) => (one.id === context.id ? { ...one, name: next } : one)),
                  });
              }}
              onKeyDown={(event) => event.key === 'Enter' && (event.target as HTMLElement).blur()}
            />
            <span className="soft">{counted(used.get(context.id) ?? 0, 'command')}</span>
            {context.parent !== null && !used.has(context.id) && !contexts.some((one) => one.parent === context.id) && (
              <Button
                variant="text"
                onClick={() =>
                  void step(`Place removed: ${context.name}`, {
                    contexts: contexts.filter((one) => one.id !== context.id),
                  })
                }
              >
                Remove<span className="hidden"> {context.name}</span>
              </Button>
            )}
          </Row>
        ))}
      </Stack>
      <form noValidate onSubmit={add}>
        <Row wraps align="flex-end">
          <FormField form={form} name="name" label="Name of a new place" placeholder="in the brush list" />
          <FormPick
            form={form}
            name="parent"
            label="The place it lies in"
            options={ordered.map((one) => [one.id, one.name])}
          />
          <Button type="submit" variant="outlined">
            Add a place
          </Button>
        </Row>
      </form>
    </Stack>
  );
}

function inTreeOrder(contexts: readonly Context[], parent: string | null): Context[] {
  return contexts
    .filter((one) => one.parent === parent)
    .flatMap((one) => [
      one,
      ...inTreeOrder(
        contexts.filter((other) => other !== one),
        one.id,
      ),
    ]);
}
