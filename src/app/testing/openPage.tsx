import { readdirSync } from 'node:fs';
import { act, cleanup, configure, render } from '@testing-library/react';
import * as React from 'react';
import { type ComponentType, createElement, type ReactNode, Suspense } from 'react';
import { afterAll, afterEach, beforeAll, beforeEach, vi } from 'vitest';
import { onDemoDatabase } from '@/server/testing/onDemoDatabase';
import { loadVersionedSettings } from '@/server/useCases/settings';
import { Providers } from '@/ui/shell/Providers';
import { Rail } from '@/ui/shell/Rail';
import { forgetKept } from '@/ui/sync/useKept';
import { allRoutes, fetchFrom } from './callRoute';
import { LeadsTo, router } from './navigation';
import { allEnded, counted } from './onTheirWay';
import { WAIT } from './touch';
import { WorkerHere } from './workersHere';

type Query = Record<string, string | string[]>;
type Page = (given: {
  readonly params: Promise<Record<string, string | string[]>>;
  readonly searchParams: Promise<Query>;
}) => ReactNode | Promise<ReactNode>;

const APP = 'src/app';
const pages = readdirSync(APP, { recursive: true, encoding: 'utf8' })
  .filter((one) => one.endsWith('page.tsx'))
  .map((file) => ({ file, parts: file.split('/').slice(0, -1) }))
  // What is named stands before what is left open, and that before what may be anything.
  .sort((a, b) => openness(a.parts) - openness(b.parts));

function openness(parts: readonly string[]): number {
  return parts.reduce((sum, one) => sum + (one.startsWith('[[') ? 10 : one.startsWith('[') ? 1 : 0), 0);
}

/** The parameters of a page at this address; null where it is another page's. */
function paramsOf(parts: readonly string[], address: readonly string[]): Record<string, string | string[]> | null {
  const params: Record<string, string | string[]> = {};
  for (const [i, part] of parts.entries()) {
    const rest = /^\[\[\.\.\.(\w+)\]\]$/.exec(part)?.[1];
    if (rest) return address.length > i ? { ...params, [rest]: address.slice(i) } : params;
    const open = /^\[(\w+)\]$/.exec(part)?.[1];
    const here = address[i];
    if (here === undefined || (!open && here !== part)) return null;
    if (open) params[open] = here;
  }
  return address.length === parts.length ? params : null;
}

/** What the server gives for an address. @throws LeadsTo where the page leads elsewhere. */
async function pageAt(address: string): Promise<ReactNode> {
  const url = new URL(address, 'http://127.0.0.1');
  const parts = url.pathname.split('/').filter(Boolean);
  const query: Query = {};
  for (const key of new Set(url.searchParams.keys())) {
    const all = url.searchParams.getAll(key);
    query[key] = all.length > 1 ? all : (all[0] ?? '');
  }
  for (const page of pages) {
    const params = paramsOf(page.parts, parts);
    if (!params) continue;
    const { default: Page } = (await import(/* @vite-ignore */ `../${page.file}`)) as { default: Page };
    return Page({ params: Promise.resolve(params), searchParams: Promise.resolve(query) });
  }
  throw new LeadsTo(null);
}

const Whole = Providers as ComponentType<{ nonce: string; settings: unknown; children?: ReactNode }>;

/**
 * Opens the page of an address as people get it: what the server makes of it, drawn in jsdom, asking the routes
 * themselves. Pages that it leads to are opened in its place. @returns where it ended.
 */
export async function openPage(address: string): Promise<{ readonly address: () => string }> {
  let at = address;
  let drawn: ReturnType<typeof render> | null = null;
  /** Whether the test has ended, or opened another page, since this one was drawn. */
  const gone = (): boolean => drawn !== null && !drawn.container.isConnected;
  const showLater = (): void =>
    void counted(show()).catch((error: unknown) => {
      if (!gone()) throw error;
    });
  const show = async (): Promise<void> => {
    const asked = at;
    const page = await pageAt(asked).catch((error: unknown) => {
      if (error instanceof LeadsTo && error.address !== null) return error;
      throw error;
    });
    if (asked !== at) return;
    if (page instanceof LeadsTo) {
      at = page.address ?? at;
      window.history.replaceState(null, '', at);
      return show();
    }
    const settings = await loadVersionedSettings();
    const inside = [createElement(Rail, { key: 'rail' }), createElement(Suspense, { key: 'page' }, page)];
    // A page that comes after somebody has gone on is not drawn over the newer one.
    if (gone() || asked !== at) return;
    const whole = createElement(Whole, { nonce: '', settings }, ...inside);
    act(() => {
      if (drawn) drawn.rerender(whole);
      else drawn = render(whole);
    });
  };
  const go = (to: string): void => {
    at = to;
    window.history.pushState(null, '', to);
    showLater();
  };
  router.push = go;
  router.replace = go;
  router.refresh = showLater;
  window.history.replaceState(null, '', at);
  await show();
  return { address: () => `${window.location.pathname}${window.location.search}` };
}

const ROW = 40;

/**
 * React remembers of the first 10,000 elements a second where in the code they were made, by an error each, which is a
 * seventh of what such a test takes. Nobody reads that here: it is told that they were made already.
 */
const { __CLIENT_INTERNALS_DO_NOT_USE_OR_WARN_USERS_THEY_CANNOT_UPGRADE: inside } = React as unknown as Record<
  string,
  object | undefined
>;
if (inside) Object.defineProperty(inside, 'recentlyCreatedOwnerStacks', { get: () => 10_000, set: () => undefined });

/**
 * Prepares a file of tests that open pages: a demo database of its own, the routes, and what jsdom doesn't have.
 * @param height of every box, in px: as much as is drawn of long lists.
 */
export function onScreens(height = 480): void {
  onDemoDatabase();
  let served: ReturnType<typeof fetchFrom>;
  beforeAll(async () => {
    const routes = fetchFrom(await allRoutes());
    served = (address, init) => counted(routes(address, init));
  });
  beforeEach(() => {
    vi.stubGlobal('fetch', served);
    vi.stubGlobal('requestIdleCallback', (work: (deadline: object) => void) =>
      window.setTimeout(() => work({ didTimeout: true, timeRemaining: () => 50 })),
    );
    vi.stubGlobal('cancelIdleCallback', window.clearTimeout);
    class Silent {
      observe = () => undefined;
      unobserve = () => undefined;
      disconnect = () => undefined;
    }
    vi.stubGlobal('ResizeObserver', Silent);
    /** All of a page is in sight. */
    class InSight extends Silent {
      constructor(private readonly tell: (seen: readonly object[]) => void) {
        super();
      }
      override observe = (target?: Element) => {
        queueMicrotask(() => this.tell([{ target, isIntersecting: true, intersectionRatio: 1 }]));
        return undefined;
      };
    }
    vi.stubGlobal('IntersectionObserver', InSight);
    vi.stubGlobal('Worker', WorkerHere);
    vi.stubGlobal('CSS', { escape: (text: string) => text.replace(/[^\w-]/g, (sign) => `\\${sign}`) });
    Element.prototype.scrollIntoView = () => undefined;
    // jsdom looks through every stylesheet for what a test asks of an element; nothing here is about looks.
    const plain = { display: 'block', visibility: 'visible', getPropertyValue: () => '' };
    const view = document.defaultView as unknown as { getComputedStyle: () => object };
    view.getComputedStyle = () => plain;
    vi.stubGlobal('getComputedStyle', () => plain);
    // Whoever waits for something looks for it many times; to print the page each time takes longer than to look.
    configure({
      asyncUtilTimeout: WAIT.timeout,
      defaultHidden: true,
      getElementError: (message) => new Error(message ?? 'Not found.'),
    });
    HTMLCanvasElement.prototype.getContext = () => null;
    // No button here has a label beside it, which jsdom would look for all over the page.
    Object.defineProperty(HTMLButtonElement.prototype, 'labels', { configurable: true, value: [] });
    // Long lists draw as many of their rows as fit into the box.
    const sides = { offsetHeight: height, offsetWidth: 640, clientHeight: height, clientWidth: 640 };
    for (const [side, length] of Object.entries(sides))
      Object.defineProperty(HTMLElement.prototype, side, {
        configurable: true,
        get(this: HTMLElement) {
          return this.dataset.index === undefined ? length : ROW;
        },
      });
  });
  afterEach(() => {
    cleanup();
    document.head.replaceChildren();
    vi.unstubAllGlobals();
  });
  // Before the database is closed; the next file has another, in which the same numbers are other keymaps.
  afterAll(async () => {
    await allEnded();
    forgetKept();
  });
}
