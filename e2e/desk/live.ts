import { join } from 'node:path';
import { fileURLToPath } from 'node:url';
import type { Server } from 'node:net';
import { Desktop, seeded, serveDesktop } from '@sorn/desk-stand-in';
import type { Browser } from 'playwright-core';
import { afterAll, beforeAll } from 'vitest';
import { launch } from './browser.ts';
import { startServer, temporaryFolder, type RunningServer } from './server.ts';

const AGENT = fileURLToPath(new URL('../../agents/desk-stand-in/dist/main.js', import.meta.url));

/** The monitors of the office, as a window system has them. */
export const OFFICE = [
  {
    name: 'Korvane Wide 34',
    x: 0,
    y: 0,
    width: 3440,
    height: 1440,
    scale: 1,
    turn: 0 as const,
    primary: true,
  },
  {
    name: 'Korvane Tall 27',
    x: 3440,
    y: -560,
    width: 1440,
    height: 2560,
    scale: 1,
    turn: 90 as const,
    primary: false,
  },
  {
    name: 'Built-in panel',
    x: 280,
    y: 1440,
    width: 2880,
    height: 1800,
    scale: 2,
    turn: 0 as const,
    primary: false,
  },
];

const WINDOWS = [
  ['pitreader', 'Profile 07 · Ostrel Pass'],
  ['bulletin', 'Bulletin of the morning'],
  ['stations', 'All stations'],
  ['slopecams', 'East flank'],
  ['post', 'Inbox'],
  ['radiolog', 'Channel 4'],
] as const;

/** A server whose demo arranges a stand-in desktop that the test holds in its hands. */
export interface LiveFixture {
  server: RunningServer;
  browser: Browser;
  desktop: Desktop;
  /** By what the agent's process is found. */
  socket: string;
}

export function liveFixture(): LiveFixture {
  const folder = temporaryFolder();
  const running = { socket: join(folder.path, 'desk.sock') } as LiveFixture;
  let served: Server | null = null;
  beforeAll(async () => {
    const desktop = new Desktop(OFFICE);
    running.desktop = desktop;
    served = await serveDesktop(desktop, running.socket, seeded(1));
    // The cameras have a monitor of their own by a rule; what opens after them is there, too.
    for (const [app, title] of WINDOWS) desktop.open({ app, title });
    running.server = await startServer(join(folder.path, 'live.db'), {
      demo: true,
      more: [
        '--agent',
        `"${process.execPath}" "${AGENT}" agent --socket "${running.socket}"`,
        '--profile',
        'bulletin-desk',
      ],
      env: { SORN_CONTROL: join(folder.path, 'control', 'live.sock') },
    });
    running.browser = await launch();
  });
  afterAll(async () => {
    await running.browser?.close();
    await running.server?.stop();
    running.desktop?.end();
    served?.close();
    folder.remove();
  });
  return running;
}
