import isEqual from 'fast-deep-equal';
import { withoutLargeness } from '../model/window-mode.ts';
import { interactionOf } from '../model/interaction.ts';
import { monitorFor, monitorOf, type DeskInForce } from '../desk/desk.ts';
import type { Again, Rule, RuleSettings, Setting } from '../model/rule.ts';
import type { Ruled } from '../model/session-ruling.ts';
import type { Session, SessionWindow } from '../model/session.ts';
import { HELD_WORDS } from '../rules/rule-words.ts';
import { joinArrangement } from './commands/arrangement-member.ts';
import { putInPocket } from './commands/pocket.ts';
import {
  heldByRule,
  joinedByRule,
  parentApp,
  snappedByRule,
  floatingRectByRule,
} from './rule-effects.ts';
import { gaveBecause } from './explain-rules.ts';
import { rulingFor } from './ruling.ts';
import {
  arrangementOf,
  isShown,
  shownOn,
  windowName,
  windowOf,
  withArrangement,
  withFocus,
  withFocusOnMonitor,
  withList,
  withWindow,
  type Outcome,
  type Reason,
  type CommandContext,
  existingWindow,
} from './session.ts';

/**
 * Asks the rules again about windows that are open: those of them that are to be applied again when
 * titles or desks change. What a rule decided before and decides alike is not done twice, so that what was
 * done by key since stays.
 *
 * @param ids the windows asked about
 */
export function reapplyRules(
  context: CommandContext,
  when: Again,
  ids: readonly string[],
): Outcome {
  const { rules } = context.profile;
  if (!rules.some(({ on, again }) => on && again[when]))
    return { session: context.session, trace: [] };
  return reapply(context, ids, (rule, before, value) => rule.again[when] && before !== value);
}

/** apply-rules: all rules are followed anew for every window, as if they opened now; the focus stays. */
export function applyRules(context: CommandContext): Outcome {
  const { session } = context;
  const ids = session.windows.map(({ id }) => id);
  const outcome = reapply(context, ids, () => true, false);
  if (outcome.trace.length === 0) {
    return { session, trace: [{ decided: 'nothing to do', because: 'all is as the rules say' }] };
  }
  return outcome;
}

/** Which deciding rules are followed, by what of theirs the window carries and what they come to now. */
type Followed = (rule: Rule, before: string | null, value: string) => boolean;

function reapply(
  context: CommandContext,
  ids: readonly string[],
  isFollowed: Followed,
  returns = true,
): Outcome {
  const { profile, desk } = context;
  let { session } = context;
  const trace: Reason[] = [];
  for (const id of ids) {
    const window = windowOf(session, id);
    if (!window) continue;
    const parent = parentApp(session.windows, window.parent);
    const { follows, ruled } = rulingFor({ profile, desk }, window, window, parent, {
      isOpen: true,
    });
    const before = window.ruled?.gave ?? {};
    const chosen = chosenOf(profile.rules, follows, ruled, before, isFollowed);
    const settings = Object.keys(chosen) as Setting[];
    const carries = ruledAfter(profile.rules, ruled, before, settings, isFollowed);
    const from = (returns && window.ruled?.from) || null;
    const isBack = from !== null && TAKES.every((setting) => !carries.gave[setting]);
    session = withWindow(session, id, (there) => ({
      ...there,
      ruled: { ...carries, ...(from && !isBack && { from }) },
    }));
    const now = { ...context, session };
    const next = isBack
      ? windowReturned(now, id, from, before)
      : returns && settings.some((setting) => TAKES.includes(setting))
        ? windowTaken(session, withRulesFollowed(now, id, chosen), id)
        : withRulesFollowed(now, id, chosen);
    const isChanged = next !== session && !isAlike(session, next, id);
    session = next;
    if (!isChanged) continue;
    const name = windowName(profile, window);
    if (isBack) {
      const because = 'the rule that took it does not match any more';
      trace.push({ about: id, decided: `${name} is back on workspace ${from.workspace}`, because });
    }
    for (const setting of settings) {
      const because = gaveBecause(profile, carries, setting)!;
      trace.push({ about: id, decided: `${name}: ${carries.gave[setting]!.value}`, because });
    }
  }
  return { session: focusInSight(context.session, session), trace };
}

/** The focus goes with its window to where rules took it, and stays on its monitor where the window is not shown there. */
function focusInSight(before: Session, after: Session): Session {
  const window = windowOf(after, after.focus);
  const was = windowOf(before, before.focus);
  if (!window || interactionOf(after, 'bare-desktop') || was?.id !== window.id) return after;
  if (was.monitor === window.monitor && was.workspace === window.workspace) return after;
  return isShown(after, window)
    ? withFocus(after, window)
    : withFocusOnMonitor(after, after.focusMonitor);
}

/** True where nothing of a window, or of the orders, is otherwise. */
function isAlike(before: Session, after: Session, id: string): boolean {
  const sorted = (value: object) => JSON.stringify(Object.entries(value).sort());
  return (
    sorted(existingWindow(before, id)) === sorted(existingWindow(after, id)) &&
    isEqual(before.arrangements, after.arrangements)
  );
}

/** The settings by which a rule takes a window from where it is. */
const TAKES: readonly Setting[] = ['workspace', 'monitor', 'held'];

type From = NonNullable<Ruled['from']>;

/** Remembers where a window was before a rule took it, and where it was taken to. */
function windowTaken(before: Session, after: Session, id: string): Session {
  const { workspace, monitor, held, ruled } = existingWindow(before, id);
  const at = Math.max(0, arrangementOf(before, workspace, monitor).order.indexOf(id));
  return withWindow(after, id, (there) => ({
    ...there,
    ruled: {
      ...there.ruled!,
      from: { workspace, monitor, held, at, ...ruled?.from, to: there.workspace },
    },
  }));
}

/**
 * A window back where it was before rules took it, at its place in the order there. What was done by key
 * since stays: one that was moved on is not fetched, and one that is held otherwise stays so.
 */
function windowReturned(
  context: CommandContext,
  id: string,
  from: From,
  gave: Ruled['gave'],
): Session {
  const { session, desk } = context;
  const window = existingWindow(session, id);
  const isHeldSo = gave.held?.value === HELD_WORDS[window.held];
  const back = isHeldSo ? heldAsBefore(session, window, from) : session;
  const home = desk.workspaces.find((each) => each.id === from.workspace);
  if (!home || window.workspace !== from.to) return back;
  const monitor = monitorFor(desk, home, monitorOf(desk, from.monitor).id);
  if (monitor === window.monitor && home.id === window.workspace) return back;
  const moved = joinArrangement(
    { ...context, session: back },
    existingWindow(back, id),
    monitor,
    home.id,
  );
  return withArrangement(moved, home.id, monitor, (there) => {
    const others = there.order.filter((other) => other !== id);
    return { ...there, order: [...others.slice(0, from.at), id, ...others.slice(from.at)] };
  });
}

function heldAsBefore(session: Session, { id }: SessionWindow, { held }: From): Session {
  return withWindow(outOfThePocket(session, id), id, ({ lifted: _lifted, ...there }) => ({
    ...there,
    held,
  }));
}

function outOfThePocket(session: Session, id: string): Session {
  const unlisted = withList(session, 'pocket', (ids) => ids.filter((other) => other !== id));
  return withWindow(unlisted, id, ({ pocketedFrom: _from, ...there }) => there);
}

/** The settings to be followed now, of all that the rules give. */
function chosenOf(
  rules: readonly Rule[],
  follows: RuleSettings,
  { gave }: Ruled,
  before: Ruled['gave'],
  isFollowed: Followed,
): RuleSettings {
  const chosen = (Object.keys(follows) as Setting[]).filter((setting) => {
    const { rule: id, value } = gave[setting]!;
    const rule = rules.find((each) => each.id === id)!;
    const was = before[setting];
    const former = was && was.rule === id ? was.value : null;
    return isFollowed(rule, former, value);
  });
  return Object.fromEntries(chosen.map((setting) => [setting, follows[setting]]));
}

/** What a window carries afterwards: of settings that were not asked about again, what it carried. */
function ruledAfter(
  rules: readonly Rule[],
  now: Ruled,
  before: Ruled['gave'],
  chosen: readonly Setting[],
  isFollowed: Followed,
): Ruled {
  const gave: Ruled['gave'] = {};
  for (const [setting, given] of Object.entries(before) as [Setting, Ruled['gave'][Setting]][]) {
    const rule = rules.find(({ id }) => id === given?.rule);
    // A rule that is asked again, and does not match any more, has nothing to say of it.
    const isOver = rule && !now.gave[setting] && isFollowed(rule, null, '');
    if (given && !isOver) gave[setting] = given;
  }
  for (const setting of chosen) gave[setting] = now.gave[setting]!;
  return { ...now, gave };
}

/** An open window as rules say, from where it is. */
function withRulesFollowed(context: CommandContext, id: string, follows: RuleSettings): Session {
  if (Object.keys(follows).length === 0) return context.session;
  let session = movedTo(context, existingWindow(context.session, id), follows);
  const at = () => ({ ...context, session });
  const window = existingWindow(session, id);
  if (follows.held === 'pocketed') {
    return window.held === 'pocketed' ? session : putInPocket(session, window);
  }
  session = withWindow(session, id, (there) => heldByRuleAgain(at(), there, follows));
  const isFetched = window.held === 'pocketed' && existingWindow(session, id).held !== 'pocketed';
  if (isFetched) session = outOfThePocket(session, id);
  session = joinedByRule(at(), id, follows);
  return snappedByRule(at(), id, follows).session;
}

function heldByRuleAgain(
  context: CommandContext,
  before: SessionWindow,
  follows: RuleSettings,
): SessionWindow {
  const { placing: _placing, ...plain } = withoutLargeness(before);
  const isPlacedAnew = follows.zone !== undefined || follows.placing !== undefined || follows.held;
  const window = heldByRule(isPlacedAnew ? plain : before, follows);
  const isFree = window.held === 'floating' || window.held === 'left-alone';
  const isMoved = follows.corner !== undefined || follows.size !== undefined;
  if (!isFree || (before.held === window.held && !isMoved && window.standing)) return window;
  if (window.held === 'left-alone' && before.standing) return window;
  return { ...window, standing: floatingRectByRule(context, window, follows).standing };
}

/** Onto the workspace and monitor that rules say; its focus and what is shown stay as they are. */
function movedTo(context: CommandContext, window: SessionWindow, follows: RuleSettings): Session {
  const { session, desk } = context;
  if (follows.workspace === undefined && follows.monitor === undefined) return session;
  const { monitor, workspace } = locationByRule(desk, session, window, follows);
  if (monitor === window.monitor && workspace === window.workspace) return session;
  return joinArrangement(context, window, monitor, workspace);
}

function locationByRule(
  desk: DeskInForce,
  session: Session,
  window: SessionWindow,
  follows: RuleSettings,
): { monitor: string; workspace: string } {
  const home = desk.workspaces.find(({ id }) => id === follows.workspace);
  const asked = monitorOf(desk, follows.monitor ?? window.monitor).id;
  const monitor = home ? monitorFor(desk, home, asked) : asked;
  if (home) return { monitor, workspace: home.id };
  // One that is on its way to a monitor where it already is stays on its workspace.
  const workspace = monitor === window.monitor ? window.workspace : shownOn(session, monitor);
  return { monitor, workspace };
}
