import isEqual from 'fast-deep-equal';
import { balloonOf, hueOf } from './app-defaults.ts';
import type { App, Start } from './app.ts';
import type { Profile } from './profile.ts';

/** What an import came to. */
export interface Imported {
  profile: Profile;
  added: readonly string[];
  changed: readonly string[];
}

/**
 * Takes imported apps into a profile. One that is there keeps what the import does not say, and its further
 * windows; one of the same title is replaced.
 */
export function withApps(profile: Profile, imported: readonly App[]): Imported {
  const added: string[] = [];
  const changed: string[] = [];
  let { apps } = profile;
  for (const app of imported) {
    const at = apps.findIndex(({ id }) => id === app.id);
    if (at < 0) {
      added.push(app.id);
      const { id, name = id } = app;
      apps = [...apps, { hue: hueOf(id), balloon: balloonOf(name), ...app, name }];
      continue;
    }
    const next = merged(apps[at]!, app);
    if (isEqual(next, apps[at])) continue;
    changed.push(app.id);
    apps = apps.with(at, next);
  }
  return { profile: { ...profile, apps }, added, changed };
}

function merged(there: App, { kind, windows = [], ...app }: App): App {
  const titles = windows.map(({ title }) => title);
  const further = [
    ...(there.windows ?? []).filter(({ title }) => !titles.includes(title)),
    ...windows,
  ];
  return {
    ...there,
    ...app,
    // A desktop entry says nothing of kinds: what is there stays.
    kind: kind === 'normal' ? there.kind : kind,
    ...(further.length > 0 && { windows: further }),
  };
}

export function withApp(profile: Profile, id: string, change: (app: App) => App): Profile {
  return { ...profile, apps: profile.apps.map((app) => (app.id === id ? change(app) : app)) };
}

/** Without an app, and without it among those opened at the start. Rules about it stay, and are found dead. */
export function withoutApp(profile: Profile, id: string): Profile {
  return {
    ...profile,
    apps: profile.apps.filter((app) => app.id !== id),
    start: profile.start.filter(({ app }) => app !== id),
  };
}

/** An app of the start list moved to a place in it, counted from 0 and kept within it. */
export function startMoved(profile: Profile, at: number, to: number): Profile {
  const entry = profile.start[at];
  if (!entry) return profile;
  const others = profile.start.toSpliced(at, 1);
  const there = Math.min(others.length, Math.max(0, to));
  return { ...profile, start: others.toSpliced(there, 0, entry) };
}

/** Puts an app at the end of what is opened at the start. */
export function withStart(profile: Profile, app: string): Profile {
  return { ...profile, start: [...profile.start, { app }] };
}

export function startChanged(
  profile: Profile,
  at: number,
  change: (start: Start) => Start | null,
): Profile {
  return {
    ...profile,
    start: profile.start.flatMap((start, i) => (i === at ? (change(start) ?? []) : [start])),
  };
}
