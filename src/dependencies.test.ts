import { readdirSync, readFileSync } from 'node:fs';
import { dirname, join, relative, resolve } from 'node:path';
import { describe, expect, it } from 'vitest';

const src = import.meta.dirname;
const LAYERS = ['core', 'schemas', 'server', 'ui', 'app', 'workers'] as const;
/** Which layers a layer may take from: app → ui → schemas → core, app → server → schemas → core. */
const MAY: Readonly<Record<string, readonly string[]>> = {
  core: ['core'],
  schemas: ['core', 'schemas'],
  server: ['core', 'schemas', 'server'],
  ui: ['core', 'schemas', 'ui', 'workers'],
  workers: ['core', 'workers'],
  app: ['core', 'schemas', 'server', 'ui', 'app'],
};
/** Packages the core may use: pure readers of text, and one that compares data. */
const CORE_PACKAGES = [
  '@lezer/markdown',
  '@rgrove/parse-xml',
  'dequal',
  'fflate',
  'jsonc-parser',
  'papaparse',
  'parse5',
  'mustache',
  'saxes',
  'stemmer',
  'toml-eslint-parser',
  'yaml',
];

const files = readdirSync(src, { recursive: true, encoding: 'utf8' }).filter(
  (name) => /\.tsx?$/.test(name) && !name.includes('.test.'),
);

function importsOf(file: string): string[] {
  const text = readFileSync(join(src, file), 'utf8');
  return [...text.matchAll(/(?:from|import)\s*\(?\s*'([^'\s]+)'/g)].map((match) => match[1] ?? '');
}

/** The layer an import leads to, or the package it names. */
function target(file: string, wanted: string): { layer: string } | { name: string } {
  const path = wanted.startsWith('@/')
    ? wanted.slice(2)
    : wanted.startsWith('.')
      ? relative(src, resolve(join(src, dirname(file)), wanted))
      : null;
  if (path === null) return { name: wanted };
  return { layer: path.split('/')[0] ?? '' };
}

describe('dependencies', () => {
  it('point one way', () => {
    expect(files.length).toBeGreaterThan(60);
    const wrong: string[] = [];
    for (const file of files) {
      const layer = file.split('/')[0] ?? '';
      if (!(LAYERS as readonly string[]).includes(layer)) continue;
      for (const wanted of importsOf(file)) {
        const to = target(file, wanted);
        if ('layer' in to) {
          if (!MAY[layer]?.includes(to.layer)) wrong.push(`${file} takes from ${wanted}`);
        } else if (layer === 'core' && !CORE_PACKAGES.includes(to.name) && !file.includes('testing/'))
          wrong.push(`${file} takes the package ${to.name}`);
      }
    }
    expect(wrong).toEqual([]);
  });

  it('leave statements to the migrations and to what looks after the file, and the driver to the server', () => {
    const of = (file: string): string => readFileSync(join(src, file), 'utf8');
    const code = files.filter((file) => !/^server\/(?:migrations|stored|backup|testing)\//.test(file));
    const wrong = code.filter((file) =>
      file.startsWith('server/') && file !== 'server/database.ts'
        ? /\b(?:literal|query)\(|\b(?:SELECT|INSERT INTO|DELETE FROM|UPDATE \w+ SET)\b/.test(of(file))
        : !file.startsWith('server/') &&
          /from '(?:sequelize|sqlite3)'|\b(?:SELECT|INSERT INTO|DELETE FROM) /.test(of(file)),
    );
    expect(code.length).toBeGreaterThan(60);
    expect(wrong).toEqual([]);
    expect(/\bSELECT\b/.test(of('server/migrations/001-first-tables.ts'))).toBe(true);
  });

  it('leave the core without a clock, a page or a network', () => {
    const core = files.filter((file) => file.startsWith('core/'));
    const using = core.filter((file) =>
      /\b(Date\.now|new Date|performance\.now|document\.|window\.|fetch\(|process\.|Math\.random)/.test(
        readFileSync(join(src, file), 'utf8'),
      ),
    );
    expect(using).toEqual([]);
  });
});

describe('end-to-end tests', () => {
  it('wait for states, never for time or for a silent network, and are made with our own test', () => {
    const e2e = join(src, '../e2e');
    const specs = readdirSync(e2e, { recursive: true, encoding: 'utf8' }).filter((name) => name.endsWith('.ts'));
    expect(specs.length).toBeGreaterThan(20);
    const wrong = specs.filter((name) => {
      const text = readFileSync(join(e2e, name), 'utf8');
      const own = !name.endsWith('.spec.ts') || /from '\.{1,2}\/support\/test'/.test(text);
      return !own || /waitForTimeout|networkidle/.test(text);
    });
    expect(wrong).toEqual([]);
  });
});
