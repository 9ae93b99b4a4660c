import type { DraftState } from '../keymap/keymapView';

/** Where a draft of the sample program stands, for tests: kept as it is, with nothing on its tape, but for what is said. */
export const sampleDraft = (values: Partial<DraftState> = {}): DraftState => ({
  id: 1,
  slug: 'mine',
  name: 'Mine',
  owner: '',
  factory: false,
  unnamed: false,
  locked: false,
  revision: 1,
  cursor: 0,
  leftAside: 0,
  keptCursor: 0,
  ...values,
});
