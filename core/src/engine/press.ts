import { commandText } from '../commands/command.ts';
import type { KeyContext } from '../keys/resolve.ts';
import type { KeyOutput } from '../keys/state.ts';
import { keyTable, type KeyTable } from '../keys/table.ts';
import type { Profile } from '../model/profile.ts';
import type { Session } from '../model/session.ts';
import type { SessionEvent } from './reduce.ts';
import { windowOf } from './session.ts';

const tables = new WeakMap<Profile, KeyTable>();

/** What keys are looked up in on a desk as it stands. The table of a profile is made once. */
export function keyContext(session: Session, profile: Profile): KeyContext {
  const table = tables.get(profile) ?? keyTable(profile);
  tables.set(profile, table);
  const app = windowOf(session, session.focus)?.app ?? null;
  return { table, interaction: session.interaction ?? null, app };
}

/** What happens on the desk by what came of a key; null where it is not the desk's: a layer, a list that asks. */
export function eventOfKey(out: KeyOutput): SessionEvent | null {
  if (out.type === 'choice') return { type: 'key-released', taken: out.taken };
  if (out.type !== 'command') return null;
  const { command, binding, on } = out;
  const by = binding && { by: { keys: binding.keys, command: commandText(command) } };
  // A tap is let go already, and a release is one: nothing is down that could outline a placing.
  const isDown = on === 'press' || on === 'hold';
  return { type: isDown ? 'key-pressed' : 'command', command, ...by };
}
