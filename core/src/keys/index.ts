export { assign } from './assign.ts';
export { BOARDS, type BoardKey } from './boards.ts';
export { type ChartMode, chartSvg } from './chart/drawing.ts';
export { chartHtml } from './chart/page.ts';
export { type ChartRow, chartRows } from './chart/rows.ts';
export { chartCsv, chartMarkdown } from './chart/text.ts';
export { boardOf, deviceName, freeInputsOf, inputsOf } from './devices.ts';
export {
  BUNDLED,
  layerRenamed,
  withBundle,
  withDevice,
  withLayer,
  withNewBundle,
  withNewDevice,
  withNewLayer,
  withoutBundle,
  withoutDevice,
  withoutLayer,
} from './edit-layers.ts';
export {
  asOwn,
  beginningFrom,
  bindingText,
  boundAt,
  changedCommands,
  mapChanges,
  setBack,
  withBinding,
  withBindingChanged,
  withMainModifier,
  withMerged,
  withStandIn,
  withoutBinding,
} from './edit.ts';
export { type Effort, KLM, NO_EFFORT, withEffort } from './effort.ts';
export { type KeyFace, keyFaces, modifierSets } from './faces.ts';
export { FIXED_LAYERS } from './fixed.ts';
export { writtenWith } from './written.ts';
export { type Following, following } from './following.ts';
export { type KeyBinding, keyMap } from './map.ts';
export { reachOfKey, reachTable } from './reach.ts';
export { type KeyContext, resolveKey } from './resolve.ts';
export { STARTER_MAPS, movedByLetters } from './starters/starters.ts';
export { isBehindSpace } from './starters/whole.ts';
export { HOME, type KeyInput, type KeyOutput, type KeyState, nextTime, type On } from './state.ts';
export { type SuggestFor, type Suggestion, suggest, withSuggestion } from './suggest.ts';
export { keyTable } from './table.ts';
export { takenLists, withTakenList } from './taken.ts';
