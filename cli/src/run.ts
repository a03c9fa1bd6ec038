import {
  AgentProcess,
  ControlTaken,
  controlPath,
  openControl,
  recordFile,
  type LiveEntry,
} from '@sorn/host';
import { profileSchema } from '@sorn/core/model';
import { watch } from 'chokidar';
import { agentCommand } from './agent-command.ts';
import { BadInput, readInput } from './input.ts';

export interface RunOptions {
  agent: string;
  keep?: string;
  allowLaunch?: boolean;
  text?: boolean;
}

/** A file that was changed is read when it was left alone for so long: editors write in several steps. */
const SETTLED_MS = 60;

/**
 * Arranges a desktop by a profile file until it is ended. The file is watched, one way: what is valid applies, what is
 * not is told and changes nothing.
 *
 * @param print what happens, where that is asked for
 * @throws BadInput where the file cannot be used, or another desk is live already
 */
export async function runDesk(
  file: string,
  options: RunOptions,
  print: (text: string) => void,
): Promise<void> {
  const profile = readInput(file, profileSchema);
  const command = agentCommand(options.agent);
  const store = recordFile(options.keep ?? `${file}.live`);
  const kept = store.read();
  const say = (text: string) => print(`${text}\n`);
  let over: (because: string | null) => void = () => undefined;
  const ended = new Promise<string | null>((resolve) => (over = resolve));
  let changed: () => void = () => undefined;
  const agent = new AgentProcess({
    command,
    profile,
    record: typeof kept === 'string' ? null : kept,
    allowLaunch: options.allowLaunch ?? false,
    keep: (record) => store.write(record),
    onLog: (line) => process.stderr.write(`agent: ${line}\n`),
    onChange: () => changed(),
    onEntry: (entry) => options.text && say(entryText(entry, agent.desk.roundNow)),
    onEdit: () =>
      options.text && say('the profile is another one in this run; the file is as it was'),
    onOver: over,
  });
  if (typeof kept === 'string') agent.desk.find('kept', { kind: 'cannot-keep', text: kept });
  const control = await openControl(controlPath(), agent.desk).catch((error: unknown) => {
    if (error instanceof ControlTaken) throw new BadInput([error.message]);
    throw error;
  });
  changed = control.changed;
  const watcher = watch(file, { ignoreInitial: true });
  let settling: NodeJS.Timeout | undefined;
  watcher.on('all', () => {
    clearTimeout(settling);
    settling = setTimeout(() => reread(file, agent), SETTLED_MS);
  });
  const stop = () => over(null);
  process.on('SIGTERM', stop);
  process.on('SIGINT', stop);
  agent.start();
  const because = await ended;
  clearTimeout(settling);
  await watcher.close();
  await agent.end();
  control.close();
  if (because !== null) throw new BadInput([because]);
}

/** Takes an edited file over, or says what is wrong with it. A file that is gone changes nothing. */
function reread(file: string, { desk }: AgentProcess): void {
  try {
    const next = readInput(file, profileSchema);
    desk.setProfile(next);
  } catch (error) {
    if (!(error instanceof BadInput)) throw error;
    desk.refuse(error.lines[0] ?? 'it cannot be read');
  }
}

function entryText({ what, reasons }: LiveEntry, round: number): string {
  const lines = reasons
    .filter(({ minor }) => !minor)
    .map(({ about, decided, because }) => `  ${about ? `${about}: ` : ''}${decided}, ${because}`);
  return [`round ${round}: ${what}`, ...lines].join('\n');
}
