// npm run kills: kills the server 200 times in the middle of saves, imports, backups and restores, the agent or the host
// of a live desk 100 times, and agent, host or programs of a real display 60 times; edits a profile in its file and in the
// page at once in 500 orders, and saves 1,000 times by two servers in a shared store that fails.
import { join } from 'node:path';
import { x11Programs } from './x11.mjs';
import { buildEngine, install, needNode, root, runShown } from './steps.mjs';

needNode();
install();
buildEngine();
x11Programs();
const vitest = join(root, 'node_modules/vitest/vitest.mjs');
const runs = [
  [['--config', 'e2e/vitest.config.ts', 'crash'], { KILLS: '200' }],
  [['server/src/profile-files'], { FILE_RUNS: '500' }],
  [['server/src/store-stand-in'], { STORE_SAVES: '1000' }],
  [['live-kills'], { LIVE_KILLS: '100' }],
  [['x11-kills', 'x11/src/keys.test'], { X11_KILLS: '60' }],
];
let worst = 0;
for (const [args, env] of runs) {
  const { status } = await runShown(process.execPath, [vitest, 'run', ...args], env);
  worst = Math.max(worst, status ?? 1);
}
process.exit(worst);
