import { readFileSync } from 'node:fs';
import { expect, it } from 'vitest';
import { publishedSchemas } from './files';

it('is published as it is: `npm run schemas` was run', () => {
  const all = publishedSchemas();
  expect(Object.keys(all)).toHaveLength(3);
  for (const [name, schema] of Object.entries(all))
    expect(JSON.parse(readFileSync(`docs/${name}`, 'utf8')), name).toEqual(schema);
});
