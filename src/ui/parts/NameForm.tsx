'use client';

import { joiResolver } from '@hookform/resolvers/joi';
import Button from '@mui/material/Button';
import Stack from '@mui/material/Stack';
import { useForm } from 'react-hook-form';
import { naming } from '@/schemas/forms';
import { DialogFrame } from '../kit/DialogFrame';
import { FormField } from '../kit/FormField';
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
          <Button variant="contained" type="submit" disabled={form.formState.isSubmitting}>
            {action}
          </Button>
        </>
      }
    >
      <Stack spacing={4}>
        {hint && <p className="soft">{hint}</p>}
        <FormField
          form={form}
          name="name"
          label="Name"
          hint=" "
          autoFocus
          fullWidth
          onFocus={(event) => event.target.select()}
        />
        {owner !== undefined && (
          <FormField
            form={form}
            name="owner"
            label="Whose it is"
            hint="For example Plate retoucher. May stay empty."
            fullWidth
          />
        )}
      </Stack>
    </DialogFrame>
  );
}
