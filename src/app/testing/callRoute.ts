import { readdirSync } from 'node:fs';

const API = 'src/app/api';
export type Handler = (request: Request, given: { params: Promise<Record<string, string>> }) => Promise<Response>;
/** A route by its method and path, such as `POST keymaps/[id]/edits`. */
export type Route = { readonly name: string; readonly handler: Handler };

/** Every route there is, in order, as the server would find them. */
export async function allRoutes(): Promise<readonly Route[]> {
  const files = readdirSync(API, { recursive: true, encoding: 'utf8' }).filter((one) => one.endsWith('route.ts'));
  const routes: Route[] = [];
  for (const file of files.sort()) {
    const handlers = (await import(/* @vite-ignore */ `../api/${file}`)) as Record<string, Handler>;
    const path = file.replace(/\/route\.ts$/, '');
    for (const [method, handler] of Object.entries(handlers))
      if (/^[A-Z]+$/.test(method)) routes.push({ name: `${method} ${path}`, handler });
  }
  return routes;
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
