import { readdirSync, readFileSync } from 'node:fs';
import { join } from 'node:path';
import { blend, parse, type Rgb, wcagContrast } from 'culori';
import postcss from 'postcss';
import { describe, expect, it } from 'vitest';
import { FACTORY_APPEARANCE } from '@/core/workspace/appearance';
import { theme } from '../kit/theme';
import { shadeStyle } from '../room/shadeStyle';
import { lampVariables } from './testing/lamps';

type Variables = ReadonlyMap<string, string>;
type Pair = { readonly scope: string; readonly large: boolean; readonly text: string; readonly ground: string };

const ui = join(import.meta.dirname, '..');
const lamps = lampVariables();
/** What stands on what, as everyScreen.spec.ts found it on the screens; made anew by `npm run text-pairs`. */
const recorded = readFileSync(join(import.meta.dirname, 'testing/textPairs.tsv'), 'utf8')
  .trim()
  .split('\n')
  .map((line): Pair => {
    const [scope = '', size, text = '', ground = ''] = line.split('\t');
    return { scope, large: size === 'large', text, ground };
  });

/** A layer such as `yours 28%` or `#ffffff` as a color. @throws Error for a variable that is not there. */
function colorOf(layer: string, variables: Variables): Rgb {
  const [name = '', covers] = layer.split(' ');
  const value = name.startsWith('#') ? name : variables.get(`--${name}`);
  const color = parse(value ?? '');
  if (!color) throw new Error(`There is no color ${name}: ${value}.`);
  const alpha = (color.alpha ?? 1) * (covers ? Number.parseFloat(covers) / 100 : 1);
  return { ...(color as Rgb), alpha };
}

/** The contrast of words on a ground, both flattened from the top layer down. */
function contrast({ text, ground }: Pair, variables: Variables): number {
  const [lowest = parse('#ffffff')!, ...above] = ground
    .split(' over ')
    .map((one) => colorOf(one, variables))
    .reverse();
  const flat = blend([lowest, ...above]);
  return wcagContrast(blend([flat, colorOf(text, variables)]), flat);
}

/** The pairs that can't be read, in words. Source: WCAG 2.2, 1.4.3: 4.5 to 1, and 3 to 1 for large words. */
const unreadable = (pairs: readonly Pair[], name: string, variables: Variables): string[] =>
  pairs.flatMap((pair) => {
    const ratio = contrast(pair, variables);
    return ratio >= (pair.large ? 3 : 4.5) ? [] : [`${name}: ${pair.text} on ${pair.ground}: ${ratio.toFixed(2)} to 1`];
  });

const variable = (value: string | undefined): string | null => /^var\(--([\w-]+)\)$/.exec(value ?? '')?.[1] ?? null;

/** The pairs that one rule sets by itself, whatever state it is for. */
function pairsOfRules(): Pair[] {
  const pairs: Pair[] = [];
  const add = (color: string | undefined, background: string | undefined): void => {
    const [text, ground] = [variable(color), variable(background)];
    if (text !== null && ground !== null) pairs.push({ scope: 'lamp', large: false, text, ground });
  };
  for (const name of readdirSync(ui, { recursive: true, encoding: 'utf8' }).filter((one) => one.endsWith('.css')))
    postcss.parse(readFileSync(join(ui, name), 'utf8')).walkRules((rule) => {
      const own = new Map<string, string>();
      rule.each((node) => void (node.type === 'decl' && own.set(node.prop, node.value)));
      add(own.get('color'), own.get('background') ?? own.get('background-color'));
    });
  const walk = (style: object): void => {
    const { color, background } = style as { color?: string; background?: string };
    add(color, background);
    for (const inside of Object.values(style)) if (inside !== null && typeof inside === 'object') walk(inside);
  };
  walk(theme.components ?? {});
  return pairs;
}

describe('words and their grounds', () => {
  it.each([...lamps])('can be read in the lamp %s, on every screen and in every rule', (lamp, variables) => {
    const [own, inRules] = [recorded.filter((one) => one.scope === 'lamp'), pairsOfRules()];
    expect(own.length).toBeGreaterThan(30);
    expect(inRules.length).toBeGreaterThan(20);
    expect(unreadable([...own, ...inRules], lamp, variables)).toEqual([]);
  });

  it.each([...lamps])('can be read in the drawn window, whatever its appearance, in the lamp %s', (lamp, variables) => {
    const own = recorded.filter((one) => one.scope === 'window');
    expect(own.length).toBeGreaterThan(5);
    const bad = new Set<string>();
    for (let brightness = 0; brightness <= 100; brightness += 5)
      for (const contrast of [0, 50, 100])
        for (const surround of [0, 50, 100]) {
          const style = shadeStyle({ ...FACTORY_APPEARANCE, brightness, contrast, surround }, lamp === 'contrast');
          const window = new Map([...variables, ...Object.entries(style as Record<string, string>)]);
          for (const one of unreadable(own, `${lamp}, brightness ${brightness}`, window)) bad.add(one);
        }
    expect([...bad]).toEqual([]);
  });

  it('would be told, were a lamp too weak', () => {
    const dim = new Map([...(lamps.get('dim') as Variables), ['--soft', '#8f8f8f']]);
    expect(unreadable(recorded, 'dim', dim)).toContainEqual(expect.stringMatching(/^dim: soft on card: [123]\./));
  });
});
