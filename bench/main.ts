import { benchFrames } from './frames.ts';
import { benchKeys } from './keys.ts';
import { benchKeyMap } from './key-map.ts';
import { benchLink } from './link.ts';
import { benchLivePage } from './live-page.ts';
import { benchRules } from './rules.ts';
import { benchServer } from './server.ts';
import { benchSolver } from './solver.ts';
import { benchTrials } from './trials.ts';
import { benchTrialWatch } from './trial-watch.ts';
import { benchX11 } from './x11.ts';

process.stdout.write(`Node ${process.versions.node}, ${process.arch}\n`);
await benchSolver();
benchRules();
benchKeyMap();
await benchTrials();
await benchKeys();
await benchServer();
await benchLink();
await benchX11();
const browser = process.env['CHROMIUM'];
if (browser) {
  await benchFrames(browser);
  await benchTrialWatch(browser);
  await benchLivePage(browser);
}
