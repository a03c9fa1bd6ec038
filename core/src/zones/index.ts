export { withBlockAsZone } from './block-zone.ts';
export { boardMeant } from './divided.ts';
export {
  type DrawnBoard,
  type TrackLine,
  cellAt,
  cellsBetween,
  drawnBoard,
  lineBeside,
  zoneOver,
} from './drawn.ts';
export {
  boardReordered,
  freeZoneName,
  withBoard,
  withBoardAdded,
  withLineMoved,
  withNewZone,
  withTrackAfter,
  withTrackWeight,
  withZoneRenamed,
  withoutBoard,
  withoutTrack,
  withoutZone,
  zoneMoved,
  zoneRenamed,
  zoneReordered,
  zoneSplit,
  zoneStretched,
  zonesMerged,
} from './edit.ts';
export { type BoardFit, boardFits } from './fitting.ts';
export { zoneTowards } from './towards.ts';
