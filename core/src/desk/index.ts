export { type DeskInForce, deskInForce, monitorOf, workspacesOn } from './desk.ts';
export { type Edid, readEdid, suggestedScale } from './edid.ts';
export {
  freeId,
  turnedBy90,
  withDesk,
  withDeskWritten,
  withEntry,
  withMonitorOnDesk,
  withNewDesk,
  withoutDesk,
  withoutMonitorOnDesk,
} from './edit.ts';
export { type HomedWorkspace } from './homes.ts';
export { matchMonitor, withMonitorKnownAs } from './match.ts';
export {
  type Crossing,
  type ReservedMeasure,
  type PositionMeasure,
  besideMonitor,
  crossings,
  reservedMeasures,
  positionMeasures,
} from './measures.ts';
export { type DeskMonitor, monitorName } from './monitors.ts';
export { ROLES, fitsPattern, fromTheLeft, monitorText, roleText } from './roles.ts';
export {
  inchesText,
  lengthScaleOf,
  millimetresOf,
  screenSizeText,
  turnedMillimetres,
} from './screen-size.ts';
export {
  ANCHORS,
  besideOf,
  type Anchor,
  droppedAt,
  linedUp,
  offsetMm,
  sideAxis,
  steppedTo,
} from './monitor-positions.ts';
export {
  withNewWorkspace,
  withWorkspaceHome,
  withWorkspaceId,
  withWorkspaceName,
  withoutWorkspace,
  workspaceMoved,
} from './workspaces.ts';
export { workArea } from './work-area.ts';
