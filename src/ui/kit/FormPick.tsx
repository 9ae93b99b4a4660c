import type { ComponentProps } from 'react';
import type { FieldValues } from 'react-hook-form';
import { FormField } from './FormField';

type Props<T extends FieldValues> = Omit<ComponentProps<typeof FormField<T>>, 'children' | 'select' | 'slotProps'> & {
  readonly options: readonly (readonly [value: string, words: string])[];
};

/** One choice of a list, as a field of a form. */
export function FormPick<T extends FieldValues>({ options, ...rest }: Props<T>) {
  return (
    <FormField<T> {...(rest as ComponentProps<typeof FormField<T>>)} select slotProps={{ select: { native: true } }}>
      {options.map(([value, words]) => (
        <option key={value} value={value}>
          {words}
        </option>
      ))}
    </FormField>
  );
}
