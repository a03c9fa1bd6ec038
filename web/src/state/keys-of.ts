import type { KeyCommand } from '@sorn/core/commands';
import { keyMap } from '@sorn/core/keys';
import type { Profile } from '@sorn/core/model';
import { keysCaps } from '@sorn/core/values';

/** What the caps of the first keys say that do a command of the map, or null where none do. */
export function capsOf(
  profile: Profile,
  isIt: (command: KeyCommand) => boolean,
): readonly string[] | null {
  const found = keyMap(profile).find(({ command }) => command !== undefined && isIt(command));
  return found ? keysCaps(found.keys, profile.keys) : null;
}
