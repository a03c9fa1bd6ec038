export { type Answers, allStartedOver, beginProfile, startedOver } from './begin.ts';
export { APP_CHOICES, USUAL_APPS, type AppChoice } from './apps.ts';
export { STARTER_ZONE_BOARDS } from './zone-boards.ts';
export {
  ARRANGEMENT_CHOICES,
  HAND_CHOICES,
  MONITOR_CHOICES,
  firstMonitors,
  type Screens,
} from './choices.ts';
export { beginningDrawing, handKeys } from './drawings.ts';
export { withStarterRules } from './rules.ts';
export {
  COMMON_SCREENS,
  USUAL_SCREENS,
  otherScreen,
  type CommonScreen,
  type ScreenForm,
} from './screens.ts';
