export { ControlTaken, controlPath, reach } from './control.ts';
export { AgentProcess } from './agent-process.ts';
export { agentCommand, type HostOptions, type LiveHost, startHost } from './live-host.ts';
export { commandOf } from './launch.ts';
export { type LiveEntry } from './live-desk.ts';
export { recordFile } from './record.ts';
