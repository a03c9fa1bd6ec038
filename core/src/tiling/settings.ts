import type { Edges } from '../geometry/rect.ts';
import type { GapsByKey } from '../model/session.ts';
import type { Place, Profile, Tiling, TooSmall } from '../model/profile.ts';
import {
  LAYOUT_KINDS,
  type Layout,
  type LayoutField,
  type LayoutKind,
  type LayoutSetting,
} from '../values/layout.ts';
import type { NewWindows } from '../values/window.ts';
import { LAYOUTS } from './layouts.ts';
import type { Gap } from './solve.ts';

/** Where the value of a setting comes from: the closest place that gives one. */
export const ORIGINS = [
  'session',
  'workspace-on-monitor',
  'workspace',
  'monitor',
  'profile',
  'default',
] as const;
export type Origin = (typeof ORIGINS)[number];

/** Settings that are one value each, with what they are where nothing is set. */
export const PLAIN_DEFAULTS: PlainSettings = {
  whenTooSmall: 'squeeze',
  newWindows: 'end',
  cycle: LAYOUT_KINDS,
};
export interface PlainSettings {
  whenTooSmall: TooSmall;
  newWindows: NewWindows;
  cycle: readonly LayoutKind[];
}
export type PlainField = keyof PlainSettings;

/** One level of settings, closest first in a list of them. */
export interface Level extends Partial<PlainSettings> {
  from: Origin;
  layout?: LayoutSetting;
  gaps?: NonNullable<Tiling['gaps']>;
}

/** Gaps in logical pixels. */
export interface Gaps {
  inner: Gap;
  outer: Edges;
  dropWhenAlone: boolean;
}

export type GapField = keyof Gaps;
/** Every field that can be set by place. */
export type SettingField = LayoutField | GapField | PlainField;

/** What is in force for a workspace on a monitor, and who decided each field. */
export interface TilingInForce extends PlainSettings {
  layout: Layout;
  gaps: Gaps;
  from: Partial<Record<SettingField, Origin>>;
}

const GAPS_DEFAULT = { inner: 0, outer: 0, dropWhenAlone: false } as const;

/** The origin that a place in the profile's list speaks for. */
function originOfPlace(place: Place): Origin {
  if (place.workspace === undefined) return 'monitor';
  return place.monitor === undefined ? 'workspace' : 'workspace-on-monitor';
}

/** The profile's settings that bear on a workspace on a monitor, closest first. */
export function levelsFor(profile: Profile, workspace: string, monitor: string): Level[] {
  const { places } = profile.tiling;
  const applies = (place: Place) =>
    (place.workspace ?? workspace) === workspace && (place.monitor ?? monitor) === monitor;
  const levels: Level[] = [];
  for (const place of places) {
    if (applies(place)) levels.push({ from: originOfPlace(place), ...settingsOf(place) });
  }
  levels.sort((a, b) => ORIGINS.indexOf(a.from) - ORIGINS.indexOf(b.from));
  levels.push({ from: 'profile', ...settingsOf(profile.tiling) });
  return levels;
}

function settingsOf(place: Pick<Place, 'layout' | 'gaps' | PlainField>): Omit<Level, 'from'> {
  const { layout, gaps, whenTooSmall, newWindows, cycle } = place;
  return {
    ...(layout && { layout }),
    ...(gaps && { gaps }),
    ...(whenTooSmall && { whenTooSmall }),
    ...(newWindows && { newWindows }),
    ...(cycle && { cycle }),
  };
}

/** Parameters moved by key, by the kind of layout under which they were. */
export type AdjustedByKind = Partial<Record<LayoutKind, object>>;

/**
 * Decides every field of a layout: the closest level's kind, and its parameters from levels of that
 * kind. What was moved by key under that kind wins over all of them. `from` tells who decided each field, when
 * it is asked for.
 */
export function resolveLayout(
  levels: readonly Level[],
  adjusted: AdjustedByKind = {},
): { layout: Layout; from: () => TilingInForce['from'] } {
  const deciding = levels.find((level) => level.layout);
  const kind: LayoutKind = deciding?.layout?.kind ?? 'lead';
  const layout: Record<string, unknown> = { ...LAYOUTS[kind].defaults };
  const saying = levels.filter((level) => level.layout?.kind === kind).reverse();
  for (const level of saying) Object.assign(layout, level.layout);
  Object.assign(layout, adjusted[kind]);
  return {
    layout: layout as unknown as Layout,
    from() {
      const from: TilingInForce['from'] = {};
      const take = (parameters: object, origin: Origin) => {
        for (const field of Object.keys(parameters)) from[field as LayoutField] = origin;
      };
      take(LAYOUTS[kind].defaults, 'default');
      for (const level of saying) take(level.layout!, level.from);
      from.kind = deciding?.from ?? 'default';
      take(adjusted[kind] ?? {}, 'session');
      return from;
    },
  };
}

/** The kind of layout that a workspace without one of its own has on a monitor. */
export function layoutKindOn(profile: Profile, monitor: string): LayoutKind {
  const places = profile.tiling.places.filter(({ workspace }) => workspace === undefined);
  const levels = levelsFor({ ...profile, tiling: { ...profile.tiling, places } }, '', monitor);
  return resolveLayout(levels).layout.kind;
}

/** Decides every gap, field by field. */
export function resolveGaps(levels: readonly Level[]): { gaps: Gaps; from: TilingInForce['from'] } {
  const decide = <F extends GapField>(field: F) => {
    const level = levels.find((candidate) => candidate.gaps?.[field] !== undefined);
    return { value: level?.gaps?.[field] ?? GAPS_DEFAULT[field], from: level?.from ?? 'default' };
  };
  const inner = decide('inner');
  const outer = decide('outer');
  const alone = decide('dropWhenAlone');
  return {
    gaps: {
      inner: perAxis(inner.value as number | Gap),
      outer: perEdge(outer.value as number | Edges),
      dropWhenAlone: alone.value as boolean,
    },
    from: { inner: inner.from, outer: outer.from, dropWhenAlone: alone.from },
  };
}

/** The widest that keys make a gap, in logical pixels. */
export const MOST_GAP = 500;

/** The gaps with what keys added to each of their sides, from 0 to 500, or to what is set where that is more. */
export function withGapsByKey(gaps: Gaps, { inner = 0, outer = 0, off }: GapsByKey): Gaps {
  const added = (set: number, by: number) =>
    off ? 0 : Math.min(Math.max(MOST_GAP, set), Math.max(0, set + by));
  return {
    ...gaps,
    inner: { x: added(gaps.inner.x, inner), y: added(gaps.inner.y, inner) },
    outer: {
      top: added(gaps.outer.top, outer),
      right: added(gaps.outer.right, outer),
      bottom: added(gaps.outer.bottom, outer),
      left: added(gaps.outer.left, outer),
    },
  };
}

/** Decides the settings that are one value each. */
export function resolvePlain(
  levels: readonly Level[],
): PlainSettings & Pick<TilingInForce, 'from'> {
  const decide = <F extends PlainField>(field: F) => {
    const level = levels.find((candidate) => candidate[field] !== undefined);
    from[field] = level?.from ?? 'default';
    return (level?.[field] ?? PLAIN_DEFAULTS[field]) as PlainSettings[F];
  };
  const from: TilingInForce['from'] = {};
  return {
    whenTooSmall: decide('whenTooSmall'),
    newWindows: decide('newWindows'),
    cycle: decide('cycle'),
    from,
  };
}

function perAxis(gap: number | Gap): Gap {
  return typeof gap === 'number' ? { x: gap, y: gap } : gap;
}

function perEdge(gap: number | Edges): Edges {
  return typeof gap === 'number' ? { top: gap, right: gap, bottom: gap, left: gap } : gap;
}
