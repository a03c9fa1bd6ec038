import { standInCommand } from '@sorn/desk-stand-in';
import { agentCommand, recordFile, startHost, type LiveHost } from '@sorn/host';
import { profileSchema, type Profile } from '@sorn/core/model';
import type { Logger } from 'pino';
import type { ChangeEvents } from './change-events.ts';
import type { Store } from './storage/store.ts';

export interface LiveOptions {
  /** A name of an agent that ships with Sorn, or its command line. Said on the command line alone. */
  agent: string;
  /** The profile by which it is arranged; the one that was saved last where left out. */
  profile?: string;
  allowLaunch: boolean;
  /** Folder in which the live desk is kept. */
  folder: string;
  store: Store;
  changes: ChangeEvents;
  log: Logger;
  /** It is over: why. */
  onOver: (because: string) => void;
}

/**
 * Arranges a real desktop by a profile of the database: what is saved of it applies at once, and what a command changes
 * in it is saved.
 *
 * @returns the host and the profile's id
 * @throws Error with a message for the person where there is no such profile or agent
 */
export async function startLive(options: LiveOptions): Promise<{ host: LiveHost; id: string }> {
  const { store, changes, log } = options;
  const command = agentCommand(options.agent, { 'stand-in': standInCommand });
  if (typeof command === 'string') throw new Error(command);
  const id = options.profile ?? (await store.list())[0]?.id;
  if (id === undefined) throw new Error('--agent needs a profile, and there is none yet');
  const profile = await profileOf(store, id);
  if (!profile) {
    const ids = (await store.list()).map((each) => each.id).join(', ');
    throw new Error(`--profile is ${id}; expected one of ${ids}`);
  }
  const host = await startHost({
    command,
    profile,
    store: recordFile(`${options.folder}/live-${id}.json`),
    allowLaunch: options.allowLaunch,
    onLog: (line) => log.info({ agent: line }),
    onOver: options.onOver,
    onEdit: (edited) => void save(edited),
  });
  const { desk } = host.agent;
  async function reread(): Promise<void> {
    const next = await profileOf(store, id!);
    // A profile that was deleted goes on being the one in force.
    if (next) desk.setProfile(next);
    else desk.refuse('it was deleted');
  }
  async function save(edited: Profile): Promise<void> {
    const revision = await store.revisionOf(id!);
    const saved = revision === null ? null : await store.saveProfile(id!, edited, revision);
    if (saved && 'revision' in saved) changes.tell(id!, { profile: saved.revision });
    else desk.refuse('what a command changed could not be saved');
  }
  const tell = (error: unknown) => log.error({ err: error }, 'the profile could not be read');
  changes.listen(id, () => void reread().catch(tell));
  changes.onAll(() => void reread().catch(tell));
  return { host, id };
}

async function profileOf(store: Store, id: string): Promise<Profile | null> {
  const stored = await store.readProfile(id);
  return stored && profileSchema.parse(JSON.parse(stored.content));
}
