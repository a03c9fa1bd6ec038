export { type Answers, allStartedOver, beginProfile, startedOver } from './begin.ts';
export { STARTER_ZONE_BOARDS } from './zone-boards.ts';
export { ARRANGEMENT_CHOICES, HAND_CHOICES, MONITOR_CHOICES } from './choices.ts';
export { beginningDrawing, handKeys } from './drawings.ts';
export { withStarterRules } from './rules.ts';
