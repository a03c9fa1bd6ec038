// npm run demo, npm start: install, build, then serve on 127.0.0.1 until stopped.
import { spawn } from 'node:child_process';
import { join } from 'node:path';
import { buildEngine, buildPage, install, needNode, root, say } from './steps.mjs';

const options = process.argv.slice(2);
needNode();
install();
buildEngine();
buildPage();
const isDemo = options.includes('--demo');
say(isDemo ? 'Serving the demo' : 'Serving your own profiles');
const server = spawn(process.execPath, [join(root, 'server/dist/main.js'), ...options], {
  stdio: 'inherit',
});
for (const signal of ['SIGINT', 'SIGTERM']) process.on(signal, () => server.kill(signal));
server.on('close', (status) => process.exit(status ?? 0));
