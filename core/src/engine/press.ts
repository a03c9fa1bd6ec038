import { commandText } from '../commands/command.ts';
import type { KeyContext } from '../keys/resolve.ts';
import type { KeyOutput } from '../keys/state.ts';
import { keyTable, type KeyTable } from '../keys/table.ts';
import type { Profile } from '../model/profile.ts';
import type { Session } from '../model/session.ts';
import type { SessionEvent } from './reduce.ts';
import { NOTHING_TO_DO, windowOf, type Reason } from './session.ts';

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

/** What came of a key that is done outside the desk, or that an app keeps; null for anything else. */
export function outsideReason(out: KeyOutput, { apps }: Pick<Profile, 'apps'>): Reason | null {
  if (out.type === 'kept') {
    const name = apps.find(({ id }) => id === out.app)?.name ?? out.app;
    return { decided: NOTHING_TO_DO, because: `${name} keeps this key for itself` };
  }
  if (out.type !== 'outside') return null;
  const { command } = out;
  return command.command === 'leave-to-desktop'
    ? { decided: `left to the desktop: ${command.what}`, because: 'the map says so' }
    : { decided: `would run: ${command.line}`, because: 'on a simulated desk no line is run' };
}
