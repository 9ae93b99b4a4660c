/** An answer of ours that is not what was asked for; the message is for people. */
export class Refused extends Error {
  override name = 'Refused';
  constructor(
    readonly code: string,
    message: string,
  ) {
    super(message);
  }
}

/** Which window asks: files are read one at a time for each. */
const WINDOW = { 'x-window': `${Math.random()}` };

/** As much as browsers still send for a page that is being left, in characters. */
const MOST_KEPT = 30_000;

/**
 * Asks our own server.
 * @param keep whether the request is to go on when the page is left.
 * @param left says that nobody waits for the answer any more.
 * @throws Refused with a plain sentence when it can't or won't.
 */
export async function ask<T>(
  method: 'GET' | 'POST' | 'PATCH',
  address: string,
  body?: object,
  keep = false,
  left?: AbortSignal,
): Promise<T> {
  let response: Response;
  try {
    response = await fetch(address, {
      method,
      ...(left ? { signal: left } : {}),
      ...(keep && JSON.stringify(body).length < MOST_KEPT ? { keepalive: true } : {}),
      ...(body instanceof FormData
        ? { body, headers: WINDOW }
        : body
          ? { body: JSON.stringify(body), headers: { ...WINDOW, 'content-type': 'application/json' } }
          : {}),
    });
  } catch {
    throw new Refused(
      'unreachable',
      'Gray Pin does not answer, so this was not stored. Start it again, then repeat the step.',
    );
  }
  const answer = (await response.json().catch(() => null)) as { error?: { code: string; message: string } } | null;
  if (!response.ok || !answer) {
    throw new Refused(
      answer?.error?.code ?? 'failed',
      answer?.error?.message ?? 'Something went wrong and nothing was changed. Try again.',
    );
  }
  return answer as T;
}

/** What to tell a person about anything that was thrown. */
export function messageOf(error: unknown): string {
  return error instanceof Refused ? error.message : 'Something went wrong and nothing was changed. Try again.';
}
