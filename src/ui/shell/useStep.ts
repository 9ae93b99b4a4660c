import { ask, messageOf } from './api';
import { useNotice } from './Notices';

/** One thing to be done with what stands in a list: a change of it, what is said when it is done, and the way back. */
export type Step = {
  readonly address: string;
  readonly body: object;
  /** PATCH where nothing is said. */
  readonly method?: 'POST' | 'PATCH';
  readonly said: string;
  readonly undo?: { readonly words: string; readonly body: object; readonly said: string };
};

/**
 * Does steps: asks the server, has the list follow, says what was done with the way back, or why nothing was.
 * @param follow has the page show what stands now.
 * @returns a function that does a step, and whether it was done.
 */
export function useStep(follow: () => unknown): (step: Step) => Promise<boolean> {
  const tell = useNotice();
  const run = async ({ address, body, method = 'PATCH', said, undo }: Step): Promise<boolean> => {
    try {
      await ask(method, address, body);
      await follow();
    } catch (error) {
      tell(messageOf(error));
      return false;
    }
    tell(said, undo && { words: undo.words, run: () => void run({ address, body: undo.body, said: undo.said }) });
    return true;
  };
  return run;
}
