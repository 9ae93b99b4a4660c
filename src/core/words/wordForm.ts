import { stemmer } from 'stemmer';
import { remembering } from '../text/remembering';

/** Ways of spelling a sound that differ between countries, by what stands at the end of a word. */
const SPELLINGS: readonly (readonly [ending: RegExp, american: string])[] = [
  [/^(col|fav|neighb|harb|vap|hum)our/, '$1or'],
  [/^grey/, 'gray'],
  [/^(.*cent|.*met|fib|calib|spect|lust)re(s?)$/, '$1er$2'],
  [/^(.*cent)r(?:ed|ing)$/, '$1er'],
  [/is(e|ed|es|ing|ation|er)$/, 'iz$1'],
  [/ys(e|ed|es|ing|er)$/, 'yz$1'],
  [/^(cat|anal|dial)ogue/, '$1og'],
  [/^(.{3,})ll(ed|ing|er)$/, '$1l$2'],
  [/^artefact/, 'artifact'],
  [/^mould/, 'mold'],
  [/^licence/, 'license'],
];
/** Words that only look as if they were spelled so. */
const AS_THEY_ARE =
  /^(?:.*(?:no|ra|pra|prec|conc|surpr|prom|exerc|adv|rev|superv|telev|comprom|disgu|prem|expert|otherw|clockw|w|r)ise[ds]?|(?:ra|prom|adv|rev)ising|(?:fi|spi|ca|pu|ro|fu|smea|hi|ki|se|te|ta|wa|sha|sme)ll(?:ed|ing|er))$/;
/** Forms of words that no rule tells. */
const IRREGULAR: ReadonlyMap<string, string> = new Map(
  Object.entries({
    drew: 'draw',
    drawn: 'draw',
    hid: 'hide',
    hidden: 'hide',
    froze: 'freeze',
    frozen: 'freeze',
    shown: 'show',
    shook: 'shake',
    held: 'hold',
    kept: 'keep',
    bent: 'bend',
    wrote: 'write',
    written: 'write',
    chose: 'choose',
    chosen: 'choose',
    undid: 'undo',
    undone: 'undo',
    redone: 'redo',
    spun: 'spin',
    stuck: 'stick',
    threw: 'throw',
    thrown: 'throw',
    took: 'take',
    taken: 'take',
    brought: 'bring',
    sent: 'send',
    saw: 'see',
    seen: 'see',
    lit: 'light',
    shrank: 'shrink',
    shrunk: 'shrink',
    rubbed: 'rub',
    torn: 'tear',
    worn: 'wear',
    broke: 'break',
    broken: 'break',
    leaves: 'leaf',
    vertices: 'vertex',
    axes: 'axis',
    children: 'child',
    people: 'person',
    teeth: 'tooth',
    feet: 'foot',
    mice: 'mouse',
    dpi: 'dpi',
    less: 'less',
  }),
);

/** A folded word as Americans spell it. */
export const american = remembering((word) => {
  if (word.length < 4 || AS_THEY_ARE.test(word)) return word;
  for (const [ending, text] of SPELLINGS) if (ending.test(word)) return word.replace(ending, text);
  return word;
});

/**
 * What all forms of a folded word share: its stem, by M. F. Porter, An algorithm for suffix stripping, Program 14 (1980),
 * after its spelling and the forms that no rule tells are evened out.
 */
export const stemOf = remembering((word) => {
  const plain = IRREGULAR.get(word) ?? american(word);
  return /^\p{L}+$/u.test(plain) ? stemmer(plain) : plain;
});
