// npm run demo:x11: the demo with real windows. Without a DISPLAY an X server of its own is started, with two monitors
// on no screen; on it windows that stand for the demo's apps, and the server with the agent for X. Until stopped.
import { spawn } from 'node:child_process';
import { chmodSync, mkdirSync, mkdtempSync, readFileSync, rmSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { delimiter, join } from 'node:path';
import { buildEngine, buildPage, install, needNode, root, run, say } from './steps.mjs';
import { x11Programs } from './x11.mjs';

/** The desk of the demo's office without its laptop, as xrandr takes it: pixels and millimetres. */
const SCREEN = '4880x2560x24';
const MONITORS = [
  ['Korvane-Wide-34', '3440/800x1440/335+0+560', 'screen'],
  ['Korvane-Tall-27', '1440/336x2560/597+3440+0', 'none'],
];
needNode();
install();
buildEngine();
buildPage();
const own = process.env.DISPLAY === undefined;
if (own) x11Programs();
const folder = mkdtempSync(join(tmpdir(), 'sorn-demo-x11-'));
const children = [];
let isEnding = false;
function end(code) {
  if (isEnding) return;
  isEnding = true;
  for (const child of children.reverse()) child.kill('SIGTERM');
  setTimeout(() => {
    rmSync(folder, { recursive: true, force: true });
    process.exit(code);
  }, 700);
}
for (const signal of ['SIGINT', 'SIGTERM']) process.on(signal, () => end(0));

/** The display: that of the environment, else one of our own. */
async function display() {
  if (!own) return process.env.DISPLAY;
  const args = ['-displayfd', '1', '-screen', '0', SCREEN, '-noreset', '-nolisten', 'tcp'];
  const server = spawn('Xvfb', args, { stdio: ['ignore', 'pipe', 'ignore'] });
  children.push(server);
  const name = await new Promise((resolve) =>
    server.stdout.once('data', (bytes) => resolve(`:${bytes.toString().trim()}`)),
  );
  for (const monitor of MONITORS)
    run('xrandr', ['--setmonitor', ...monitor], { env: { DISPLAY: name } });
  run('xsetroot', ['-solid', '#33403d'], { env: { DISPLAY: name } });
  say(`An X server without a screen is display ${name}`);
  return name;
}

const DISPLAY = await display();
const { apps } = JSON.parse(readFileSync(join(root, 'demo/bulletin-desk.profile.json'), 'utf8'));
const agent = join(root, 'agents/x11/dist/main.js');
/** What stands for an app, as the agent's program takes it. */
const demoApp = ({ id, name, title, balloon, hue, min, increment, aspect, kind }) => ({
  app: id,
  title: title ?? name,
  mark: balloon ?? id.slice(0, 2).toUpperCase(),
  hue: hue ?? 0,
  ...(min && { min: [min.width, min.height] }),
  ...(increment && { increment: [increment.width, increment.height] }),
  ...(aspect && { aspect: [aspect.width, aspect.height] }),
  ...(kind && kind !== 'normal' && { kind: kind.toUpperCase() }),
});
// Command lines of the profile's apps find these first: keys that open an app open its window.
const programs = join(folder, 'programs');
mkdirSync(programs);
for (const app of apps) {
  const quoted = JSON.stringify(demoApp(app)).replaceAll("'", "'\\''");
  const file = join(programs, app.exec ?? app.id);
  writeFileSync(file, `#!/bin/sh\nexec '${process.execPath}' '${agent}' demo-app '${quoted}'\n`);
  chmodSync(file, 0o755);
}
const env = { ...process.env, DISPLAY, PATH: `${programs}${delimiter}${process.env.PATH}` };

const rest = process.argv.slice(2);
const server = spawn(
  process.execPath,
  [join(root, 'server/dist/main.js'), '--demo', '--agent', 'x11', '--allow-launch', ...rest],
  { stdio: 'inherit', env },
);
children.push(server);
server.on('close', (status) => end(status ?? 0));
