export { decide } from './decide.ts';
export {
  EMPTY_RULE,
  ruleDuplicated,
  ruleMoved,
  ruleOfAppInZone,
  withAppInZone,
  withNewRule,
  withRule,
  withSetting,
  withoutRule,
} from './edit.ts';
export { type WindowFacts } from './facts.ts';
export { knownWindows } from './known-windows.ts';
export {
  CORNER_WORDS,
  HELD_WORDS,
  type Words,
  settingWords,
  settingsWords,
  textOf,
  whenWords,
  withMonitorNames,
} from './rule-words.ts';
export { ruleSentence } from './sentence.ts';
