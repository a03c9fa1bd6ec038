import type { KeyCommand } from '../../commands/registry.ts';

import { MAIN } from '../../values/modifiers.ts';

/** A binding of a ready-made map. */
export interface KeyStarterBinding {
  /** As the profile writes triggers. */
  keys: string;
  command: KeyCommand;
}

/** A key with the main modifier and what else is held, and what it does. */
export function withMain(
  code: string,
  more: readonly string[],
  command: KeyCommand,
): KeyStarterBinding {
  return { keys: [MAIN, ...more, code].join('+'), command };
}

export function bareKey(keys: string, command: KeyCommand): KeyStarterBinding {
  return { keys, command };
}
