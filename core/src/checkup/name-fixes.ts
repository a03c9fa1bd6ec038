import { withNewWorkspace, withWorkspaceHome } from '../desk/workspaces.ts';
import type { Profile } from '../model/profile.ts';
import { profileSchema } from '../model/profile.ts';
import { nearestName } from '../values/nearest-name.ts';
import { ROLES } from '../desk/roles.ts';
import type { Finding } from './findings.ts';

/** One quick fix of a finding that is not about keys. */
export interface NameFix {
  /** What it does, in words. */
  says: string;
  profile: Profile;
}

/** What mends a name that matches nothing, and a workspace that is at home nowhere; the likeliest first. */
export function nameFixesFor(profile: Profile, finding: Finding): NameFix[] {
  switch (finding.kind) {
    case 'homed-nowhere':
      return homing(profile, finding.workspace, finding.home);
    case 'unknown-name':
      return [...renaming(profile, finding), ...making(profile, finding)];
    default:
      return [];
  }
}

function homing(profile: Profile, workspace: string, home: string): NameFix[] {
  const names = profile.monitors.flatMap(({ id, name = id }) => [id, name]);
  const nearest = nearestName(home, [...names, ...ROLES]);
  const to = (monitor: string, says: string): NameFix => ({
    says,
    profile: withWorkspaceHome(profile, workspace, monitor),
  });
  return [
    ...(nearest === null ? [] : [to(nearest, `Make ${nearest} its home`)]),
    to('', 'Make the primary its home'),
  ];
}

interface Unknown {
  path: string;
  value: string;
  nearest: string | null;
  of?: 'workspace';
}

function renaming(profile: Profile, { path, nearest }: Unknown): NameFix[] {
  if (nearest === null) return [];
  const read = profileSchema.safeParse(withValueAt(profile, keysOf(path), nearest));
  return read.success ? [{ says: `Write ${nearest}`, profile: read.data }] : [];
}

function making(profile: Profile, { value, of }: Unknown): NameFix[] {
  if (of !== 'workspace') return [];
  const read = profileSchema.safeParse(withNewWorkspace(profile, { id: value }));
  return read.success ? [{ says: `Make workspace ${value}`, profile: read.data }] : [];
}

/** The parts of a path: "rules[0].then.workspace" is rules, 0, then, workspace. */
function keysOf(path: string): string[] {
  return path.split(/[.[\]]+/).filter((key) => key !== '');
}

function withValueAt(value: unknown, [key, ...rest]: readonly string[], text: string): unknown {
  if (key === undefined) return text;
  if (Array.isArray(value))
    return value.map((each, i) => (String(i) === key ? withValueAt(each, rest, text) : each));
  const entries = value as Record<string, unknown>;
  return { ...entries, [key]: withValueAt(entries[key], rest, text) };
}
