export { zoneBoardName, rangeOf, rangeRect, zoneRects } from './zone-board.ts';
export { type Abilities, definitionOfLayout, LAYOUTS, sampleTiles } from './layouts.ts';
export {
  REACHES,
  type Reach,
  landing,
  scopeOf,
  withGap,
  withLayoutField,
  withLayoutKind,
  withPlain,
  withoutSetting,
} from './settings-edit.ts';
export {
  type GapField,
  type Gaps,
  type Origin,
  type PlainField,
  type PlainSettings,
  type SettingField,
  type TilingInForce,
  layoutKindOn,
} from './settings.ts';
export { flatten, minimumsCanBeMet, rectsFor, solveInto } from './solve.ts';
export { type Split, type Tree, split } from './tree.ts';
