// The HTTP contract: what can be asked of the server, and what it answers. Server, page and tests have it from here.
export * from './backups.ts';
export {
  LIVE,
  liveNewsSchema,
  livePictureSchema,
  liveRequestSchema,
  type LiveAbout,
  type LiveLatency,
  type LiveLine,
  type LiveNews,
  type LivePicture,
  type LiveRequest,
} from './live.ts';
export {
  FILES,
  profileFileStateSchema,
  type ProfileFileList,
  type ProfileFileState,
} from './profile-files.ts';
export { MACHINE, sharedStateSchema, type SharedState } from './machine.ts';
export { problemSchema, type Problem } from './problem.ts';
export {
  changeEventSchema,
  PROFILES,
  type ChangeEvent,
  type ProfileSummary,
  type Revision,
  type RevisionList,
  type Saved,
  type StoredProfile,
  type StoredSession,
} from './profiles.ts';
export { isPathOf, pathOf, type Answer, type Parameters, type Route } from './route.ts';
