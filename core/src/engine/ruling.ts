import type { DeskInForce } from '../desk/desk.ts';
import { monitorNamed } from '../desk/roles.ts';
import type { Profile } from '../model/profile.ts';
import { SETTINGS, type RuleSettings, type Setting } from '../model/rule.ts';
import type { Ruled } from '../model/session-ruling.ts';
import type { WindowInput } from '../model/session.ts';
import { decide } from '../rules/decide.ts';
import { sizeFacts, type WindowFacts } from '../rules/facts.ts';
import { ruleNumber, settingText } from '../rules/rule-words.ts';
import { matchText } from '../rules/trace.ts';
import { nearestName } from '../values/nearest-name.ts';
import type { Reason } from './session.ts';

/** What the rules come to for one window on one desk. */
export interface Ruling {
  /** The settings to apply, with monitors by id and without anything that does not exist here. */
  follows: RuleSettings;
  /** The record of the decision, which the window keeps. */
  ruled: Ruled;
  /** Reasons for settings of rules that could not be applied. */
  trace: Reason[];
}

interface RulingContext {
  profile: Profile;
  desk: DeskInForce;
}

/** A place on the desk: where a window is, or would be without rules. */
export interface WindowLocation {
  monitor: string;
  workspace: string;
}

/** What rules see of a window. */
export function factsOf(
  { desk }: Pick<RulingContext, 'desk'>,
  window: Omit<WindowInput, 'ruled'>,
  { monitor, workspace }: WindowLocation,
  parent: string | undefined,
): WindowFacts {
  const { app, title, kind } = window;
  return {
    ...(app !== undefined && { app }),
    ...(title !== undefined && { title }),
    ...(parent !== undefined && { parent }),
    kind,
    ...sizeFacts(window),
    desk,
    monitor,
    workspace,
  };
}

/** The settings that a window has from its session file: rules do not override them. */
function saidItself(window: WindowInput): Setting[] {
  const { held, workspace, monitor, placing, standing, stayAbove, everywhere } = window;
  const isSaid: { [S in Setting]?: boolean } = {
    held: held !== undefined,
    // A window that names a monitor is on the workspace shown there.
    workspace: workspace !== undefined || monitor !== undefined,
    monitor: monitor !== undefined,
    zone: placing !== undefined,
    placing: placing !== undefined,
    corner: standing !== undefined,
    remember: standing !== undefined,
    stayAbove: stayAbove !== undefined,
    everywhere: everywhere !== undefined,
  };
  return SETTINGS.filter((setting) => isSaid[setting]);
}

const START_SAYS = 'the list of what opens at the start says so';

/** The settings of an open window that it, or the list of what opens at the start, said when it opened. */
function saidThen(ruled: Ruled | undefined): Setting[] {
  const { gave = {}, itself = [] } = ruled ?? {};
  return SETTINGS.filter(
    (setting) => itself.includes(setting) || (gave[setting] && gave[setting].rule === undefined),
  );
}

/**
 * Asks the rules about a window that opens, or is asked about again, at a spot.
 *
 * @param isOpen it is there already, and where it is says nothing against a rule
 * @param atStart what comes before any rule, where it opens because it is to open at the start
 */
export function rulingFor(
  asked: RulingContext,
  window: WindowInput,
  spot: WindowLocation,
  parent: string | undefined,
  { isOpen = false, atStart = {} }: { isOpen?: boolean; atStart?: RuleSettings } = {},
): Ruling {
  const { profile, desk } = asked;
  const facts = factsOf(asked, window, spot, parent);
  const decision = decide(profile.rules, facts);
  const follows: RuleSettings = {};
  const gave: Ruled['gave'] = {};
  const trace: Reason[] = [];
  const itself = isOpen ? saidThen(window.ruled) : saidItself(window);
  for (const setting of SETTINGS) {
    const given = decision[setting];
    if (atStart[setting] !== undefined) {
      const there = settingThere(desk, atStart, setting);
      if (typeof there === 'string') {
        trace.push({ about: window.id, decided: there, because: START_SAYS });
        continue;
      }
      Object.assign(follows, there);
      gave[setting] = { value: settingText(there, setting), because: START_SAYS };
      continue;
    }
    if (!given) continue;
    if (itself.includes(setting)) {
      const decided = `not ${settingText(given.rule.then, setting)}`;
      const said = `${ruleNumber(given.rule, given.at)} says so, but the window itself says otherwise`;
      trace.push({ about: window.id, decided, because: said, minor: true });
      continue;
    }
    const because = matchText(given.rule, facts);
    const there = settingThere(desk, given.rule.then, setting);
    if (typeof there === 'string') {
      const says = `${ruleNumber(given.rule, given.at)} says so, ${because}`;
      trace.push({ about: window.id, decided: there, because: says });
      continue;
    }
    Object.assign(follows, there);
    const value = settingText(there, setting);
    gave[setting] = { rule: given.rule.id, value, because };
  }
  const { monitor, workspace } = spot;
  const ruled: Ruled = {
    ...(window.title !== undefined && { title: window.title }),
    desk: desk.desk ?? desk.name,
    monitor,
    workspace,
    gave,
    ...(itself.length > 0 && { itself: [...itself] }),
  };
  return { follows, ruled, trace };
}

/** A setting as it can be applied on a desk, or a text that says what of it does not exist there. */
function settingThere(
  desk: DeskInForce,
  then: RuleSettings,
  setting: Setting,
): RuleSettings | string {
  const { workspace, monitor: which } = then;
  if (setting === 'workspace' && workspace !== undefined) {
    const ids = desk.workspaces.map(({ id }) => id);
    if (!ids.includes(workspace))
      return `no workspace is called ${workspace}${near(workspace, ids)}`;
  }
  if (setting === 'monitor' && which !== undefined) {
    const monitor = monitorNamed(which, desk.monitors);
    return monitor ? { monitor: monitor.id } : `monitor ${which} is not here`;
  }
  return { [setting]: then[setting] };
}

function near(name: string, names: readonly string[]): string {
  const nearest = nearestName(name, names);
  return nearest === null ? '' : `; the nearest is ${nearest}`;
}
