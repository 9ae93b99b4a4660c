'use client';

import Skeleton from '@mui/material/Skeleton';
import { type ComponentType, useEffect, useMemo, useState, useSyncExternalStore } from 'react';
import { preload } from 'react-dom';
import { type Packed, unpack } from '@/core/view/packed';
import { ask } from './api';

const never = () => () => {};
/** False on the server and in the picture it sent, true ever after. */
const useInBrowser = (): boolean =>
  useSyncExternalStore(
    never,
    () => true,
    () => false,
  );

/** What was set apart and is here already, by its address, which names what it is. */
const lists = new Map<string, unknown>();
/** As many programs as a screen shows at once. */
const MOST = 6;

async function listAt(address: string): Promise<readonly [address: string, list: unknown]> {
  const list = lists.get(address) ?? (await ask<unknown>('GET', address));
  lists.set(address, list);
  for (const oldest of lists.keys()) {
    if (lists.size <= MOST) break;
    lists.delete(oldest);
  }
  return [address, list];
}

/** The lists at these addresses; null until all are here. @throws Refused when one can't be had. */
function useLists(addresses: readonly string[]): ReadonlyMap<string, unknown> | null {
  const [found, setFound] = useState<ReadonlyMap<string, unknown> | null>(null);
  const [failed, setFailed] = useState<unknown>(null);
  const known = useMemo(() => {
    const here = new Map(addresses.map((one) => [one, lists.get(one)]));
    return [...here.values()].includes(undefined) ? null : here;
  }, [addresses]);
  useEffect(() => {
    if (known) return;
    let left = false;
    Promise.all(addresses.map(listAt)).then(
      (all) => !left && setFound(new Map(all)),
      (error: unknown) => !left && setFailed(error),
    );
    return () => {
      left = true;
    };
  }, [addresses, known]);
  if (failed) throw failed;
  return known ?? found;
}

/**
 * A screen that is given all it shows as one text: a program has thousands of commands. It is drawn by the browser
 * alone. The server would draw each control of it, one page at a time, only to have it drawn again here.
 */
export function unpacked<Props extends object>(Screen: ComponentType<Props>) {
  function Whole({ packed }: { readonly packed: Packed<Props> }) {
    const found = useLists(packed.apart);
    const props = useMemo(() => found && unpack(packed, found), [packed, found]);
    useEffect(() => {
      if (props) document.documentElement.dataset.ready = 'yes';
    }, [props]);
    return props ? <Screen {...props} /> : <Coming />;
  }
  return function Unpacked({ packed }: { readonly packed: Packed<Props> }) {
    const inBrowser = useInBrowser();
    if (!inBrowser) for (const one of packed.apart) preload(one, { as: 'fetch', crossOrigin: 'anonymous' });
    return inBrowser ? <Whole packed={packed} /> : <Coming />;
  };
}

function Coming() {
  return (
    <div className="screen" aria-busy>
      <header className="bar">
        <Skeleton width="12em" height="2em" />
      </header>
    </div>
  );
}
