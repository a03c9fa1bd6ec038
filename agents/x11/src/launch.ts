import { spawn } from 'node:child_process';
import type { FromHost } from '@sorn/link';

/**
 * Starts a program on the display. It lives on when the agent ends; the id that it is started with is told by its
 * windows, where it takes part in that (_NET_STARTUP_ID).
 *
 * @param onFault a sentence where it could not be started
 */
export function launch(
  { app, command, startupId }: FromHost<'launch'>,
  display: string,
  onFault: (because: string) => void,
): void {
  const [program = '', ...args] = command;
  const child = spawn(program, args, {
    detached: true,
    stdio: 'ignore',
    env: {
      ...process.env,
      DISPLAY: display,
      ...(startupId !== undefined && { DESKTOP_STARTUP_ID: startupId }),
    },
  });
  child.on('error', (error) => onFault(`${app} cannot be started: ${error.message}`));
  child.unref();
}
