import { AgentProcess, type AgentOptions } from './agent-process.ts';
import { controlPath, openControl } from './control.ts';
import { commandOf } from './launch.ts';
import type { RecordStore } from './record.ts';

export interface HostOptions extends Omit<AgentOptions, 'record' | 'keep'> {
  store: RecordStore;
}

/** A live desk that runs. */
export interface LiveHost {
  agent: AgentProcess;
  /** Ends it in order: the agent shows every window first. */
  end: () => Promise<void>;
}

/**
 * Starts a live desk: adopts what was kept, opens the socket by which it is reached, and starts its agent.
 *
 * @throws ControlTaken where another desk is live
 */
export async function startHost({ store, ...options }: HostOptions): Promise<LiveHost> {
  const kept = store.read();
  let changed: () => void = () => undefined;
  const agent = new AgentProcess({
    ...options,
    record: typeof kept === 'string' ? null : kept,
    keep: (record) => store.write(record),
    onChange: () => {
      changed();
      options.onChange?.();
    },
  });
  if (typeof kept === 'string') agent.desk.find('kept', { kind: 'cannot-keep', text: kept });
  const control = await openControl(controlPath(), agent.desk);
  changed = control.changed;
  agent.start();
  return {
    agent,
    end: async () => {
      await agent.end();
      control.close();
    },
  };
}

/**
 * The program of an agent and its arguments: of one that ships with Sorn by its name, with what is written after it, or
 * of a command line; a sentence where it is neither.
 */
export function agentCommand(
  agent: string,
  shipped: Readonly<Record<string, () => string[]>>,
): string[] | string {
  const command = commandOf(agent);
  const [name = '', ...args] = command ?? [];
  if (Object.hasOwn(shipped, name)) return [...shipped[name]!(), ...args];
  const names = Object.keys(shipped).join(' or ');
  return command ?? `--agent is ${agent}; expected ${names}, or a command line`;
}
