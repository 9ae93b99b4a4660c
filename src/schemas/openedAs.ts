import type Joi from 'joi';
import type { Plain } from './shape';

/**
 * Reads something stored by its schema, so that what an older version wrote opens: a field it lacks, or has as it may no
 * longer be, is as usual; of a list, what may be stays; what is no longer known is left out.
 */
export function openedAs<T extends object>(schema: Joi.ObjectSchema<Plain<T>>, usual: T): (stored: unknown) => T {
  return (stored) => openedObject(schema, stored, usual) as T;
}

function openedObject(schema: Joi.Schema, stored: unknown, usual: object): object {
  const given: Readonly<Record<string, unknown>> = isObject(stored) ? stored : {};
  return Object.fromEntries(
    Object.entries(usual).map(([key, value]: [string, unknown]) => {
      const field = schema.extract(key);
      return [key, openedField(field, given[key], value)];
    }),
  );
}

function openedField(field: Joi.Schema, stored: unknown, usual: unknown): unknown {
  if (stored === undefined) return usual;
  if (fits(field, stored)) return stored;
  if (Array.isArray(stored) && Array.isArray(usual)) return openedList(field, stored);
  return isObject(stored) && isObject(usual) ? openedObject(field, stored, usual) : usual;
}

/** Of a list what may be, each by itself and beside the others. */
function openedList(field: Joi.Schema, stored: readonly unknown[]): readonly unknown[] {
  const alone = stored.filter((one) => fits(field, [one]));
  if (fits(field, alone)) return alone;
  const kept: unknown[] = [];
  for (const one of alone) if (fits(field, [...kept, one])) kept.push(one);
  return kept;
}

const fits = (schema: Joi.Schema, value: unknown): boolean => !schema.validate(value, { convert: false }).error;
const isObject = (value: unknown): value is Readonly<Record<string, unknown>> =>
  typeof value === 'object' && value !== null && !Array.isArray(value);
