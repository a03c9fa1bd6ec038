// Finds the X server without a monitor, and the programs whose windows the tests arrange; installs them where it may.
import { existsSync } from 'node:fs';
import { fail, run, say } from './steps.mjs';

/** Programs by the package of Debian and Ubuntu that has them. */
const PROGRAMS = {
  Xvfb: 'xvfb',
  xterm: 'xterm',
  xclock: 'x11-apps',
  xeyes: 'x11-apps',
  xmessage: 'x11-utils',
  xwininfo: 'x11-utils',
  xrandr: 'x11-xserver-utils',
  xsetroot: 'x11-xserver-utils',
};

/** Sees to it that a display can be made and arranged here. */
export function x11Programs() {
  const missing = Object.entries(PROGRAMS).filter(
    ([program]) =>
      !(process.env.PATH ?? '').split(':').some((path) => existsSync(`${path}/${program}`)),
  );
  if (missing.length === 0) return;
  const packages = [...new Set(missing.map(([, name]) => name))];
  const mayInstall = process.getuid?.() === 0 && existsSync('/usr/bin/apt-get');
  if (!mayInstall)
    fail(
      `The tests of real windows need ${missing.map(([program]) => program).join(', ')}. Install them (on Debian or Ubuntu: sudo apt-get install ${packages.join(' ')}).`,
    );
  say('Installing an X server without a monitor, and programs with windows');
  const apt = (...args) => run('apt-get', args, { env: { DEBIAN_FRONTEND: 'noninteractive' } });
  apt('update', '-qq');
  if (apt('install', '-y', '-qq', '--no-install-recommends', ...packages).status !== 0)
    fail('They could not be installed; apt-get said why above.');
}
