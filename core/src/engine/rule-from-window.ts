import { EMPTY_RULE } from '../rules/edit.ts';
import { arrange } from './arrange.ts';
import type { Rule, Condition, RuleSettings } from '../model/rule.ts';
import { type CommandContext, windowOf, windowName } from './session.ts';
/**
 * A rule that keeps windows like this one as it is now: how it is held, its workspace, and the zone it is in.
 * It matches its app, and its kind and title where its app has windows of several.
 */
export function ruleFromWindow(context: CommandContext, id: string): Omit<Rule, 'id'> | null {
  const { session, profile } = context;
  const window = windowOf(session, id);
  if (!window) return null;
  const app = profile.apps.find((each) => each.id === window.app);
  const isOneOfSeveral = app === undefined || (app.windows?.length ?? 0) > 0;
  const all: Condition[] = [
    ...(window.app === undefined ? [] : [{ of: 'app' as const, is: window.app }]),
    ...(isOneOfSeveral && window.title
      ? [{ of: 'title' as const, is: window.title.slice(0, 400) }]
      : []),
    ...(window.kind === 'normal' ? [] : [{ of: 'kind' as const, is: window.kind }]),
  ];
  const { zoned, tiled } = arrange(context, window.workspace, window.monitor);
  const seat = zoned?.seats[tiled.findIndex((each) => each.id === id)];
  const zone = window.placing?.zone?.zones[0] ?? seat?.zones[0];
  const then: RuleSettings = {
    held: window.held,
    ...(window.held !== 'left-alone' && { workspace: window.workspace }),
    ...(zone !== undefined && { zone }),
  };
  return {
    ...EMPTY_RULE,
    name: windowName(profile, window),
    when: { ...EMPTY_RULE.when, all },
    then,
  };
}
