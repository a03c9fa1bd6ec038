import { intersection, sharedLength, span, type Rect } from '../geometry/rect.ts';
import type { Profile } from '../profile/schema.ts';
import { deskInForce, type DeskInForce, type PlacedMonitor } from './desk.ts';
import { unreachedMonitors } from './neighbours.ts';
import { placedMonitors } from './placed.ts';
import { monitorNamed } from './roles.ts';
import { checkKeys } from '../keys/check.ts';
import type { KeyFinding } from '../keys/findings.ts';
import { checkRules, type RuleFinding } from '../rules/check.ts';
import { unusedBoards, type BoardFinding } from '../zones/check.ts';
import { unknownNames, type UnknownName } from './unknown.ts';

/** Something about how monitors stand, or what is at home on them, that a person should know. */
export type DeskFinding = StandingFinding | HomelessFinding;

/** Something about how monitors stand. */
export type StandingFinding =
  /** Two monitors have part of the joint desktop in common. */
  | { kind: 'overlap'; desk: string; monitor: string; other: string; width: number; height: number }
  /** A monitor touches none of those that are joined to the primary: no pointer gets there. */
  | { kind: 'apart'; desk: string; monitor: string }
  /** Direction keys do not lead to a monitor. */
  | { kind: 'unreached'; desk: string; monitor: string };

/** A workspace whose home is on no desk. */
export interface HomelessFinding {
  kind: 'homed-nowhere';
  workspace: string;
  home: string;
}

const found = new WeakMap<DeskInForce, readonly StandingFinding[]>();

/** What is wrong with how the monitors of a desk stand. */
export function deskFindings(desk: DeskInForce): readonly StandingFinding[] {
  const known = found.get(desk) ?? [
    ...overlaps(desk),
    ...apart(desk),
    ...unreachedMonitors(desk).map(({ id }) => unreached(desk, id)),
  ];
  found.set(desk, known);
  return known;
}

function unreached({ name }: DeskInForce, monitor: string): StandingFinding {
  return { kind: 'unreached', desk: name, monitor };
}

function overlaps({ name, monitors }: DeskInForce): StandingFinding[] {
  return monitors.flatMap((monitor, i) =>
    monitors.slice(i + 1).flatMap((other): StandingFinding[] => {
      const both = intersection(monitor, other);
      if (!both) return [];
      const { width, height } = both;
      return [{ kind: 'overlap', desk: name, monitor: monitor.id, other: other.id, width, height }];
    }),
  );
}

/** True when a pointer gets from one monitor to the other: they share part of a side, or overlap. */
function areJoined(a: Rect, b: Rect): boolean {
  const width = sharedLength(span(a, 'x'), span(b, 'x'));
  const height = sharedLength(span(a, 'y'), span(b, 'y'));
  return (width > 0 && height >= 0) || (height > 0 && width >= 0);
}

function apart({ name, monitors }: DeskInForce): StandingFinding[] {
  const joined = new Set(monitors.slice(0, 1));
  const waiting = [...joined];
  for (let from = waiting.pop(); from; from = waiting.pop()) {
    for (const to of monitors) {
      if (joined.has(to) || !areJoined(from, to)) continue;
      joined.add(to);
      waiting.push(to);
    }
  }
  return monitors
    .filter((monitor) => !joined.has(monitor))
    .map(({ id }) => ({ kind: 'apart', desk: name, monitor: id }));
}

/** Workspaces whose home is no monitor of any desk, whatever is connected. */
export function homelessWorkspaces(profile: Profile): HomelessFinding[] {
  const desks: PlacedMonitor[][] =
    profile.desks.length > 0
      ? profile.desks.map((desk) =>
          placedMonitors(
            profile,
            desk,
            desk.monitors.map(({ monitor }) => monitor),
          ),
        )
      : [placedMonitors(profile, null)];
  return profile.workspaces.flatMap(({ id, monitor: home }): HomelessFinding[] =>
    home === undefined || desks.some((monitors) => monitorNamed(home, monitors))
      ? []
      : [{ kind: 'homed-nowhere', workspace: id, home }],
  );
}

/** Everything about a profile's desks, boards and names that a person should know, whatever is connected. */
export function checkProfile(profile: Profile): readonly ProfileFinding[] {
  // Asked for with every drawing, while a profile stays the same from step to step.
  const known = checked.get(profile) ?? checkedAnew(profile);
  checked.set(profile, known);
  return known;
}

export type ProfileFinding =
  ({ kind: 'unknown-name' } & UnknownName) | DeskFinding | BoardFinding | RuleFinding | KeyFinding;

const checked = new WeakMap<Profile, readonly ProfileFinding[]>();

function checkedAnew(profile: Profile): ProfileFinding[] {
  const desks =
    profile.desks.length > 0
      ? profile.desks.map(({ id }) => deskInForce(profile, { desk: id, mode: 'extend' }))
      : [deskInForce(profile, { mode: 'extend' })];
  const unknown = unknownNames(profile);
  // A mistyped home is told once.
  const isMistyped = ({ workspace }: { workspace: string }) => {
    const at = profile.workspaces.findIndex(({ id }) => id === workspace);
    return unknown.some(({ path }) => path === `workspaces[${at}].monitor`);
  };
  const isForNobody = ({ board }: { board: string }) => {
    const at = profile.boards.findIndex(({ id, name = id }) => name === board);
    return unknown.some(({ path }) => path === `boards[${at}].for.monitor`);
  };
  // A rule that names what does not exist matches nothing, or leads nowhere, because of that.
  const isMistypedRule = (finding: RuleFinding) => {
    if (finding.kind !== 'rule-unmatched' && finding.kind !== 'rule-nowhere') return false;
    const at = profile.rules.findIndex(({ id }) => id === finding.rule);
    const part = finding.kind === 'rule-unmatched' ? 'when' : `then.${finding.setting}`;
    return unknown.some(({ path }) => path.startsWith(`rules[${at}].${part}`));
  };
  return [
    ...unknown.map((name) => ({ kind: 'unknown-name' as const, ...name })),
    ...desks.flatMap(deskFindings),
    ...homelessWorkspaces(profile).filter((finding) => !isMistyped(finding)),
    ...unusedBoards(profile, desks).filter((finding) => !isForNobody(finding)),
    ...checkRules(profile).filter((finding) => !isMistypedRule(finding)),
    ...checkKeys(profile),
  ];
}
