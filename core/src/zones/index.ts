export { withBlockAsZone } from './block-zone.ts';
export { zoneBoardMeant } from './division.ts';
export {
  type DrawnZoneBoard,
  type TrackLine,
  cellAt,
  cellsBetween,
  drawZoneBoard,
  lineBeside,
  zoneOver,
} from './drawing.ts';
export {
  withZoneBoardLast,
  withZoneBoardMoved,
  freeZoneName,
  withZoneBoard,
  withZoneBoardAdded,
  withLineMoved,
  withNewZone,
  withTrackAfter,
  withTrackWeight,
  withZoneRenamed,
  withoutZoneBoard,
  withoutTrack,
  withoutZone,
  zoneMoved,
  zoneRenamed,
  zoneReordered,
  zoneSplit,
  zoneStretched,
  zonesMerged,
} from './edit.ts';
export { type ZoneBoardFit, zoneBoardFits } from './fit.ts';
export { zoneTowards } from './neighbour-zone.ts';
