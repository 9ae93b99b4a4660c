'use client';

import { joiResolver } from '@hookform/resolvers/joi';
import Button from '@mui/material/Button';
import Stack from '@mui/material/Stack';
import TextField from '@mui/material/TextField';
import { useForm } from 'react-hook-form';
import { naming } from '@/schemas/forms';
import { DialogFrame } from '../kit/DialogFrame';
import { messageOf } from '../shell/api';

type Props = {
  readonly title: string;
  readonly action: string;
  readonly name: string;
  /** Left out where nobody owns the thing named. */
  readonly owner?: string;
  readonly hint?: string;
  readonly onClose: () => void;
  readonly onDone: (name: string, owner: string) => Promise<void>;
};

/** Asks for a name, and whose it is; stays open with the reason at its field when it can't be done. */
export function NameForm({ title, action, name, owner, hint, onClose, onDone }: Props) {
  const form = useForm({ resolver: joiResolver(naming), defaultValues: { name, owner: owner ?? '' } });
  const { errors, isSubmitting } = form.formState;
  const submit = form.handleSubmit(async (values) => {
    try {
      await onDone(values.name, values.owner);
    } catch (error) {
      form.setError('name', { message: messageOf(error) }, { shouldFocus: true });
    }
  });
  return (
    <DialogFrame
      title={title}
      width="xs"
      onClose={onClose}
      onSubmit={submit}
      actions={
        <>
          <Button variant="text" onClick={onClose}>
            Leave it
          </Button>
          <Button variant="contained" type="submit" disabled={isSubmitting}>
            {action}
          </Button>
        </>
      }
    >
      <Stack spacing={4}>
        {hint && <p className="soft">{hint}</p>}
        <TextField
          label="Name"
          autoFocus
          fullWidth
          {...form.register('name')}
          onFocus={(event) => event.target.select()}
          error={errors.name !== undefined}
          helperText={errors.name?.message ?? ' '}
        />
        {owner !== undefined && (
          <TextField
            label="Whose it is"
            fullWidth
            {...form.register('owner')}
            error={errors.owner !== undefined}
            helperText={errors.owner?.message ?? 'For example Plate retoucher. May stay empty.'}
          />
        )}
      </Stack>
    </DialogFrame>
  );
}
