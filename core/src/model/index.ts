export { type App, type AppWindow, type Start, appSchema } from './app.ts';
export { matchText, readMatch } from './app-match.ts';
export { startChanged, startMoved, withApp, withApps, withStart, withoutApp } from './apps-edit.ts';
export { type Chain, commandsOfChain, isChainable, loopOf, MOST_IN_CHAIN } from './chain.ts';
export { type Machine, type MachineMonitor } from './machine.ts';
export { type Menu } from './menu.ts';
export {
  asWritten,
  countOtherwise,
  machineMonitorOf,
  machineOf,
  type MachineField,
  profileOn,
  withoutMachine,
  withoutMachineField,
  withoutMachineMain,
} from './on-machine.ts';
export { type ZoneBoard, type ZoneBoardShape } from './zone-board.ts';
export {
  AT_ONCE,
  BASE,
  KEYBOARD_FORMS,
  type KeyboardForm,
  type ModifierAlias,
  type InputDevice,
  LASTS,
  type Lasts,
  MARKS,
  type Mark,
  type OwnBinding,
  STAND_IN_KEYS,
  KEY_STARTERS,
  type Shortcut,
  type KeyStarterId,
  type ShortcutList,
} from './keys.ts';
export {
  type Interaction,
  type InteractionOf,
  type Picking,
  interactionOf,
  isWhilePressed,
  pickingOf,
} from './interaction.ts';
export { without } from './object-fields.ts';
export {
  type Desk,
  type DeskEntry,
  EMPTY_WORKSPACES,
  MISSING_WORKSPACES,
  HUES,
  type Monitor,
  PAST_LAST_MONITOR,
  type Profile,
  TOO_SMALL,
  type TooSmall,
  WORKSPACES_ARE,
  profileSchema,
} from './profile.ts';
export {
  type Again,
  CORNERS,
  type Condition,
  FACTS,
  type Fact,
  GROUPS,
  type Group,
  type Rule,
  type RuleSettings,
  type Setting,
  TEXT_TESTS,
  type When,
  conditionSchema,
  whenSchema,
  ruleSchema,
} from './rule.ts';
export {
  type Session,
  type SessionInput,
  type SessionWindow,
  type WindowInput,
  sessionSchema,
} from './session.ts';
export { type SessionDifference, sessionDifference, withDifference } from './session-difference.ts';
export { type Use, type UsedBy, usesByCommand, withDayCounted } from './uses.ts';
export { type Expectation, type WhichWindow } from './expectation.ts';
export { type Trial, trialSchema, type TrialStep } from './trial.ts';
