import { nearestName } from '../profile/nearest.ts';
import type { LayoutSetting } from '../profile/layout.ts';
import type { Profile } from '../profile/schema.ts';
import { fitsPattern, isPattern, isRole, ROLES } from './roles.ts';

/** A name that matches nothing. */
export interface UnknownName {
  path: string;
  value: string;
  nearest: string | null;
}

const unknownIn = new WeakMap<Profile, readonly UnknownName[]>();

/** Every reference of the profile to a monitor, workspace, app, board or zone that is not there. */
export function unknownNames(profile: Profile): readonly UnknownName[] {
  const known = unknownIn.get(profile) ?? lookedUp(profile);
  unknownIn.set(profile, known);
  return known;
}

function lookedUp(profile: Profile): UnknownName[] {
  const ids = (list: readonly { id: string }[]) => list.map((item) => item.id);
  const monitors = ids(profile.monitors);
  const workspaces = ids(profile.workspaces);
  const apps = ids(profile.apps);
  const unknown: UnknownName[] = [];
  const look = (path: string, value: string | undefined, names: readonly string[]) => {
    if (value === undefined || names.includes(value)) return;
    unknown.push({ path, value, nearest: nearestName(value, names) });
  };
  const lookWhich = (path: string, value: string | undefined) => {
    if (value === undefined || isRole(value)) return;
    const names = [...monitors, ...profile.monitors.flatMap(({ name }) => name ?? [])];
    if (isPattern(value) && names.some((name) => fitsPattern(name, value))) return;
    look(path, value, names);
    // A mistyped role is nearer to a role than to any name.
    const last = unknown.at(-1);
    if (last?.path === path) last.nearest = nearestName(value, [...names, ...ROLES]);
  };
  profile.monitors.forEach(({ fallback }, i) => lookWhich(`monitors[${i}].fallback`, fallback));
  profile.desks.forEach((desk, i) => {
    desk.monitors.forEach((entry, j) =>
      look(`desks[${i}].monitors[${j}].monitor`, entry.monitor, monitors),
    );
    const here = desk.monitors.map(({ monitor }) => monitor);
    look(`desks[${i}].primary`, desk.primary, here);
    look(`desks[${i}].only`, desk.only, here);
  });
  profile.workspaces.forEach((workspace, i) =>
    lookWhich(`workspaces[${i}].monitor`, workspace.monitor),
  );
  const boards = ids(profile.boards);
  const zones = profile.boards.flatMap((board) => board.zones.map(({ name }) => name));
  const lookLayout = (path: string, layout: LayoutSetting | undefined) => {
    if (layout?.kind === 'board') look(`${path}.board`, layout.board, boards);
  };
  lookLayout('tiling.layout', profile.tiling.layout);
  profile.boards.forEach((board, i) => lookWhich(`boards[${i}].for.monitor`, board.for.monitor));
  profile.apps.forEach((app, i) => {
    look(`apps[${i}].parent`, app.parent, apps);
    look(`apps[${i}].zone`, app.zone, zones);
  });
  profile.tiling.places.forEach((place, i) => {
    lookLayout(`tiling.places[${i}].layout`, place.layout);
    look(`tiling.places[${i}].monitor`, place.monitor, monitors);
    // Without a list of workspaces they are made up, one a monitor.
    if (workspaces.length > 0) look(`tiling.places[${i}].workspace`, place.workspace, workspaces);
  });
  return unknown;
}
