import { rmSync } from 'node:fs';
import type { LivePicture, LiveRequest } from '@sorn/api';
import { standInCommand } from '@sorn/desk-stand-in';
import { agentCommand, recordFile, startHost } from '@sorn/host';
import { mergeProfiles } from '@sorn/core/files';
import type { Reason } from '@sorn/core/engine';
import { profileSchema, type Profile } from '@sorn/core/model';
import { read } from '@sorn/core/values';
import isEqual from 'fast-deep-equal';
import type { Logger } from 'pino';
import type { ChangeEvents } from '../change-events.ts';
import type { Store } from '../storage/store.ts';
import { LiveLines, LiveTold } from './news.ts';

export interface LiveOptions {
  /** A name of an agent that ships with Sorn, or its command line. Said on the command line alone. */
  agent: string;
  /** The profile by which it is arranged; the one that was saved last where left out. */
  profile?: string;
  /** The host name of this machine. */
  machine: string;
  allowLaunch: boolean;
  /** What was kept of an earlier run is left out. */
  isFresh: boolean;
  /** Folder in which the live desk is kept. */
  folder: string;
  store: Store;
  changes: ChangeEvents;
  log: Logger;
  /** It is over: why. */
  onOver: (because: string) => void;
}

export { ControlTaken } from '@sorn/host';
import { x11Command } from '@sorn/x11';

/** A live desk as pages see it. */
export interface LiveServer {
  /** The profile that it is arranged by. */
  id: string;
  /** What a page that comes now has to be told, and what is otherwise each time after. */
  told: () => LiveTold;
  /** Something is otherwise. */
  onChange: (listener: () => void) => () => void;
  onPicture: (listener: (picture: LivePicture) => void) => () => void;
  /** Does what a page asks for; a sentence where that cannot be done. */
  ask: (request: LiveRequest) => Promise<readonly Reason[] | string>;
  end: () => Promise<void>;
}

const NOTHING: readonly Reason[] = [];

/**
 * Arranges a real desktop by a profile of the database: what is saved of it applies at once, and what a command changes
 * in it is saved.
 *
 * @throws Error with a message for the person where there is no such profile or agent
 */
export async function startLive(options: LiveOptions): Promise<LiveServer> {
  const { store, changes, log } = options;
  const command = agentCommand(options.agent, { 'stand-in': standInCommand, x11: x11Command });
  if (typeof command === 'string') throw new Error(command);
  const id = options.profile ?? (await store.list())[0]?.id;
  if (id === undefined) throw new Error('--agent needs a profile, and there is none yet');
  const profile = await profileOf(store, id);
  if (!profile) {
    const ids = (await store.list()).map((each) => each.id).join(', ');
    throw new Error(`--profile is ${id}; expected one of ${ids}`);
  }
  const record = `${options.folder}/live-${id}.json`;
  if (options.isFresh) rmSync(record, { force: true });
  const lines = new LiveLines();
  const listeners = new Set<() => void>();
  const pictured = new Set<(picture: LivePicture) => void>();
  const changed = () => {
    for (const listener of listeners) listener();
  };
  const host = await startHost({
    command,
    profile,
    machine: options.machine,
    store: recordFile(record),
    allowLaunch: options.allowLaunch,
    onLog: (line) => log.info({ agent: line }),
    onOver: options.onOver,
    onEntry: (entry) => lines.add(entry),
    onChange: changed,
    onPicture: (window, png) => {
      for (const listener of pictured) listener({ window, png });
    },
    onEdit: (edited, before) => void save(edited, before).catch(tell),
  });
  const { desk } = host.agent;
  async function reread(): Promise<void> {
    const next = await profileOf(store, id!);
    // A profile that was deleted goes on being the one in force.
    if (next) desk.setProfile(next, true);
    else desk.refuse('it was deleted');
  }
  /** Saves what became of the profile here; what a page saved meanwhile, or waits there, stays. */
  async function save(edited: Profile, before: Profile): Promise<void> {
    const stored = await store.readProfile(id!);
    const there = stored && profileSchema.parse(JSON.parse(stored.content));
    const together = there && mergeProfiles(before, edited, there).value;
    const saved = together && (await store.saveProfile(id!, together, stored.revision));
    if (saved && 'revision' in saved) changes.tell(id!, { profile: saved.revision });
    else desk.refuse('what a command changed could not be saved');
  }
  /** Goes on where what is saved is what the desk goes by: a page may have saved just now. */
  async function goOnUnedited(): Promise<void> {
    const saved = await profileOf(store, id!);
    if (!saved || isEqual(saved, desk.written)) desk.holdEdits(false);
  }
  /** Saves what the desk goes by in the place of edits that were only tried. */
  async function putBack(profile: Profile): Promise<void> {
    const revision = await store.revisionOf(id!);
    const saved = revision === null ? null : await store.saveProfile(id!, profile, revision);
    if (saved && 'revision' in saved) changes.tell(id!, { profile: saved.revision });
  }
  function tell(error: unknown): void {
    log.error({ err: error }, 'the profile could not be read');
  }
  changes.listen(id, () => void reread().catch(tell));
  changes.onAll(() => void reread().catch(tell));

  /** Goes by the profile that is saved with some of its parts as they are typed. */
  async function show(parts: Record<string, unknown> | null): Promise<string | null> {
    if (parts === null) return desk.showProfile(null);
    const saved = await profileOf(store, id!);
    const typed = read(profileSchema, { ...saved, ...parts });
    if (typed.ok) return desk.showProfile(typed.value);
    const [fault] = typed.faults;
    return `${fault!.path} is ${fault!.found}; expected ${fault!.expected}`;
  }

  return {
    id,
    told: () => new LiveTold(id, host.agent, lines),
    onChange: addTo(listeners),
    onPicture(listener) {
      const stop = addTo(pictured)(listener);
      return () => {
        stop();
        // Nobody looks any more.
        if (pictured.size === 0) desk.showPictures(false);
      };
    },
    async ask(request) {
      const done = async (): Promise<readonly Reason[] | string | null> => {
        switch (request.ask) {
          case 'command':
            return desk.sessionNow ? desk.command(request.command) : 'the desk is not there yet';
          case 'focus':
            return desk.chooseWindow(request.window);
          case 'show':
            return show(request.parts);
          case 'keep':
            desk.answerEdit(request.isKept);
            return null;
          case 'hold':
            desk.holdEdits(true);
            return null;
          case 'go-on':
            if (request.edits === 'drop') await putBack(desk.dropHeldEdits());
            else if (request.edits === 'apply') desk.holdEdits(false);
            else await goOnUnedited();
            return null;
          case 'out':
            desk.goOut();
            return null;
          case 'start':
            host.agent.startAgain();
            return null;
          case 'stop':
            await host.agent.stop();
            return null;
          case 'identify':
            return desk.identify(request.monitor);
          case 'allow':
            desk.allowLine(request.line);
            return null;
          case 'pictures':
            return desk.showPictures(request.isOn);
        }
      };
      return (await done()) ?? NOTHING;
    },
    end: () => host.end(),
  };
}

function addTo<T>(set: Set<T>): (one: T) => () => void {
  return (one) => {
    set.add(one);
    return () => void set.delete(one);
  };
}

async function profileOf(store: Store, id: string): Promise<Profile | null> {
  const stored = await store.readProfile(id);
  return stored && profileSchema.parse(JSON.parse(stored.content));
}
