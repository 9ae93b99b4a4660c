import type { StripName } from '@/core/workspace/toolLayout';

/** What the two strips of buttons are called. */
export const STRIP_WORDS: Readonly<Record<StripName, string>> = { rail: 'tool rail', bar: 'button bar' };
