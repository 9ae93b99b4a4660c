'use client';

import { joiResolver } from '@hookform/resolvers/joi';
import Button from '@mui/material/Button';
import FormHelperText from '@mui/material/FormHelperText';
import Stack from '@mui/material/Stack';
import { useMemo } from 'react';
import { useForm } from 'react-hook-form';
import { compareWorkspaces } from '@/core/workspace/compareWorkspaces';
import { PART_WORDS, PARTS, partsOf, pickParts } from '@/core/workspace/room';
import type { RoomView } from '@/core/workspace/roomView';
import { newWorkspace } from '@/schemas/forms';
import { DialogFrame } from '../kit/DialogFrame';
import { FormField } from '../kit/FormField';
import { Ticks } from '../kit/Ticks';
import type { RoomActions } from '../room/useRoom';
import { Differences } from './Differences';

type Props = {
  readonly roomView: RoomView;
  readonly nameOf: (command: string) => string;
  readonly keymapName: (keymap: number | null) => string;
  readonly actions: RoomActions;
  readonly onClose: () => void;
};

/**
 * Keeps the room under a name: which parts belong to it, whose it is. A name that is there already says what would
 * change, and the old one stays as a version.
 */
export function KeepDialog({ roomView, nameOf, keymapName, actions, onClose }: Props) {
  const { state, workspaces } = roomView;
  const now = workspaces.find((one) => one.id === state.workspace && !one.putAway);
  const form = useForm({
    resolver: joiResolver(newWorkspace),
    defaultValues: {
      name: now?.name ?? '',
      owner: now?.owner ?? state.person,
      parts: now ? partsOf(now.versions[0]?.contents ?? {}) : [...PARTS],
    },
  });
  const [name, parts] = form.watch(['name', 'parts']);
  const over = workspaces.find((one) => !one.putAway && one.name === name.trim());
  const differences = useMemo(
    () =>
      over ? compareWorkspaces(over.versions[0]?.contents ?? {}, pickParts(state.room, parts), nameOf, keymapName) : [],
    [over, state.room, parts, nameOf, keymapName],
  );
  const submit = form.handleSubmit(async (given) => {
    const stored = over
      ? await actions.keepOver(over.id, given.parts)
      : await actions.keep(given.name, given.owner, given.parts);
    if (stored) onClose();
  });
  const { errors, isSubmitting } = form.formState;
  return (
    <DialogFrame
      title="Keep as a workspace"
      onClose={onClose}
      onSubmit={submit}
      actions={
        <>
          <Button variant="text" onClick={onClose}>
            Leave it
          </Button>
          <Button
            variant="contained"
            type="submit"
            disabled={isSubmitting || (over !== undefined && differences.length === 0)}
          >
            {over ? 'Keep over it' : 'Keep it'}
          </Button>
        </>
      }
    >
      <Stack spacing={4}>
        <FormField
          form={form}
          name="name"
          label="Name"
          autoFocus
          fullWidth
          onFocus={(event) => event.target.select()}
        />
        <FormField
          form={form}
          name="owner"
          label="Whose it is"
          fullWidth
          disabled={over !== undefined}
          {...(over ? { value: over.owner } : {})}
        />
        <div>
          <Ticks
            label="What belongs to it"
            all={PARTS.map((part) => [part, PART_WORDS[part]])}
            chosen={parts}
            onToggle={(part) =>
              form.setValue(
                'parts',
                PARTS.filter((one) => (one === part) !== parts.includes(one)),
                { shouldValidate: form.formState.isSubmitted },
              )
            }
          />
          <FormHelperText error={errors.parts !== undefined}>
            {errors.parts?.message ?? 'A switch applies these and leaves everything else as it is.'}
          </FormHelperText>
        </div>
        {over && (
          <div>
            <p>
              <strong>{over.name}</strong> is there already.{' '}
              {differences.length === 0 ? 'Nothing of it would change.' : 'This would change:'}
            </p>
            <Differences differences={differences} />
            {differences.length > 0 && (
              <p className="soft">What it is now stays as version {over.versions[0]?.number}.</p>
            )}
          </div>
        )}
      </Stack>
    </DialogFrame>
  );
}
