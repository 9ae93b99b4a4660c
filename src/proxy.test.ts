import { NextRequest } from 'next/server';
import { afterEach, describe, expect, it, vi } from 'vitest';
import { proxy } from './proxy';

const HOST = '127.0.0.1:3000';
/** What is answered to a request, by its method and headers. */
function answer(method: string, headers: Record<string, string> = {}) {
  return proxy(new NextRequest(`http://${HOST}/api/settings`, { method, headers: { host: HOST, ...headers } }));
}
const said = async (response: Response): Promise<string> =>
  ((await response.json()) as { error: { message: string } }).error.message;
const policyOf = (response: Response): string => response.headers.get('content-security-policy') ?? '';

describe('who is answered', () => {
  afterEach(() => vi.unstubAllEnvs());

  it.each<readonly [what: string, method: string, headers: Record<string, string>, status: number]>([
    ['a page by number', 'GET', {}, 200],
    ['a page by name', 'GET', { host: 'localhost:3000' }, 200],
    ['a page by the number of six', 'HEAD', { host: '[::1]:3000' }, 200],
    ['a change from a page of ours', 'POST', { origin: `http://${HOST}`, 'sec-fetch-site': 'same-origin' }, 200],
    ['a script on this machine, which has no origin', 'PATCH', {}, 200],
    ['a name that is pointed here', 'GET', { host: 'seeds.example' }, 403],
    ['a name that begins as this machine’s', 'GET', { host: '127.0.0.1.example' }, 403],
    ['a name that ends so', 'GET', { host: 'my-localhost' }, 403],
    ['nobody', 'GET', { host: '' }, 403],
    ['a change from another page', 'POST', { origin: 'http://seeds.example' }, 403],
    ['a change from another port', 'POST', { origin: 'http://127.0.0.1:8080' }, 403],
    ['a change from a page that hides where it is', 'POST', { origin: 'null' }, 403],
    ['a change that the browser tells is from another site', 'PATCH', { 'sec-fetch-site': 'cross-site' }, 403],
    ['a change from another of its windows', 'POST', { origin: `http://${HOST}`, 'sec-fetch-site': 'same-site' }, 403],
    ['a method that nothing here has', 'DELETE', {}, 405],
    ['another', 'PUT', { origin: `http://${HOST}` }, 405],
  ])('is told: %s', async (_, method, headers, status) => {
    const response = answer(method, headers);
    expect(response.status).toBe(status);
    // Whoever asks, nobody may put the answer into a page of theirs.
    expect(response.headers.get('x-frame-options')).toBe('DENY');
    expect(response.headers.get('x-content-type-options')).toBe('nosniff');
    if (status !== 200) expect(await said(response)).toMatch(/^(?:Gray Pin|This request) .+\.$/);
  });

  it('has pages run what came with them alone, each with a sign of its own', () => {
    const [one, other] = [answer('GET'), answer('GET')];
    const nonce = /script-src 'self' 'nonce-([\w+/=]+)' 'strict-dynamic'/.exec(policyOf(one))?.[1] ?? '';
    expect(nonce.length).toBeGreaterThan(20);
    expect(policyOf(other)).not.toContain(nonce);
    // The page is given the same sign to put on its scripts.
    expect(one.headers.get('x-middleware-request-x-nonce')).toBe(nonce);
    for (const rule of ["default-src 'self'", "object-src 'none'", "frame-ancestors 'none'", "form-action 'self'"])
      expect(policyOf(one).split('; ')).toContain(rule);
    expect(policyOf(one)).not.toContain('unsafe-eval');
    vi.stubEnv('NODE_ENV', 'development');
    expect(policyOf(answer('GET'))).toContain("'unsafe-eval'");
  });
});
