import { deskInForce, type DeskInForce } from '../desk/desk.ts';
import type { App, AppWindow } from '../model/app.ts';
import type { Profile } from '../model/profile.ts';
import { GROUPS, type Fact, type Rule } from '../model/rule.ts';
import { MODES } from '../values/window.ts';
import { sizeFacts, type WindowFacts } from './facts.ts';

/** A window that the profile's apps can open, before it is anywhere. */
export interface KnownWindow {
  /** For a person: its app's name, with its title where the app has several. */
  name: string;
  app: App;
  /** What it is as a window: the app's own, or a further one. */
  window: App | AppWindow;
  /** Position among the app's further windows; null for the app's own. */
  further: number | null;
}

/** Every window that the apps of a profile can open, in their order. */
export function knownWindows({ apps }: Pick<Profile, 'apps'>): KnownWindow[] {
  return apps.flatMap((app): KnownWindow[] => {
    const name = app.name ?? app.id;
    const further = (app.windows ?? []).map((window, i) => ({
      name: `${name}: ${window.title}`,
      app,
      window,
      further: i,
    }));
    return [{ name, app, window: app, further: null }, ...further];
  });
}

/** The app whose window a known one stands over, if any. */
export function parentOf({ app, window, further }: KnownWindow): string | undefined {
  if (window.parent !== undefined) return window.parent;
  return further !== null && window.kind === 'dialog' ? app.id : undefined;
}

/** What rules see of a known window that opens somewhere. */
export function factsOfKnown(known: KnownWindow, at: Context): WindowFacts {
  const { app, window } = known;
  const parent = parentOf(known);
  return {
    app: app.id,
    title: window.title ?? app.name ?? app.id,
    kind: window.kind,
    ...sizeFacts(window),
    ...(parent !== undefined && { parent }),
    ...at,
  };
}

/** Where a window can open. */
export type Context = Pick<WindowFacts, 'desk' | 'monitor' | 'workspace'>;

/** The desks of a profile, as they are with all their monitors. */
export function desksOf(profile: Profile): DeskInForce[] {
  return profile.desks.length > 0
    ? profile.desks.map(({ id }) => deskInForce(profile, { desk: id, mode: 'extend' }))
    : [deskInForce(profile, { mode: 'extend' })];
}

/** The desks of a profile in every mode. */
export function desksInModes(profile: Profile): DeskInForce[] {
  const ids = profile.desks.length > 0 ? profile.desks.map(({ id }) => id) : [undefined];
  return ids.flatMap((desk) =>
    MODES.map((mode) => deskInForce(profile, { ...(desk !== undefined && { desk }), mode })),
  );
}

/** True when a rule asks about a fact. */
export function asksFor({ when }: Pick<Rule, 'when'>, fact: Fact): boolean {
  return GROUPS.some((group) => when[group].some(({ of }) => of === fact));
}

/** Every workspace of every desk, in every mode; one of them where no rule asks where a window is. */
export function contextsFor(profile: Profile): Context[] {
  const asks = (fact: Fact) => profile.rules.some((rule) => asksFor(rule, fact));
  const desks = asks('mode') ? desksInModes(profile) : desksOf(profile);
  const all = desks.flatMap((desk) =>
    desk.workspaces.flatMap(({ id, monitor }): Context[] =>
      (desk.joined ? desk.monitors.map((each) => each.id) : [monitor]).map((on) => ({
        desk,
        monitor: on,
        workspace: id,
      })),
    ),
  );
  if (asks('workspace') || asks('monitor')) return all;
  const first = desks.map((desk) => all.find((context) => context.desk === desk)!);
  return asks('desk') || asks('mode') ? first : first.slice(0, 1);
}
