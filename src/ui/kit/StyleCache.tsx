'use client';

import createCache, { type EmotionCache } from '@emotion/cache';
import { CacheProvider } from '@emotion/react';
import { useServerInsertedHTML } from 'next/navigation';
import { type ReactNode, useState } from 'react';
import { globalCss } from './globalCss';

const KEY = 'gp';

/**
 * The styles of standard parts, sent with the page and left where they stand: a stylesheet that is moved is read and
 * worked out once more by the browser, which costs as much as drawing the page.
 */
export function StyleCache({ nonce, children }: { nonce: string; children: ReactNode }) {
  const [{ cache, flush }] = useState(() => cacheOf(nonce));
  const [sent] = useState({ once: false });
  useServerInsertedHTML(() => {
    const [names, css] = flush();
    const base = sent.once ? '' : globalCss();
    sent.once = true;
    return (
      <>
        {base !== '' && <Sheet nonce={nonce} css={base} />}
        {css !== '' && <Sheet nonce={nonce} css={css} names={names} />}
      </>
    );
  });
  return <CacheProvider value={cache}>{children}</CacheProvider>;
}

function Sheet({ nonce, css, names }: { nonce: string; css: string; names?: string }) {
  return (
    <style
      nonce={nonce}
      // By a name of our own, so that nobody takes it over and moves it.
      data-styles={names ?? 'page'}
      // biome-ignore lint/security/noDangerouslySetInnerHtml: our own styles, of which nothing comes from outside.
      dangerouslySetInnerHTML={{ __html: css }}
    />
  );
}

/** A cache of styles that knows those which came with the page, and hands over what a page being written needs. */
function cacheOf(nonce: string): { cache: EmotionCache; flush: () => readonly [names: string, css: string] } {
  // Without the prefixes that browsers of ten years ago asked for, a fifth of all that is sent.
  const cache = createCache({ key: KEY, nonce, stylisPlugins: [] });
  cache.compat = true;
  if (typeof document !== 'undefined')
    for (const one of document.head.querySelectorAll<HTMLElement>('style[data-styles]'))
      for (const name of (one.dataset.styles ?? '').split(' ')) cache.inserted[name] = true;
  const insert = cache.insert;
  let fresh: string[] = [];
  cache.insert = (...given) => {
    if (cache.inserted[given[1].name] === undefined) fresh.push(given[1].name);
    return insert(...given);
  };
  const flush = () => {
    const names = fresh.filter((one) => typeof cache.inserted[one] === 'string');
    fresh = [];
    return [names.join(' '), names.map((one) => cache.inserted[one]).join('')] as const;
  };
  return { cache, flush };
}
