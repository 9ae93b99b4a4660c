import type { EditMark } from '../core/sync/versioned';
import { PROBLEM_STATUS, Problem } from '../schemas/problem';
import { problemOf } from './stored/troubleOf';

/** Runs a route's work and answers in JSON; problems become their sentence and status, anything else is logged. */
export function respond(work: () => Promise<unknown>): Promise<Response> {
  return orSay(async () => Response.json((await work()) ?? {}));
}

/** The same in parts, each a line of JSON, so that whoever asked has the first before the last. */
export function respondInParts(work: () => Promise<readonly string[]>): Promise<Response> {
  return orSay(async () => {
    const parts = await work();
    const encoder = new TextEncoder();
    let at = 0;
    const body = new ReadableStream<Uint8Array>({
      pull: (stream) => {
        const part = parts[at++];
        if (part === undefined) stream.close();
        else stream.enqueue(encoder.encode(`${part}\n`));
      },
    });
    return new Response(body, { headers: { 'content-type': 'application/x-ndjson' } });
  });
}

/** A file to be carried away, under its name. */
export function respondWithFile(
  work: () => Promise<{ readonly bytes: Uint8Array; readonly name: string }>,
): Promise<Response> {
  return orSay(async () => {
    const { bytes, name } = await work();
    return new Response(new Blob([new Uint8Array(bytes)]), {
      headers: {
        'content-type': 'application/octet-stream',
        'content-disposition': `attachment; filename*=UTF-8''${encodeURIComponent(name)}`,
      },
    });
  });
}

async function orSay(work: () => Promise<Response>): Promise<Response> {
  try {
    return await work();
  } catch (error) {
    const problem = problemOf(error);
    if (problem) {
      return Response.json(
        { error: { code: problem.code, message: problem.message, ...problem.details } },
        { status: PROBLEM_STATUS[problem.code] },
      );
    }
    console.error(error);
    const message =
      'Something went wrong here and nothing was changed. Try again; if it happens again, restart Gray Pin.';
    return Response.json({ error: { code: 'failed', message } }, { status: 500 });
  }
}

/** What an edit was made on, and its key, where a window says so (RFC 9110, If-Match; the Idempotency-Key header). */
export function markOf(request: Request): EditMark {
  const revision = /^"(\d{1,15})"$/.exec(request.headers.get('if-match') ?? '')?.[1];
  const key = /^[\w-]{8,64}$/.exec(request.headers.get('idempotency-key') ?? '')?.[0];
  return { ...(revision === undefined ? {} : { revision: Number(revision) }), ...(key === undefined ? {} : { key }) };
}

/** The JSON body of a request. @throws Problem when it is not JSON or larger than 4 MB. */
export async function jsonBody(request: Request): Promise<unknown> {
  if (Number(request.headers.get('content-length') ?? 0) > 4 * 1024 * 1024)
    throw new Problem('too large', 'This request is too large.');
  try {
    return await request.json();
  } catch {
    throw new Problem('not valid', 'This request could not be read.');
  }
}
