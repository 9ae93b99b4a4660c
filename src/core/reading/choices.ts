import type { Role } from './roles';
import type { ShownLine } from './shown/shownLine';

/** What a person said of a list, so that it is read as it is meant. */
export type Choices = {
  /** Roles instead of the guessed ones, by group of columns. */
  readonly roles: readonly (readonly Role[] | null)[];
  /** Lines in which they marked what is what. */
  readonly shown: readonly ShownLine[];
  /** Whether a `-` or `?` that stands alone where keys do is that key; null: as the list looks. */
  readonly signs: boolean | null;
};

export const NO_CHOICES: Choices = { roles: [], shown: [], signs: null };
