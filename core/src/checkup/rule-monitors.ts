import type { DeskInForce } from '../desk/desk.ts';
import { monitorNamed } from '../desk/roles.ts';
import type { Profile } from '../model/profile.ts';
import type { Rule, Setting } from '../model/rule.ts';
import { conditionHolds } from '../rules/facts.ts';
import { zoneNamed } from '../tiling/zone-board.ts';
import { levelsFor, resolveLayout } from '../tiling/settings.ts';
import { zoneBoardMeant } from '../zones/division.ts';
import { fittingZoneBoards } from '../zones/fit.ts';
import type { RuleFinding } from './rule-finding.ts';

/** Monitors and zones that are not there, on the desks on which a rule can hold. */
export function nowhere(
  profile: Profile,
  rule: Rule,
  name: string,
  desks: readonly DeskInForce[],
): RuleFinding[] {
  const { monitor, zone } = rule.then;
  const there = desks.filter((desk) => canHoldOn(rule, desk));
  const missing = (setting: Setting, what: string, lacks: (desk: DeskInForce) => boolean) => {
    const without = there.filter(lacks).map(nameOf);
    if (without.length === 0) return [];
    const on = without.length > 1 ? `the desks ${without.join(' and ')}` : `the desk ${without[0]}`;
    const finding: RuleFinding = {
      kind: 'rule-nowhere',
      rule: rule.id,
      setting,
      desks: without,
      text: `${name} names ${what}, which is not there on ${on}.`,
    };
    return [finding];
  };
  return [
    ...(monitor === undefined
      ? []
      : missing(
          'monitor',
          `the monitor ${monitor}`,
          (desk) => !monitorNamed(monitor, desk.monitors),
        )),
    ...(zone === undefined
      ? []
      : missing('zone', `the zone “${zone}”`, (desk) => !hasZone(profile, rule, desk, zone))),
  ];
}

/** A desk as a person knows it; in another mode some of its monitors are not there. */
function nameOf({ name, mode }: DeskInForce): string {
  return mode === 'extend' ? name : `${name} in ${mode} mode`;
}

function canHoldOn({ when }: Rule, desk: DeskInForce): boolean {
  const [{ id: monitor }] = desk.monitors as [DeskInForce['monitors'][number]];
  const facts = { kind: 'normal' as const, resizable: true, desk, monitor, workspace: '' };
  const ofDesk = (list: Rule['when']['all']) =>
    list.filter(({ of }) => of === 'desk' || of === 'mode');
  const { all, any, none } = when;
  return (
    ofDesk(all).every((condition) => conditionHolds(condition, facts)) &&
    !ofDesk(none).some((condition) => conditionHolds(condition, facts)) &&
    (any.length === 0 ||
      ofDesk(any).length < any.length ||
      any.some((condition) => conditionHolds(condition, facts)))
  );
}

/** True when a zone is on a board of the monitor to which a rule brings windows, or of some where it does not say. */
function hasZone(
  profile: Profile,
  { then: { workspace, monitor } }: Rule,
  desk: DeskInForce,
  zone: string,
): boolean {
  const home = desk.workspaces.find(({ id }) => id === workspace);
  const named = monitor === undefined ? null : monitorNamed(monitor, desk.monitors);
  const only = home && !desk.joined ? home.monitor : named?.id;
  return desk.monitors
    .filter(({ id }) => only === undefined || id === only)
    .some((on) => {
      const fitting = fittingZoneBoards(profile, desk, on);
      const { layout } = resolveLayout(levelsFor(profile, workspace ?? '', on.id));
      const own = layout.kind === 'board' ? zoneBoardMeant(layout, profile.boards, fitting) : null;
      return [...(own ? [own] : []), ...fitting].some((board) => zoneNamed(board, zone));
    });
}
