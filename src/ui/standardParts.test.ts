import { readdirSync, readFileSync } from 'node:fs';
import { join } from 'node:path';
import postcss from 'postcss';
import { describe, expect, it } from 'vitest';
import { components } from './kit/components';
import { globalStyles } from './kit/globalStyles';

const ui = import.meta.dirname;
const named = (end: string): string[] =>
  readdirSync(ui, { recursive: true, encoding: 'utf8' }).filter((one) => one.endsWith(end) && !one.includes('.test.'));
const read = (name: string): string => readFileSync(join(ui, name), 'utf8');
const lineOf = (text: string, at: number): number => text.slice(0, at).split('\n').length;

/** Ours to draw: the keyboard, what is pressed into, the tape, the drawn window and its panels. All else is built of parts. */
const HEART = [
  'board/KeyButton.tsx',
  'board/LayerButtons.tsx',
  'board/Capture.tsx',
  'draft/Tape.tsx',
  'room/',
  'tryout/MenuBar.tsx',
  'workspaces/arranging.tsx',
];

const RAW = /<(?:button|input|select|table|textarea|progress|details|dialog)\b/g;
/** A hint of the browser's own, which no finger and no keyboard brings up. */
const NATIVE_HINT = /<[a-z]\w*(?:\s+[\w-]+(?:=(?:"[^"]*"|\{[^{}]*\}))?)*\s+title=/g;

describe('controls', () => {
  const files = named('.tsx').filter((name) => !HEART.some((one) => name.startsWith(one)));

  it('are standard parts everywhere but in what is ours to draw', () => {
    expect(files.length).toBeGreaterThan(100);
    const raw = files.flatMap((name) =>
      [RAW, NATIVE_HINT].flatMap((what) =>
        [...read(name).matchAll(what)].map((one) => `${name}:${lineOf(read(name), one.index)} ${one[0]}`),
      ),
    );
    expect(raw).toEqual([]);
  });

  it('would be told, were they raw or hinted by the browser', () => {
    expect('<button type="button">'.match(RAW)).toHaveLength(1);
    expect('<span className={a} title="x">'.match(NATIVE_HINT)).toHaveLength(1);
    expect('<Button title="x"><DialogFrame title="x">'.match(NATIVE_HINT)).toBeNull();
  });
});

/** What sizes of words, spaces and corners are made of. */
const PROPERTY = /^(?:font|font-size|(?:row-|column-)?gap|padding(?:-.*)?|margin(?:-.*)?|border(?:-.*)?-radius)$/;
/** The tokens; what is drawn grows with its window or with the controls of the program drawn. */
const TOKENS = /var\(--(?:(?:type|space|radius)-\d|face-\w+|(?:scale|controls|button)(?:, 1)?)\)/g;
const PLAIN = /^(?:0|auto|inherit|normal|50%|-1|\d\.?\d*|\d*\.?\d+(?:cqw|em)|[*/+-])$/;
/** The parts of a value that are no tokens. */
const badParts = (value: string): string[] =>
  value
    .replace(TOKENS, ' ')
    .replace(/\b(?:calc|clamp|max|min)\(|[(),]/g, ' ')
    .split(/\s+/)
    .filter((one) => one !== '' && !PLAIN.test(one));

const kebab = (name: string): string => name.replace(/[A-Z]/g, (letter) => `-${letter.toLowerCase()}`);
/** What a style of the theme says of sizes and spaces that is no token. */
function badInStyle(style: object, at: string): string[] {
  return Object.entries(style).flatMap(([name, value]) => {
    // The steps of the text size, by which everything grows.
    if (name.startsWith('html[data-text=')) return [];
    if (value !== null && typeof value === 'object') return badInStyle(value, `${at} ${name}`);
    if (!PROPERTY.test(kebab(name)) || value === 0) return [];
    if (typeof value === 'number') return [`${at} ${name}: ${value}`];
    return badParts(String(value)).map((one) => `${at} ${name}: ${one}`);
  });
}

describe('sizes of words, spaces and corners', () => {
  const sheets = named('.css');

  it('are tokens in every stylesheet, and the stylesheets are short', () => {
    let lines = 0;
    const bad = sheets.flatMap((name) => {
      lines += read(name).split('\n').length - 1;
      const found: string[] = [];
      postcss.parse(read(name)).walkDecls(PROPERTY, ({ value, prop, source }) => {
        for (const one of badParts(value)) found.push(`${name}:${source?.start?.line} ${prop}: ${one}`);
      });
      return found;
    });
    expect(bad).toEqual([]);
    expect(lines).toBeLessThanOrEqual(2200);
  });

  it('are tokens in the theme', () => {
    expect([...badInStyle(components, ''), ...badInStyle(globalStyles, '')]).toEqual([]);
  });

  it('are tokens where a part is styled in its place', () => {
    const styled = /\b(?:sx|style)=\{\{([^}]*)\}/g;
    const spaces = /\b(?:[pm][xytrbl]?|gap): ([^,}]+)|\b(?:padding|margin|fontSize|borderRadius)\w*: ([^,}]+)/g;
    let seen = 0;
    const bad = named('.tsx').flatMap((name) =>
      [...read(name).matchAll(styled)].flatMap(([, inside = '']) =>
        [...inside.matchAll(spaces)].flatMap(([all, step, other]) => {
          seen++;
          return /^[0-5]$|^row \?/.test(step?.trim() ?? '') ||
            /^['`](?:var|calc\(.*var)\(--/.test(other ?? '') ||
            /`var\(--space-\$/.test(step ?? '')
            ? []
            : [`${name}: ${all}`];
        }),
      ),
    );
    expect(seen).toBeGreaterThan(15);
    expect(bad).toEqual([]);
  });

  it('would be told, were they anything else', () => {
    expect(badParts('0.3rem var(--space-2)')).toEqual(['0.3rem']);
    expect(badParts('calc(var(--space-2) * var(--scale, 1))')).toEqual([]);
    expect(badInStyle({ root: { padding: 7, '&:hover': { borderRadius: '6px' } } }, 'it')).toHaveLength(2);
  });
});
