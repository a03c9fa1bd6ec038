// npm run -s sorn -- …: the command line, installed and built first when it is not yet.
import { spawnSync } from 'node:child_process';
import { join } from 'node:path';
import { beQuiet, buildEngine, install, needNode, root } from './steps.mjs';

// A pipe that reads standard error is to find faults there and nothing else.
if (!process.stderr.isTTY) beQuiet();
needNode();
install();
buildEngine();
const main = join(root, 'cli/dist/main.js');
const { status } = spawnSync(process.execPath, [main, ...process.argv.slice(2)], {
  stdio: 'inherit',
  // npm runs scripts in the repository; paths are meant from where the person stands.
  cwd: process.env.INIT_CWD ?? process.cwd(),
});
process.exit(status ?? 1);
