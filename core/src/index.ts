/**
 * The engine for whoever embeds it. Sorn's own programs import the layers, `@sorn/core/engine` and so on; what
 * each of them computes stands in docs/architecture.md.
 *
 * A profile says what is wanted, a session what is there. `openSession` makes a session of a profile and windows,
 * `reduce` what a step makes of it, and `computePlacements` where every window is then.
 */
export { profileSchema, type Profile } from './model/profile.ts';
export { sessionSchema, type Session } from './model/session.ts';
export { deskInForce, type DeskInForce } from './desk/desk.ts';
export { workArea } from './desk/work-area.ts';
export { arrange } from './engine/arrange.ts';
export { openSession } from './engine/open.ts';
export { reduce } from './engine/reduce.ts';
export { computePlacements } from './engine/placements.ts';
export * from './keys/resolve.ts';
