import { applyRules } from '../rule-repeat.ts';
import { redo, undo } from '../history.ts';
import type { Applies } from './applies.ts';
import { deskApplies } from './desks.ts';
import { desktopApplies } from './desktop.ts';
import { findApplies } from './find.ts';
import { focusApplies } from './focus.ts';
import { freelyApplies } from './nudge.ts';
import { growApplies } from './grow.ts';
import { insideApplies } from './bring-inside.ts';
import { layoutApplies } from './layout.ts';
import { liftApplies } from './lift.ts';
import { lineupApplies } from './lineups.ts';
import { monitorApplies } from './monitors.ts';
import { moveApplies } from './move.ts';
import { offerApplies } from './offer.ts';
import { pauseApplies } from './pause.ts';
import { pickApplies } from './pick.ts';
import { placingApplies } from './placing.ts';
import { pocketApplies } from './pocket.ts';
import { shapeApplies } from './shape.ts';
import { shareApplies } from './shares.ts';
import { sizeApplies } from './size.ts';
import { splitApplies } from './split.ts';
import { switchApplies } from './switch.ts';
import { windowApplies } from './windows.ts';
import { workspaceApplies } from './workspace.ts';
import { zoneApplies } from './zones.ts';

/** What each command does. A command that is defined and not here, or the other way round, does not compile. */
export const APPLIES: Applies = {
  ...focusApplies,
  ...findApplies,
  ...switchApplies,
  ...moveApplies,
  ...shareApplies,
  ...growApplies,
  ...splitApplies,
  ...liftApplies,
  ...placingApplies,
  ...freelyApplies,
  ...offerApplies,
  ...zoneApplies,
  ...pickApplies,
  ...sizeApplies,
  ...pocketApplies,
  ...layoutApplies,
  ...windowApplies,
  ...desktopApplies,
  ...insideApplies,
  ...workspaceApplies,
  ...monitorApplies,
  ...deskApplies,
  ...lineupApplies,
  ...shapeApplies,
  ...pauseApplies,
  'apply-rules': applyRules,
  undo,
  redo,
};
