/** Writes the schemas of our files into docs/. */
import { writeFileSync } from 'node:fs';
import { publishedSchemas } from '../src/schemas/files';

for (const [name, schema] of Object.entries(publishedSchemas()))
  writeFileSync(`docs/${name}`, `${JSON.stringify(schema, null, 2)}\n`);
