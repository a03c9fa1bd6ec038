import type { AgentMessage, FromAgent, HostMessage } from '@sorn/link';
import type { Request } from './serve.ts';

/** Something an agent does wrong on purpose. Memory is kept as long as the agent runs. */
export interface Fault {
  /** What it says in the place of a message; text is written as it is. */
  say?: (message: AgentMessage, memory: Memory) => readonly (AgentMessage | object | string)[];
  /** What it takes in the place of what the host said. */
  hear?: (message: HostMessage, memory: Memory) => readonly HostMessage[];
  /** What it asks of the desktop in the place of a request. */
  request?: (request: Request, memory: Memory) => readonly Request[];
  leavesHidden?: true;
  staysAfterBye?: true;
  diesOfNonsense?: true;
  answersProblems?: true;
  waitsForEver?: true;
}
interface Memory {
  [name: string]: unknown;
}

/** Changes messages of one type; the others are said as they are. */
function inMessages<T extends AgentMessage['type']>(
  type: T,
  change: (message: FromAgent<T>, memory: Memory) => readonly (object | string)[],
): Fault {
  return {
    say: (message, memory) =>
      message.type === type ? change(message as FromAgent<T>, memory) : [message],
  };
}
const without = (message: object, field: string) =>
  Object.fromEntries(Object.entries(message).filter(([name]) => name !== field));
const silent = (type: AgentMessage['type']): Fault => inMessages(type, () => []);
/** Says nothing of windows that open once the host was told that all are there. */
const afterReady = (
  change: (message: FromAgent<'opened'>, memory: Memory) => readonly object[],
): Fault => ({
  say(message, memory) {
    if (message.type === 'ready') memory['isReady'] = true;
    return message.type === 'opened' && memory['isReady'] ? change(message, memory) : [message];
  },
});
const deafTo = (type: HostMessage['type']): Fault => ({
  hear: (message) => (message.type === type ? [] : [message]),
});
const refuses = (ask: Request['ask']): Fault => ({
  request: (request) => (request.ask === ask ? [] : [request]),
});

/** By the name of the check that finds it. */
export const FAULTS = {
  'says hello first': {
    say(message, memory) {
      if (message.type === 'hello') {
        memory['hello'] = message;
        return [{ type: 'monitors', monitors: [] }, message];
      }
      return [message];
    },
  },
  'speaks protocol 1': inMessages('hello', (hello) => [{ ...hello, protocol: 2 }]),
  'says what it can': inMessages('hello', (hello) => [{ ...hello, can: [] }]),
  'tells the monitors': silent('monitors'),
  'calls each monitor by a name of its own': inMessages('monitors', (message) => [
    {
      ...message,
      monitors: message.monitors.map((monitor) => ({ ...monitor, name: 'DP-1' })),
    },
  ]),
  'has one primary monitor': inMessages('monitors', (message) => [
    { ...message, monitors: message.monitors.map((each) => ({ ...each, primary: false })) },
  ]),
  'tells the windows that were there': {
    say(message, memory) {
      if (message.type === 'ready') memory['isReady'] = true;
      return message.type === 'opened' && !memory['isReady'] ? [] : [message];
    },
  },
  'says when all were told': silent('ready'),
  'sends messages that can be read': inMessages('placed', (placed) => [
    { ...placed, rect: { ...placed.rect, width: null } },
  ]),
  'sends lines of JSON': inMessages('placed', (placed) => [JSON.stringify(placed).slice(0, -1)]),
  'tells a window that opens': afterReady(() => []),
  'tells its app': afterReady((opened) => [without(opened, 'app')]),
  'tells its title': afterReady((opened) => [without(opened, 'title')]),
  'tells its kind': afterReady((opened) => [without(opened, 'kind')]),
  'tells its parent': afterReady((opened) => [without(opened, 'parent')]),
  'tells its hints': afterReady((opened) => [without(opened, 'hints')]),
  'tells what cannot be resized': afterReady((opened) => [{ ...opened, resizable: true }]),
  'tells a window once': afterReady((opened) => [opened, opened]),
  'gives no window the id of another': {
    // The window that opens last goes by the id of one that closed.
    say(message, memory) {
      const gone = memory['gone'] as string | undefined;
      if (message.type === 'closed') memory['gone'] = message.window;
      if (message.type === 'opened' && gone !== undefined) return [{ ...message, window: gone }];
      return [message];
    },
  },
  'tells a new title': silent('changed'),
  'tells a window that closes': silent('closed'),
  'tells no window closed that is open': inMessages('opened', (opened, memory) => {
    memory['count'] = ((memory['count'] as number | undefined) ?? 0) + 1;
    return memory['count'] === 3 ? [opened, { type: 'closed', window: 'nobody' }] : [opened];
  }),
  'tells what a window asks for': silent('asked'),
  'tells which window a pointer chose': silent('focused'),
  'answers a round': silent('placed'),
  'answers with the number of the round': inMessages('placed', (placed) => [
    { ...placed, round: placed.round + 1 },
  ]),
  'answers for every window of a round': inMessages('placed', (placed, memory) => {
    memory['one'] = !memory['one'];
    return memory['one'] ? [placed] : [];
  }),
  'puts windows where they are told': {
    request: (request) =>
      request.ask === 'configure'
        ? [{ ...request, rect: { ...request.rect, x: request.rect.x + 7 } }]
        : [request],
    say: (message) =>
      message.type === 'placed'
        ? [{ ...message, rect: { ...message.rect, x: message.rect.x - 7 } }]
        : [message],
  },
  'tells what a window took': {
    hear(message, memory) {
      if (message.type === 'arrange')
        for (const { window, rect } of message.windows) memory[window] = rect;
      return [message];
    },
    say: (message, memory) =>
      message.type === 'placed' ? [{ ...message, rect: memory[message.window] }] : [message],
  },
  'hides windows': {
    request: (request) => (request.ask === 'show' ? [{ ...request, shown: true }] : [request]),
  },
  'shows them again': {
    request: (request) => (request.ask === 'show' && request.shown ? [] : [request]),
  },
  'puts them in order': refuses('restack'),
  'gives the focus': refuses('focus'),
  'takes a round in parts': {
    hear: (message) => (message.type === 'arrange' && (message.part?.at ?? 1) > 1 ? [] : [message]),
  },
  'tells a key that is listened for': silent('key'),
  'tells that it was let go': inMessages('key', (key) => (key.down ? [key] : [])),
  'tells the modifiers': inMessages('key', (key) => [{ ...key, modifiers: [] }]),
  'counts keys upwards': inMessages('key', (key) => [{ ...key, n: 1 }]),
  'has a clock that goes forward': inMessages('key', (key) => [
    { ...key, at: Math.max(0, 1e9 - key.at) },
  ]),
  'leaves other keys alone': {
    request: (request) => (request.ask === 'listen' ? [{ ...request, whole: true }] : [request]),
  },
  'takes a key that is taken': {
    request: (request) => (request.ask === 'answer' ? [{ ...request, taken: false }] : [request]),
  },
  'gives back a key that is not': {
    request: (request) => (request.ask === 'answer' ? [{ ...request, taken: true }] : [request]),
  },
  // It answers no more once two keys are down.
  'goes on after keys that overlap': {
    say(message, memory) {
      if (message.type === 'key') {
        const down = ((memory['down'] as number | undefined) ?? 0) + (message.down ? 1 : -1);
        memory['down'] = down;
        memory['isStuck'] ||= down > 1;
      }
      return [message];
    },
    request: (request, memory) => (request.ask === 'answer' && memory['isStuck'] ? [] : [request]),
  },
  'tells every key while it listens to all': {
    request: (request) => (request.ask === 'listen' ? [{ ...request, whole: false }] : [request]),
  },
  'stops listening when told': {
    request: (request) =>
      request.ask === 'listen' && request.triggers.length === 0 ? [] : [request],
  },
  'tells a button that is listened for': silent('button'),
  'tells that the keyboard was taken away': silent('keys-lost'),
  'tells that a monitor went': inMessages('monitors', (message, memory) => {
    const isFirst = memory['told'] !== true;
    memory['told'] = true;
    return isFirst ? [message] : [];
  }),
  'passes requests on': silent('requested'),
  'closes a window when told': deafTo('close'),
  'launches an app when told': deafTo('launch'),
  'answers a ping': silent('pong'),
  'answers what it does not know': silent('problem'),
  'never answers a problem': { answersProblems: true },
  'survives a broken line': { diesOfNonsense: true },
  'shows every window in the end': { leavesHidden: true },
  'ends when told': { staysAfterBye: true },
  'survives a window that is gone': {
    say(message, memory) {
      if (message.type === 'closed') memory[message.window] = 'closed';
      return [message];
    },
    hear: (message, memory) =>
      message.type === 'arrange' &&
      message.windows.some(({ window }) => memory[window] === 'closed')
        ? []
        : [message],
  },
  'listens for exactly these modifiers': {
    request: (request) =>
      request.ask === 'listen'
        ? [
            {
              ...request,
              triggers: (request.triggers as { modifiers: string[] }[]).flatMap((trigger) => [
                trigger,
                { ...trigger, modifiers: [...trigger.modifiers, 'Shift'] },
              ]),
            },
          ]
        : [request],
  },
  'gives back a key that nobody answers': { waitsForEver: true },
  'makes pictures when asked': inMessages('picture', (picture) => [{ ...picture, png: 'R0lG' }]),
  'stops making pictures': {
    request: (request) => (request.ask === 'pictures' && !request.on ? [] : [request]),
  },
  // It looks at keys only after the window had them.
  'keeps keys in order': refuses('listen'),
  'has the same ids when it comes again': {
    say(message, memory) {
      memory['salt'] ??= String(process.pid);
      if (!('window' in message) || typeof message.window !== 'string') return [message];
      return [{ ...message, window: `${message.window}-${String(memory['salt'])}` }];
    },
    hear(message, memory) {
      memory['salt'] ??= String(process.pid);
      return [
        JSON.parse(
          JSON.stringify(message).replaceAll(`-${String(memory['salt'])}`, ''),
        ) as HostMessage,
      ];
    },
  },
} satisfies Record<string, Fault>;
export type FaultName = keyof typeof FAULTS;
