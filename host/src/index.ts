export { AgentProcess, type AgentOptions, EXIT_BUSY } from './agent-process.ts';
export { type Clock, REAL_CLOCK } from './clock.ts';
export {
  type Control,
  ControlTaken,
  controlPath,
  openControl,
  reach,
  readCommand,
} from './control.ts';
export { commandOf } from './launch.ts';
export {
  LiveDesk,
  type LiveEntry,
  type LiveFinding,
  type LiveOptions,
  type LiveStatus,
} from './live-desk.ts';
export { type LiveRecord, type RecordStore, recordFile } from './record.ts';
