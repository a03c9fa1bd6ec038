// Finds the browser that end-to-end tests and screenshots drive; installs it where it may.
import { existsSync } from 'node:fs';
import { fail, run, say } from './steps.mjs';

const PLACES = [
  '/usr/bin/chromium',
  '/usr/bin/chromium-browser',
  '/usr/bin/google-chrome',
  '/snap/bin/chromium',
];

/** The path of Chromium: CHROMIUM, else a usual place, else installed from the distribution's packages. */
export function chromium() {
  const asked = process.env.CHROMIUM;
  if (asked) {
    if (!existsSync(asked)) fail(`CHROMIUM is ${asked}, and there is no such file.`);
    return asked;
  }
  const found = PLACES.find((path) => existsSync(path));
  if (found) return found;
  const mayInstall = process.getuid?.() === 0 && existsSync('/usr/bin/apt-get');
  if (!mayInstall) {
    fail(
      'The end-to-end tests need Chromium. Install it (on Debian or Ubuntu: sudo apt-get install chromium), or name one: CHROMIUM=/path/to/chromium npm test',
    );
  }
  say('Installing Chromium from the distribution’s packages');
  const env = { DEBIAN_FRONTEND: 'noninteractive' };
  run('apt-get', ['update', '-qq'], { env });
  const { status } = run(
    'apt-get',
    ['install', '-y', '-qq', '--no-install-recommends', 'chromium'],
    {
      env,
    },
  );
  const installed = PLACES.find((path) => existsSync(path));
  if (status !== 0 || !installed) fail('Chromium could not be installed; apt-get said why above.');
  return installed;
}
