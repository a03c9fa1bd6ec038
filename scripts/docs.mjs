// npm run docs: writes what stands in docs/ and is made of the program: the JSON Schemas of profile files and of the
// link, and tables.
import { mkdirSync, readFileSync, writeFileSync } from 'node:fs';
import { join } from 'node:path';
import { buildEngine, needNode, root, tool } from './steps.mjs';

needNode();
buildEngine();
const { publishedSchema, SCHEMA_PATH } = await import('../core/dist/files/index.js');
const { DOCUMENT_PARTS, withMadeParts } = await import('../core/dist/files/written-documents.js');
const { LINK_SCHEMA_PATH, publishedLinkSchema } = await import('../link/dist/index.js');
const docs = join(root, 'docs');
mkdirSync(join(docs, 'schema'), { recursive: true });
const files = [join(docs, SCHEMA_PATH)];
writeFileSync(files[0], `${JSON.stringify(publishedSchema(), null, 2)}\n`);
files.push(join(docs, LINK_SCHEMA_PATH));
writeFileSync(files[1], `${JSON.stringify(publishedLinkSchema(), null, 2)}\n`);
for (const [name, parts] of Object.entries(DOCUMENT_PARTS)) {
  const file = join(docs, name);
  writeFileSync(file, withMadeParts(readFileSync(file, 'utf8'), parts));
  files.push(file);
}
tool('prettier/bin/prettier.cjs', ['--write', ...files]);
