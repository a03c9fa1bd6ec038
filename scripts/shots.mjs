// npm run shots [-- NAME ...]: takes the pictures of the main views in docs/screenshots, or those named, from the demo data.
import { spawn, spawnSync } from 'node:child_process';
import { mkdirSync, mkdtempSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { chromium } from './chromium.mjs';
import { buildEngine, buildPage, install, needNode, root, say } from './steps.mjs';

const SHOTS = [
  { name: 'tiling-day', path: '/bulletin-desk/tiling' },
  {
    name: 'rehearse-night',
    path: '/bulletin-desk/rehearse',
    night: true,
    keys: ['Enter', 'Meta+Alt+KeyM', 'Meta+KeyW', 'Meta+ArrowLeft', 'Meta+BracketRight'],
  },
  {
    name: 'live-day',
    path: '/bulletin-desk/rehearse',
    keys: [
      'Shift+L',
      'wait:600',
      'Control+k',
      'wait:300',
      ...'swap with lead',
      'wait:300',
      'Enter',
      'wait:600',
    ],
  },
  {
    name: 'live-panel-night',
    path: '/bulletin-desk/desk',
    night: true,
    keys: ['Shift+L', 'w', 'w', 'wait:600', 'ArrowDown', 'wait:700'],
  },
  { name: 'tiling-places-day', path: '/bulletin-desk/tiling', keys: ['ArrowDown', 'p'] },
  { name: 'desk-day', path: '/bulletin-desk/desk', keys: [']', ']'] },
  {
    name: 'workspaces-day',
    path: '/bulletin-desk/desk',
    keys: ['w', 'ArrowDown', 'n', ...'Mail'],
  },
  { name: 'desk-cable-night', path: '/bulletin-desk/desk', night: true, keys: ['x', '2'] },
  {
    name: 'zones-day',
    path: '/bulletin-desk/zones',
    keys: [']', 'n', 'ArrowRight', 'Shift+ArrowRight', 'Control+ArrowLeft', 'Control+ArrowLeft'],
  },
  {
    name: 'rehearse-corner-night',
    path: '/bulletin-desk/rehearse',
    night: true,
    keys: ['Enter', 'Meta+Control+KeyH', 'b', 'd', '2'],
  },
  { name: 'rules-day', path: '/bulletin-desk/rules', keys: ['ArrowDown', 'ArrowDown'] },
  { name: 'apps-day', path: '/bulletin-desk/rules', keys: ['p', 'ArrowDown', 'ArrowDown'] },
  { name: 'keys-suggest-day', path: '/bulletin-desk/keys', keys: ['s', 'w', 'wait:4000'] },
  {
    name: 'keys-day',
    path: '/bulletin-desk/keys',
    keys: ['/', ...'turn-layout', 'Enter', 'r', 'Meta+KeyB', 'wait:1200', 'ArrowDown', 'ArrowUp'],
  },
  {
    // The chart itself, in the pixels of the briefing wall, as the page saves it.
    name: 'key-chart-night',
    path: '/bulletin-desk/keys',
    night: true,
    keys: ['c', 'n', 'w', 'w', 'w', 'wait:900'],
    saves: 'i',
  },
  {
    name: 'files-day',
    path: '/bulletin-desk/tiling',
    keys: [
      'g',
      '6',
      'Enter',
      'Escape',
      'wait:900',
      'l',
      'wait:1500',
      '8',
      'wait:900',
      'ArrowDown',
      'wait:600',
    ],
  },
  {
    name: 'files-text-night',
    path: '/bulletin-desk/files',
    night: true,
    keys: [
      't',
      'wait:600',
      'Enter',
      'Control+End',
      ...'look:',
      'Enter',
      ' ',
      ' ',
      ...'motionMs: fast',
      'wait:900',
    ],
  },
  { name: 'begin-day', path: '/begin', keys: ['4', 'Enter', 'wait:200', '5'] },
  { name: 'profiles-day', path: '/profiles' },
];

needNode();
install();
const executablePath = chromium();
buildEngine();
buildPage();
const { chromium: driver } = await import('playwright-core');
const folder = mkdtempSync(join(tmpdir(), 'sorn-shots-'));
const into = join(root, 'docs/screenshots');
mkdirSync(into, { recursive: true });
const browser = await driver.launch({
  executablePath,
  args: ['--no-sandbox', '--disable-gpu', '--no-first-run', '--disable-background-networking'],
});
const named = process.argv.slice(2);
const wanted = SHOTS.filter(({ name }) => named.length === 0 || named.includes(name));
for (const { name, path, night = false, keys = [], saves } of wanted) {
  say(`docs/screenshots/${name}.png`);
  const { server, url } = await serve(join(folder, `${name}.db`));
  const context = await browser.newContext({
    viewport: { width: 1280, height: 800 },
    colorScheme: night ? 'dark' : 'light',
    reducedMotion: 'reduce',
  });
  const page = await context.newPage();
  await page.goto(url + path);
  const isBench = !['/profiles', '/begin'].includes(path);
  if (isBench) await page.getByText('Bulletin desk').first().waitFor();
  // Some views load when they are needed.
  await page.locator('main').first().waitFor();
  await page.waitForTimeout(500);
  for (const key of keys) {
    const wait = /^wait:(\d+)$/.exec(key)?.[1];
    if (wait) await page.waitForTimeout(Number(wait));
    else await page.keyboard.press(key);
    await page.waitForTimeout(60);
  }
  if (isBench) await page.locator('[data-save-state=saved]').waitFor();
  // What closes fades out first.
  await page.waitForTimeout(400);
  const picture = join(into, `${name}.png`);
  if (saves) {
    const [download] = await Promise.all([
      page.waitForEvent('download'),
      page.keyboard.press(saves),
    ]);
    await download.saveAs(picture);
  } else await page.screenshot({ path: picture });
  await context.close();
  server.kill();
}
await browser.close();
// Stand-in desktops outlive their agents for a while.
spawnSync('pkill', ['-f', `desktop --socket ${folder}`]);
rmSync(folder, { recursive: true, force: true });

function serve(file) {
  // With a stand-in desktop of its own for each picture, as npm run demo has one.
  const own = `${file}.d`;
  mkdirSync(own);
  const main = join(root, 'server/dist/main.js');
  const args = [main, '--demo', '--agent', 'stand-in', '--data', file, '--port', '0'];
  const server = spawn(process.execPath, args, {
    stdio: ['ignore', 'pipe', 'inherit'],
    env: { ...process.env, TMPDIR: own, SORN_CONTROL: join(own, 'live.sock') },
  });
  return new Promise((resolve) => {
    server.stdout.on('data', (data) => {
      const url = /http:\/\/\S+/.exec(String(data))?.[0];
      if (url) resolve({ server, url });
    });
  });
}
