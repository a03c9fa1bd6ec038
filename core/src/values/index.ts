export { CODES, buttonOf, isCode, keyName, type Legends } from './codes.ts';
export { type Axis, DIRECTIONS, type Direction, axisOf, isForward } from './direction.ts';
export { type Fault, type Read, faultText, pathText, read } from './faults.ts';
export { fields, flagField, textField, textOf, whole } from './fields.ts';
export {
  LAYOUT_KINDS,
  type Layout,
  type LayoutField,
  type LayoutKind,
  parametersOf,
} from './layout.ts';
export { MODIFIERS, type Modifier, inOrder, isModifierCode, modifierOf } from './modifiers.ts';
export { countText } from './count-text.ts';
export { hasPattern } from './pattern.ts';
export {
  type LengthScale,
  type QuantityReading,
  percentsText,
  readLength,
  readMillimetres,
  readShare,
  readWeight,
  readWeights,
  shareText,
} from './quantity.ts';
export { snapTargetText, snapText } from './snap-text.ts';
export {
  type Along,
  type Fraction,
  MOST_DIGITS,
  MOST_LETTERS,
  type SnapSettings,
  snapSettingsSchema,
  rungsField,
  rungsIn,
} from './snap.ts';
export {
  type Captions,
  MOST_STEPS,
  THEN,
  keysCaps,
  pressesIn,
  readTrigger,
  triggerOf,
} from './trigger.ts';
export { HELD, KINDS, MODES, type Mode, NEW_WINDOWS, type Shaping } from './window.ts';
export {
  type WorkspaceName,
  isWorkspaceLetter,
  workspaceIdFault,
  workspaceIdOf,
  workspaceNameOf,
} from './workspace-letter.ts';
export type { Parameter, ParameterKind } from './layout-parameters.ts';
export { html } from './markup.ts';
export { nearestName } from './nearest-name.ts';
