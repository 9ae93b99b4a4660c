import { cutText } from './cutText';
import { fold } from './fold';

/** A text as part of an address: folded words joined by hyphens, at most 60 characters; `x` when nothing is left. */
export function slug(text: string): string {
  return cutText((fold(text).match(/[\p{L}\p{N}]+/gu) ?? []).join('-'), 60) || 'x';
}

/** Gives slugs that are unique within one list: by the name, else the name with more words, else with a number. */
export function slugs(taken: Iterable<string> = []): (name: string, ...more: string[]) => string {
  const used = new Set(taken);
  return (name, ...more) => {
    let one = slug(name);
    for (let i = 0; used.has(one) && i < more.length; i++) one = slug([name, ...more.slice(0, i + 1)].join(' '));
    const base = one;
    for (let n = 2; used.has(one); n++) one = `${base}-${n}`;
    used.add(one);
    return one;
  };
}
