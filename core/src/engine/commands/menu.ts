import type { CommandBy } from '../../commands/registry.ts';
import { noop, type CommandContext, type Outcome } from '../session.ts';

/** menu: the desk stays as it is; whoever draws it opens the list, from which another command is chosen. */
export function openMenu(
  { session, profile }: CommandContext,
  { menu: id }: CommandBy['menu'],
): Outcome {
  const menu = profile.menus.find((each) => each.id === id);
  if (!menu) return noop(session, `no menu is called ${id}`);
  if (menu.entries.length === 0) return noop(session, `menu ${menu.name ?? id} has no entries`);
  return noop(session, `menu ${menu.name ?? id} is open: a letter chooses`);
}
