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
// It runs for months: little memory is worth more to it than the last millisecond.
const flags = ['--max-semi-space-size=2', '--optimize-for-size'];
const server = spawn(process.execPath, [...flags, join(root, 'server/dist/main.js'), ...options], {
  stdio: 'inherit',
  // Threads share what is free of memory (glibc keeps some for each otherwise).
  env: { MALLOC_ARENA_MAX: '2', ...process.env },
});
for (const signal of ['SIGINT', 'SIGTERM']) process.on(signal, () => server.kill(signal));
server.on('close', (status) => process.exit(status ?? 0));
