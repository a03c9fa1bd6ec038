export * from './geometry/direction.ts';
export * from './geometry/length.ts';
export * from './geometry/rect.ts';
export * from './geometry/round.ts';
export * from './tree/tree.ts';
export * from './tree/solve.ts';
export * from './tree/boundary.ts';
export * from './layouts/index.ts';
export * from './profile/faults.ts';
export { fields, textOf as textFieldOf, whole as wholeNumber } from './profile/fields.ts';
export * from './profile/board.ts';
export * from './profile/layout.ts';
export * from './profile/nearest.ts';
export { globSource, hasPattern, patternFault } from './profile/pattern.ts';
export * from './profile/placing.ts';
export * from './profile/rule.ts';
export * from './profile/schema.ts';
export { blockOf, gridText, type Block } from './placing/block.ts';
export { without } from './session/picked.ts';
export { alongLongerText, placeAtText } from './placing/place-at.ts';
export { letterOf, numberLabels } from './placing/labels.ts';
export { alongText, placedRect, placingText } from './placing/along.ts';
export * from './profile/settings.ts';
export * from './profile/edit.ts';
export { CODES, isCode, keyName, buttonOf } from './keys/codes.ts';
export * from './keys/modifiers.ts';
export * from './keys/trigger.ts';
export * from './keys/map.ts';
export * from './keys/fixed.ts';
export * from './keys/edit.ts';
export * from './keys/edit-layers.ts';
export * from './keys/table.ts';
export * from './keys/resolve.ts';
export * from './keys/state.ts';
export * from './keys/following.ts';
export * from './keys/boards.ts';
export * from './keys/devices.ts';
export * from './keys/taken.ts';
export * from './keys/check.ts';
export * from './keys/findings.ts';
export * from './keys/mend.ts';
export * from './keys/free.ts';
export * from './keys/reach.ts';
export * from './keys/assign.ts';
export * from './keys/tasks.ts';
export * from './keys/suggest.ts';
export * from './keys/chart/rows.ts';
export * from './keys/faces.ts';
export * from './keys/chart/drawing.ts';
export { chartCsv, chartMarkdown } from './keys/chart/text.ts';
export { chartHtml } from './keys/chart/page.ts';
export type { Wish } from './keys/wishes.ts';
export type { LeftOut, Substitute } from './keys/choose.ts';
export { placeOf } from './keys/place-of.ts';
export { startersDocument } from './keys/starters/document.ts';
export * from './keys/starters/index.ts';
export * from './keys/effort.ts';
export * from './desk/desk.ts';
export * from './desk/neighbours.ts';
export * from './desk/check.ts';
export * from './desk/edid.ts';
export * from './desk/edit.ts';
export * from './desk/standing-monitors.ts';
export * from './desk/work-area.ts';
export * from './desk/homes.ts';
export * from './desk/match.ts';
export * from './desk/measures.ts';
export * from './desk/placed.ts';
export * from './desk/roles.ts';
export * from './apps/desktop-entry.ts';
export * from './apps/edit.ts';
export type { LineFault } from './apps/made.ts';
export * from './apps/windows-csv.ts';
export * from './rules/check.ts';
export * from './rules/decide.ts';
export * from './rules/edit.ts';
export * from './rules/facts.ts';
export * from './rules/known.ts';
export * from './rules/landing.ts';
export * from './rules/say.ts';
export * from './rules/sentence.ts';
export * from './rules/starters.ts';
export * from './rules/trace.ts';
export * from './zones/block-zone.ts';
export * from './zones/board.ts';
export { boardMeant } from './zones/divided.ts';
export * from './zones/drawn.ts';
export * from './zones/edit.ts';
export * from './zones/fitting.ts';
export { STARTER_BOARDS } from './zones/starters.ts';
export { zoneTowards } from './zones/towards.ts';
export * from './session/arrange.ts';
export * from './session/commands/index.ts';
export { offerNow, type EmptyPlace, type Offer } from './session/offers.ts';
export { placingArea } from './session/placed.ts';
export { findLaunches, findWindows, nearness } from './session/commands/find.ts';
export { listedWorkspaces } from './session/commands/workspace.ts';
export { checkup } from './session/checkup.ts';
export * from './session/connect.ts';
export * from './session/findings.ts';
export * from './session/measures.ts';
export { movesBetween, type WindowMove } from './session/moves.ts';
export * from './session/open.ts';
export * from './session/place.ts';
export * from './session/reduce.ts';
export * from './session/script.ts';
export * from './session/rules-why.ts';
export * from './session/uses.ts';
export * from './session/why.ts';
export {
  sessionSchema,
  windowSchema,
  type Arrangement,
  type Picking,
  type SessionInput,
  type WindowInput,
} from './session/schema.ts';
export {
  arrangementOf,
  isShown,
  isTiled,
  windowName,
  windowOf,
  type Reason,
  type Session,
  type SessionWindow,
  type Situation,
} from './session/session.ts';
export * from './sweep/best-share.ts';
export * from './sweep/lever.ts';
export * from './sweep/sweep.ts';
export * from './files/bytes.ts';
export * from './files/format.ts';
export * from './files/own-text.ts';
export * from './files/parse.ts';
export * from './files/write.ts';
export * from './files/compact.ts';
export * from './files/complete.ts';
export { isSame } from './files/differences.ts';
export * from './files/drawings.ts';
export * from './files/import.ts';
export * from './files/keep-comments.ts';
export * from './files/keys-csv.ts';
export { clashId, type Clash, type Decisions, type Merged } from './files/merge.ts';
export { mergeProfiles } from './files/merge-profiles.ts';
export * from './files/pieces.ts';
export { pathAt, spanOf, stepsOf, type Span as TextSpan } from './files/positions.ts';
export * from './files/published.ts';
export * from './files/read-text.ts';
export * from './files/rules-csv.ts';
export * from './files/schema-json.ts';
export * from './files/text-faults.ts';
export * from './files/thinning.ts';
export * from './files/words.ts';
export * from './beginning/begin.ts';
export * from './beginning/choices.ts';
export * from './beginning/drawings.ts';
