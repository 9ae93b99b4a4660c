import { readdirSync, readFileSync } from 'node:fs';

const API = 'src/app/api';
const routeFiles = (): string[] =>
  readdirSync(API, { recursive: true, encoding: 'utf8' })
    .filter((one) => one.endsWith('route.ts'))
    .sort();
export type Handler = (request: Request, given: { params: Promise<Record<string, string>> }) => Promise<Response>;
/** A route by its method and path, such as `POST keymaps/[id]/edits`. */
export type Route = { readonly name: string; readonly handler: Handler };

/** Every route there is, in order, as the server would find them. */
export async function allRoutes(): Promise<readonly Route[]> {
  const routes: Route[] = [];
  for (const file of routeFiles()) {
    const handlers = (await import(/* @vite-ignore */ `../api/${file}`)) as Record<string, Handler>;
    const path = file.replace(/\/route\.ts$/, '');
    for (const [method, handler] of Object.entries(handlers))
      if (/^[A-Z]+$/.test(method)) routes.push({ name: `${method} ${path}`, handler });
  }
  return routes;
}

/** The names of all routes, read off their files. */
export const routeNames = (): string[] =>
  routeFiles().flatMap((file) =>
    [...readFileSync(`${API}/${file}`, 'utf8').matchAll(/^export (?:async )?function ([A-Z]+)\(/gm)].map(
      ([, method]) => `${method} ${file.replace(/\/route\.ts$/, '')}`,
    ),
  );

/** Whether a route takes a file as a form does. */
export const takesFile = (name: string): boolean =>
  /^POST (?:everything\/(?:look|take)|programs|programs\/\[slug\]\/source-files|reading|reading\/lines)$/.test(name);

/**
 * Asks a route, without a server. A body goes as it is where it is a form or text, in the address where it is a query, else
 * as JSON.
 */
export function askRoute({ name, handler }: Route, body: unknown, given: { id: string; slug: string }) {
  const [method = ''] = name.split(' ');
  const address = `http://127.0.0.1/api${body instanceof URLSearchParams ? `?${body}` : ''}`;
  const content = body instanceof FormData || typeof body === 'string' ? body : JSON.stringify(body);
  const init = method === 'GET' ? { method } : { method, body: content };
  return handler(new Request(address, init), { params: Promise.resolve(given) });
}

/** A stand-in for the browser's `fetch` that asks the routes themselves, without a server. */
export function fetchFrom(routes: readonly Route[]): (address: string, init?: RequestInit) => Promise<Response> {
  return async (address, init = {}) => {
    const { method = 'GET', body } = init;
    const path = address.replace(/^\/api\//, '').replace(/\?.*$/, '');
    for (const { name, handler } of routes) {
      const [verb, pattern = ''] = name.split(' ');
      const found = new RegExp(`^${pattern.replace(/\[(\w+)\]/g, '(?<$1>[^/]+)')}$`).exec(path);
      if (verb !== method || !found) continue;
      const request = new Request(`http://127.0.0.1${address}`, { method, ...(body ? { body } : {}) });
      return handler(request, { params: Promise.resolve({ ...found.groups }) });
    }
    return new Response(null, { status: 404 });
  };
}
