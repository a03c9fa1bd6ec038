import type { Place, Profile } from '../model/profile.ts';
import type { LayoutField, LayoutKind, LayoutSetting } from '../values/layout.ts';
import {
  ORIGINS,
  PLAIN_DEFAULTS,
  type GapField,
  type Origin,
  type PlainField,
  type PlainSettings,
  type SettingField,
} from './settings.ts';

/** Where in the profile a setting is given: for everything, a workspace, a monitor, or one on the other. */
export interface Scope {
  workspace?: string;
  monitor?: string;
}

/** How far a setting reaches, farthest last. */
export const REACHES = ['workspace-on-monitor', 'workspace', 'monitor', 'profile'] as const;
export type Reach = (typeof REACHES)[number];

export function scopeOf(reach: Reach, workspace: string, monitor: string): Scope {
  return {
    ...((reach === 'workspace' || reach === 'workspace-on-monitor') && { workspace }),
    ...((reach === 'monitor' || reach === 'workspace-on-monitor') && { monitor }),
  };
}

/**
 * Where an edit lands: as far as wished, but no farther than where the present value comes from, for
 * there it would not show.
 */
export function landing(wished: Reach, ...origins: (Origin | undefined)[]): Reach {
  const farthest = [wished, ...origins].filter(
    (origin): origin is Reach =>
      origin !== undefined && (REACHES as readonly string[]).includes(origin),
  );
  return farthest.sort((a, b) => ORIGINS.indexOf(a) - ORIGINS.indexOf(b))[0]!;
}

type Settings = Pick<Place, 'layout' | 'setAside' | 'gaps' | PlainField>;

/** Sets a layout parameter in a scope, under the given kind. */
export function withLayoutField(
  profile: Profile,
  scope: Scope,
  kind: LayoutKind,
  field: Exclude<LayoutField, 'kind'>,
  value: unknown,
): Profile {
  return withSettings(profile, scope, (settings) => {
    const { layout, ...rest } = withKind(settings, kind);
    return { ...rest, layout: { ...layout, [field]: value } as LayoutSetting };
  });
}

/** Sets the kind of layout in a scope. What was set under the former kind is set aside there for its return. */
export function withLayoutKind(profile: Profile, scope: Scope, kind: LayoutKind): Profile {
  return withSettings(profile, scope, (settings) => withKind(settings, kind));
}

function withKind(settings: Settings, kind: LayoutKind): Settings & { layout: LayoutSetting } {
  if (settings.layout?.kind === kind) return { ...settings, layout: settings.layout };
  const { setAside = [], layout: former, ...rest } = settings;
  const found = setAside.find((aside) => aside.kind === kind);
  const others = setAside.filter((aside) => aside.kind !== kind && aside.kind !== former?.kind);
  const aside = former && Object.keys(former).length > 1 ? [...others, former] : others;
  return {
    ...rest,
    layout: found ?? { kind },
    ...(aside.length > 0 && { setAside: aside }),
  };
}

export function withGap(profile: Profile, scope: Scope, field: GapField, value: unknown): Profile {
  return withSettings(profile, scope, (settings) => ({
    ...settings,
    gaps: { ...settings.gaps, [field]: value },
  }));
}

/** Sets a setting that is one value: what gives way, where new windows go, which layouts are cycled through. */
export function withPlain<F extends PlainField>(
  profile: Profile,
  scope: Scope,
  field: F,
  value: PlainSettings[F],
): Profile {
  return withSettings(profile, scope, (settings) => ({ ...settings, [field]: value }));
}

/** Takes a setting out of a scope, so that a farther one decides again. Taking out the kind takes the layout. */
export function withoutSetting(profile: Profile, scope: Scope, field: SettingField): Profile {
  if (field in PLAIN_DEFAULTS) return withSettings(profile, scope, (all) => without(all, field));
  return withSettings(profile, scope, ({ layout, gaps, setAside, ...plain }) => {
    const keptLayout = layout && field !== 'kind' ? without(layout, field) : undefined;
    const keptGaps = gaps && without(gaps, field);
    return {
      ...plain,
      ...(keptLayout && { layout: keptLayout }),
      ...(keptGaps && Object.keys(keptGaps).length > 0 && { gaps: keptGaps }),
      ...(setAside && field !== 'kind' && { setAside }),
    };
  });
}

function without<T extends object>(settings: T, field: string): T {
  const entries = Object.entries(settings).filter(([key]) => key !== field);
  return Object.fromEntries(entries) as T;
}

function withSettings(
  profile: Profile,
  scope: Scope,
  change: (settings: Settings) => Settings,
): Profile {
  const { places, growStep, workspacesAre, emptyWorkspaces, missingWorkspaces, ...others } =
    profile.tiling;
  const { pastLastMonitor, ...whole } = others;
  if (scope.workspace === undefined && scope.monitor === undefined) {
    const ofWorkspaces = { workspacesAre, emptyWorkspaces, missingWorkspaces };
    const apart = { growStep, ...ofWorkspaces, pastLastMonitor, places };
    return { ...profile, tiling: { ...apart, ...change(whole) } };
  }
  const isHere = (place: Place) =>
    place.workspace === scope.workspace && place.monitor === scope.monitor;
  const next = (place: Place): Place => {
    const { workspace, monitor, ...settings } = place;
    return {
      ...(workspace !== undefined && { workspace }),
      ...(monitor !== undefined && { monitor }),
      ...change(settings),
    };
  };
  const changed = places.some(isHere)
    ? places.map((place) => (isHere(place) ? next(place) : place))
    : [...places, next({ ...scope })];
  const saysSomething = ({ workspace: _workspace, monitor: _monitor, ...settings }: Place) =>
    Object.keys(settings).length > 0;
  return { ...profile, tiling: { ...profile.tiling, places: changed.filter(saysSomething) } };
}
