import type { EditMark } from '@/core/sync/versioned';

/** An answer of ours that is not what was asked for; the message is for people. */
export class Refused extends Error {
  override name = 'Refused';
  constructor(
    readonly code: string,
    message: string,
    /** What else the server says of it. */
    readonly details: Readonly<Record<string, unknown>> = {},
  ) {
    super(message);
  }
}

type Said = { readonly code?: string; readonly message?: string };
const FAILED = 'Something went wrong and nothing was changed. Try again.';

/** Which window asks: files are read one at a time for each. */
export const WINDOW = { 'x-window': `${Math.random()}` };

/** As much as browsers still send for a page that is being left, in characters. */
const MOST_KEPT = 30_000;

/**
 * Asks our own server.
 * @param keep whether the request is to go on when the page is left.
 * @param left says that nobody waits for the answer any more.
 * @param mark what an edit was made on, and its key, so that it is done on nothing else and only once.
 * @throws Refused with a plain sentence when it can't or won't.
 */
export async function ask<T>(
  method: 'GET' | 'POST' | 'PATCH',
  address: string,
  body?: object,
  keep = false,
  left?: AbortSignal,
  mark: EditMark = {},
): Promise<T> {
  let response: Response;
  try {
    response = await fetch(address, {
      method,
      ...(left ? { signal: left } : {}),
      ...(keep && JSON.stringify(body).length < MOST_KEPT ? { keepalive: true } : {}),
      ...(body ? { body: body instanceof FormData ? body : JSON.stringify(body) } : {}),
      headers: {
        ...WINDOW,
        ...(body && !(body instanceof FormData) ? { 'content-type': 'application/json' } : {}),
        ...(mark.revision === undefined ? {} : { 'if-match': `"${mark.revision}"` }),
        ...(mark.key === undefined ? {} : { 'idempotency-key': mark.key }),
      },
    });
  } catch (error) {
    throw refusalOf(error);
  }
  const answer = (await response.json().catch(() => null)) as { error?: Said } | null;
  if (!response.ok || !answer) throw refusalOf(answer);
  return answer as T;
}

/** What an answer of ours refuses, in its words; of an error, that none came. */
export function refusalOf(answer: unknown): Refused {
  if (answer instanceof Error)
    return new Refused(
      'unreachable',
      'Gray Pin does not answer, so this was not stored. Start it again, then repeat the step.',
    );
  const { code = 'failed', message = FAILED, ...details } = (answer as { error?: Said } | null)?.error ?? {};
  return new Refused(code, message, details);
}

/** What to tell a person about anything that was thrown. */
export function messageOf(error: unknown): string {
  return error instanceof Refused ? error.message : FAILED;
}
