import Joi from 'joi';

/** A type as Joi's own types know it: with lists and fields that may be written. */
export type Plain<T> = T extends object ? { -readonly [Key in keyof T]: Plain<T[Key]> } : T;

/** The schema of an object, which has to say something of each field of its type, and of no other. */
export const shape = <T extends object>(parts: Joi.StrictSchemaMap<Plain<T>>): Joi.ObjectSchema<Plain<T>> =>
  Joi.object<Plain<T>, true>(parts);
