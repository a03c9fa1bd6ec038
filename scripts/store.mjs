// npm run store -- FILE --port N --token-file FILE: a stand-in for the server of a shared store, on this machine.
import { spawn } from 'node:child_process';
import { join } from 'node:path';
import { buildEngine, install, needNode, root } from './steps.mjs';

needNode();
install();
buildEngine();
const store = spawn(
  process.execPath,
  [join(root, 'server/dist/store-stand-in/main.js'), ...process.argv.slice(2)],
  { stdio: 'inherit' },
);
for (const signal of ['SIGINT', 'SIGTERM']) process.on(signal, () => store.kill(signal));
store.on('close', (status) => process.exit(status ?? 0));
