// npm run kills: kills the server 200 times in the middle of saves, imports, backups and restores.
import { join } from 'node:path';
import { buildEngine, install, needNode, root, runShown } from './steps.mjs';

needNode();
install();
buildEngine();
const vitest = join(root, 'node_modules/vitest/vitest.mjs');
const args = [vitest, 'run', '--config', 'e2e/vitest.config.ts', 'crash'];
const { status } = await runShown(process.execPath, args, { KILLS: '200' });
process.exit(status ?? 1);
