/** What stands in for the application's navigation where a page is opened without a server. */
import { counted } from './onTheirWay';

/** Thrown by a page that leads elsewhere, or nowhere. */
export class LeadsTo extends Error {
  constructor(readonly address: string | null) {
    super(address ?? 'nowhere');
  }
}

/** Where the page that is open wants to be, and how it asks to be shown anew; openPage says what to do of both. */
export const router = {
  push: (_address: string): void => undefined,
  replace: (_address: string): void => undefined,
  refresh: (): void => undefined,
  prefetch: (): void => undefined,
};
const go = {
  push: (address: string) => router.push(address),
  replace: (address: string) => router.replace(address),
  refresh: () => router.refresh(),
  prefetch: () => router.prefetch(),
};

export const useRouter = () => go;
export const usePathname = (): string => window.location.pathname;
export const useServerInsertedHTML = (): void => undefined;
export const redirect = (address: string): never => {
  throw new LeadsTo(address);
};
export const notFound = (): never => {
  throw new LeadsTo(null);
};
export const after = (work: () => unknown): void => void counted(Promise.resolve(work()));
