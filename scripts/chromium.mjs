// Finds the browser that end-to-end tests and screenshots drive; installs it where it may.
import { existsSync } from 'node:fs';
import { fail, run, say } from './steps.mjs';

/** The first has no window at all, and takes two thirds of the time of the others. */
const SHELL = '/usr/bin/chromium-headless-shell';
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
  if (existsSync(SHELL)) return SHELL;
  const found = PLACES.find((path) => existsSync(path));
  const mayInstall = process.getuid?.() === 0 && existsSync('/usr/bin/apt-get');
  if (!mayInstall && found) return found;
  if (!mayInstall) {
    fail(
      'The end-to-end tests need Chromium. Install it (on Debian or Ubuntu: sudo apt-get install chromium-headless-shell), or name one: CHROMIUM=/path/to/chromium npm test',
    );
  }
  say('Installing Chromium from the distribution’s packages');
  // Where there is one already, nobody waits long for a network that is not there.
  const quick = ['-o', 'Acquire::Retries=0', '-o', 'Acquire::http::Timeout=15'];
  const apt = (...args) =>
    run('apt-get', [...(found ? quick : []), ...args], {
      env: { DEBIAN_FRONTEND: 'noninteractive' },
    });
  const install = (name) => apt('install', '-y', '-qq', '--no-install-recommends', name);
  apt('update', '-qq');
  install('chromium-headless-shell');
  if (existsSync(SHELL)) return SHELL;
  if (found) return found;
  install('chromium');
  const installed = PLACES.find((path) => existsSync(path));
  if (!installed) fail('Chromium could not be installed; apt-get said why above.');
  return installed;
}
