import { fileURLToPath } from 'node:url';

/** How the agent is started where it is asked for by its name. */
export function x11Command(): string[] {
  return [process.execPath, fileURLToPath(new URL('./main.js', import.meta.url)), 'agent'];
}
