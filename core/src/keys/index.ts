export { assign } from './suggest/assignment.ts';
export { KEYBOARDS, type KeyboardKey } from './keyboards.ts';
export { type ChartMode, chartSvg } from './chart/drawing.ts';
export { chartHtml, type PrintedChart } from './chart/page.ts';
export { PAPER_NAMES, roomOf } from './chart/paper.ts';
export { type ChartRow, chartRows } from './chart/rows.ts';
export { chartCsv, chartMarkdown } from './chart/text.ts';
export {
  type DeviceLine,
  deviceCsv,
  deviceHtml,
  deviceMarkdown,
  deviceTable,
} from './device-table.ts';
export {
  bestHoldTime,
  HOLD_TIMES,
  holdErrors,
  type HoldErrors,
  type TimedPress,
  timedPresses,
} from './hold-times.ts';
export { keyboardOf, deviceName, freeInputsOf, hasFewInputs, inputsOf } from './devices.ts';
export {
  commandOfList,
  type CommandLists,
  endsIn,
  letterFor,
  withListChanged,
  withListNamed,
  withNewChain,
  withNewMenu,
  withoutList,
} from './edit-chains.ts';
export {
  ALIASABLE_KEYS,
  layerRenamed,
  withModifierAlias,
  withDevice,
  withLayer,
  withNewModifierAlias,
  withNewDevice,
  withNewLayer,
  withoutModifierAlias,
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
export { byKeys, type Done, type Effort, NO_EFFORT, withEffort, withPresses } from './effort.ts';
export { type KeyFace, formerFaces, keyFaces, modifierSets } from './faces.ts';
export { FIXED_LAYERS } from './fixed-layers.ts';
export { type ListenedPress, listenedPresses, listensToAll } from './listen.ts';
export { keysWithMain } from './main-modifier.ts';
export { type NextKeys, nextKeys } from './next-keys.ts';
export { type KeyBinding, keyMap } from './map.ts';
export { NOTHING_RECORDED, recordInput, type RecordInput, type RecordState } from './record.ts';
export { reachOfKey, reachTable } from './reach.ts';
export { type KeyContext, resolveKey } from './resolve.ts';
export { STARTER_MAPS, movedByLetters } from './starters/starters.ts';
export { isBehindSpace } from './starters/whole-map.ts';
export { IDLE, type KeyInput, type KeyOutput, type KeyState, nextTime, type On } from './state.ts';
export {
  type ChangesFor,
  type ChangesFound,
  type ChangesProgress,
  type KeyChange,
  type KeyChanges,
  type KeyMove,
  LETTERS,
  type LettersMatter,
  MOST_KEYS,
  searchChanges,
  withChanges,
} from './suggest/changes.ts';
export { type UsesADay } from './suggest/movable.ts';
export { type SuggestFor, type Suggestion, suggest, withSuggestion } from './suggest/suggest.ts';
export { keyTable } from './table.ts';
export { readTypedKeys } from './typed-keys.ts';
export { shortcutLists, withShortcutList } from './shortcut-lists.ts';
