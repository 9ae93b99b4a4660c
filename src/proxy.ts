import { type NextRequest, NextResponse } from 'next/server';

/** What pages and routes are asked with. */
const METHODS: ReadonlySet<string> = new Set(['GET', 'HEAD', 'POST', 'PATCH', 'OPTIONS']);
const LOCAL_HOSTS = /^(127\.0\.0\.1|localhost|\[::1\])(:\d+)?$/;

/**
 * Lets only this machine's own pages in, to every address there is: the Host must be this machine by name or number (so
 * that no foreign name can be pointed here), and a request that changes something must come from a page of ours. Sets the
 * security headers on every answer.
 */
export function proxy(request: NextRequest): NextResponse {
  const host = request.headers.get('host') ?? '';
  if (!LOCAL_HOSTS.test(host)) return refuse('Gray Pin answers only on this machine. Open it at 127.0.0.1.');
  if (!METHODS.has(request.method)) return refuse(`Gray Pin does not answer to ${request.method}.`, 405);
  if (request.method !== 'GET' && request.method !== 'HEAD' && !isFromHere(request, host)) {
    return refuse('This request did not come from a Gray Pin page, so nothing was changed.');
  }
  const nonce = Buffer.from(crypto.randomUUID()).toString('base64');
  const policy = contentSecurityPolicy(nonce);
  const headers = new Headers(request.headers);
  headers.set('x-nonce', nonce);
  headers.set('content-security-policy', policy);
  const response = NextResponse.next({ request: { headers } });
  for (const [name, value] of Object.entries({ ...SECURITY_HEADERS, 'content-security-policy': policy })) {
    response.headers.set(name, value);
  }
  return response;
}

function isFromHere(request: NextRequest, host: string): boolean {
  const site = request.headers.get('sec-fetch-site');
  if (site !== null && site !== 'same-origin') return false;
  const origin = request.headers.get('origin');
  // Scripts on this machine send no Origin; browsers always do for a request that changes something.
  return origin === null || origin === `http://${host}`;
}

function refuse(message: string, status = 403): NextResponse {
  return NextResponse.json({ error: { code: 'not allowed', message } }, { status, headers: SECURITY_HEADERS });
}

function contentSecurityPolicy(nonce: string): string {
  const development = process.env.NODE_ENV === 'development';
  return [
    "default-src 'self'",
    // The planner runs in a worker.
    "worker-src 'self' blob:",
    `script-src 'self' 'nonce-${nonce}' 'strict-dynamic'${development ? " 'unsafe-eval'" : ''}`,
    development ? "style-src 'self' 'unsafe-inline'" : `style-src 'self' 'nonce-${nonce}'`,
    // Positions of keys and of list rows are set as style attributes.
    "style-src-attr 'unsafe-inline'",
    "img-src 'self' data: blob:",
    "object-src 'none'",
    "base-uri 'none'",
    "form-action 'self'",
    "frame-ancestors 'none'",
  ].join('; ');
}

const SECURITY_HEADERS = {
  'x-content-type-options': 'nosniff',
  'referrer-policy': 'no-referrer',
  'x-frame-options': 'DENY',
  'cross-origin-opener-policy': 'same-origin',
  'cross-origin-resource-policy': 'same-origin',
};
