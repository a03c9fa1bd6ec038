// npm run schema: writes the JSON Schema of profile files to docs/schema, from the schemas that read them.
import { mkdirSync, writeFileSync } from 'node:fs';
import { join } from 'node:path';
import { buildEngine, needNode, root, tool } from './steps.mjs';

needNode();
buildEngine();
const { publishedSchema, SCHEMA_PATH } = await import('../core/dist/files/index.js');
const file = join(root, 'docs', SCHEMA_PATH);
mkdirSync(join(root, 'docs/schema'), { recursive: true });
writeFileSync(file, `${JSON.stringify(publishedSchema(), null, 2)}\n`);
tool('prettier/bin/prettier.cjs', ['--write', file]);
