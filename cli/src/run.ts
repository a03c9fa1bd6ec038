import { hostname } from 'node:os';
import { ControlTaken, recordFile, startHost, type LiveEntry, type LiveHost } from '@sorn/host';
import { watch } from 'chokidar';
import { agentProgram } from './agent-command.ts';
import { BadInput, readProfileInput } from './input.ts';

export interface RunOptions {
  agent: string;
  keep?: string;
  allowLaunch?: boolean;
  machine?: string;
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
  const say = (text: string) => options.text && print(`${text}\n`);
  let over: (because: string | null) => void = () => undefined;
  const ended = new Promise<string | null>((resolve) => (over = resolve));
  let round: () => number = () => 0;
  const { profile, paths } = readProfileInput(file);
  const host = await startHost({
    command: agentProgram(options.agent),
    profile,
    machine: options.machine ?? hostname(),
    store: recordFile(options.keep ?? `${file}.live`),
    allowLaunch: options.allowLaunch ?? false,
    onLog: (line) => process.stderr.write(`agent: ${line}\n`),
    onEntry: (entry) => say(entryText(entry, round())),
    onEdit: () => say('the profile is another one in this run; the file is as it was'),
    onOver: over,
  }).catch((error: unknown) => {
    if (error instanceof ControlTaken) throw new BadInput([error.message]);
    throw error;
  });
  round = () => host.agent.desk.roundNow;
  const watcher = watch([...paths], { ignoreInitial: true });
  let settling: NodeJS.Timeout | undefined;
  watcher.on('all', () => {
    clearTimeout(settling);
    settling = setTimeout(() => watcher.add([...reread(file, host)]), SETTLED_MS);
  });
  const stop = () => over(null);
  process.on('SIGTERM', stop);
  process.on('SIGINT', stop);
  const because = await ended;
  clearTimeout(settling);
  await watcher.close();
  await host.end();
  if (because !== null) throw new BadInput([because]);
}

/** Takes an edited file over, or says what is wrong with it. A file that is gone changes nothing. Answers with its files. */
function reread(file: string, { agent: { desk } }: LiveHost): readonly string[] {
  try {
    const { profile, paths } = readProfileInput(file);
    desk.setProfile(profile);
    return paths;
  } catch (error) {
    if (!(error instanceof BadInput)) throw error;
    desk.refuse(error.lines[0] ?? 'it cannot be read');
    return [];
  }
}

function entryText({ what, reasons }: LiveEntry, round: number): string {
  const lines = reasons
    .filter(({ minor }) => !minor)
    .map(({ about, decided, because }) => `  ${about ? `${about}: ` : ''}${decided}, ${because}`);
  return [`round ${round}: ${what}`, ...lines].join('\n');
}
