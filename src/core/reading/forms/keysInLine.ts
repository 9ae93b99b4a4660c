import { readsAsKeys } from '../columnRoles';
import { readKeysCell } from '../readKeysCell';

/** Whether all of a text reads as keys. */
export const reads = (keys: string): boolean => {
  const { status, problems } = readKeysCell(keys, 'windows');
  return status === 'keys' && problems.length === 0 && readsAsKeys(keys);
};
/** Whether keys are meant as such, and are no bare letter, number or word. */
export const isSure = (keys: string): boolean => /\S ?[+-] ?\S|[⌘⌥⌃⇧^]|^\s*F\d/u.test(keys);
