/** The one clock of the server: this moment as it is stored. */
export const now = (): string => new Date().toISOString();
