export {
  type Divider,
  type MovedDivider,
  dividerEvents,
  dividerMoved,
  dividersOf,
} from './dividers.ts';
export { inDrawingOrder } from './drawing-order.ts';
export { comingHalf } from './coming-half.ts';
export { arrange, tilingInForce } from './arrange.ts';
export { type ArrangedWorkspace } from './arranged-workspace.ts';
export { chosenApp } from './commands/choose-app.ts';
export { findLaunches, findWindows, nearness } from './commands/find.ts';
export { zoneBoardChoices, gridHere, gridOf } from './commands/pick.ts';
export { listedWorkspaces } from './commands/workspace.ts';
export { type GapMark, type Measures, type MissedShare, measure } from './measures.ts';
export { type WindowMove, movesBetween } from './moves.ts';
export { type Offer, offerNow } from './offers.ts';
export { openSession } from './open.ts';
export { computePlacements } from './placements.ts';
export { snapArea } from './snap-area.ts';
export { type Placement } from './placement.ts';
export { type SessionEvent, reduce } from './reduce.ts';
export { ruleFromWindow } from './rule-from-window.ts';
export { rulesWhy } from './explain-rules.ts';
export { isPrivate } from './private.ts';
export { eventOfKey, keyContext, outsideReason } from './press.ts';
export { previewedPlacements } from './run-command.ts';
export {
  NOTHING_TO_DO,
  type Reason,
  type CommandContext,
  windowName,
  windowOf,
} from './session.ts';
export { whyHere } from './explain.ts';
