// npm run bench: prints the benchmark figures. Nothing passes or fails by them.
import { join } from 'node:path';
import { chromium } from './chromium.mjs';
import { x11Programs } from './x11.mjs';
import { buildEngine, buildPage, fail, install, needNode, root, run, say, tool } from './steps.mjs';

needNode();
install();
buildEngine();
buildPage();
const browser = chromium();
x11Programs();
if (tool('typescript/bin/tsc', ['-b', 'bench']).status !== 0) fail('The benchmarks did not build.');
say('Measuring; leave the machine alone meanwhile');
run(process.execPath, [join(root, 'bench/dist/main.js')], {
  show: true,
  env: { CHROMIUM: browser },
});
