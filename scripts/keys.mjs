// npm run keys: writes the keys of every starter into docs/keys.md, below its mark.
import { readFileSync, writeFileSync } from 'node:fs';
import { join } from 'node:path';
import { buildEngine, needNode, root, tool } from './steps.mjs';

needNode();
buildEngine();
const { startersDocument } = await import('../core/dist/keys/starters/document.js');
const file = join(root, 'docs/keys.md');
const MARK = '## The keys of each starter\n';
const [own] = readFileSync(file, 'utf8').split(MARK);
writeFileSync(file, `${own}${MARK}\n${startersDocument()}\n`);
tool('prettier/bin/prettier.cjs', ['--write', file]);
