/** Something said in passing, with a way to take it back where there is one. */
export type Notice = {
  readonly number: number;
  readonly words: string;
  readonly action?: { readonly words: string; readonly run: () => void };
};
