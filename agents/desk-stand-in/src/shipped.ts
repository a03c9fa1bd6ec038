import { fileURLToPath } from 'node:url';

/** How the stand-in is started where it is asked for by its name: on the demo's windows where no desktop is there. */
export function standInCommand(): string[] {
  const file = (path: string) => fileURLToPath(new URL(path, import.meta.url));
  return [process.execPath, file('./main.js'), 'agent', '--script', file('../morning.yaml')];
}
