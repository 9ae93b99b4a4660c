import TextField from '@mui/material/TextField';
import type { ComponentProps } from 'react';
import type { FieldValues, Path, UseFormReturn } from 'react-hook-form';

type Props<T extends FieldValues> = Omit<ComponentProps<typeof TextField>, 'form' | 'name' | 'label'> & {
  readonly form: UseFormReturn<T>;
  readonly name: Path<T>;
  readonly label: string;
  /** What it is for, where nothing is wrong with it. */
  readonly hint?: string;
};

/** A field of a form; what is wrong with what it holds stands below it. */
export function FormField<T extends FieldValues>({ form, name, label, hint, ...rest }: Props<T>) {
  const problem = form.formState.errors[name]?.message;
  return (
    <TextField
      label={label}
      {...form.register(name)}
      error={problem !== undefined}
      helperText={typeof problem === 'string' ? problem : hint}
      {...rest}
    />
  );
}
