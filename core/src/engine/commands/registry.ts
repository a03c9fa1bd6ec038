import { applyRules } from '../reapply-rules.ts';
import { redo, undo } from '../history.ts';
import { chooseAppFunctions } from './choose-app.ts';
import type { CommandFunctions } from './command-functions.ts';
import { deskFunctions } from './desks.ts';
import { desktopFunctions } from './desktop.ts';
import { findFunctions } from './find.ts';
import { focusFunctions } from './focus.ts';
import { nudgeFunctions } from './nudge.ts';
import { growFunctions } from './grow.ts';
import { bringInsideFunctions } from './bring-inside.ts';
import { gapFunctions } from './gaps.ts';
import { layoutFunctions } from './layout.ts';
import { liftFunctions } from './lift.ts';
import { lineupFunctions } from './lineups.ts';
import { monitorFunctions } from './monitors.ts';
import { openMenu } from './menu.ts';
import { moveFunctions } from './move.ts';
import { offerFunctions } from './offer.ts';
import { pauseFunctions } from './pause.ts';
import { pickFunctions } from './pick.ts';
import { snapFunctions } from './snap.ts';
import { pocketFunctions } from './pocket.ts';
import { shapeFunctions } from './shape.ts';
import { shareFunctions } from './shares.ts';
import { sizeFunctions } from './size.ts';
import { splitFunctions } from './split.ts';
import { switchFunctions } from './switch.ts';
import { windowFunctions } from './windows.ts';
import { workspaceFunctions } from './workspace.ts';
import { zoneFunctions } from './zones.ts';

/** What each command does. A command that is defined and not here, or the other way round, does not compile. */
export const COMMAND_FUNCTIONS: CommandFunctions = {
  ...focusFunctions,
  ...findFunctions,
  ...switchFunctions,
  ...moveFunctions,
  ...shareFunctions,
  ...growFunctions,
  ...splitFunctions,
  ...liftFunctions,
  ...snapFunctions,
  ...nudgeFunctions,
  ...offerFunctions,
  ...zoneFunctions,
  ...pickFunctions,
  ...sizeFunctions,
  ...pocketFunctions,
  ...layoutFunctions,
  ...gapFunctions,
  ...windowFunctions,
  ...chooseAppFunctions,
  ...desktopFunctions,
  ...bringInsideFunctions,
  ...workspaceFunctions,
  ...monitorFunctions,
  ...deskFunctions,
  ...lineupFunctions,
  ...shapeFunctions,
  ...pauseFunctions,
  menu: openMenu,
  'apply-rules': applyRules,
  undo,
  redo,
};
