export { type Account, Desktop, TWO_MONITORS } from './desktop.ts';
export { type Control, control, seeded } from './control.ts';
export { FAULTS, type FaultName } from './faults.ts';
export { runAgent } from './agent.ts';
export { serveDesktop } from './serve.ts';
export { standInCommand } from './shipped.ts';
