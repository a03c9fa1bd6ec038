import { readFileSync } from 'node:fs';
import { expect, it } from 'vitest';
import { profileSchema, type Profile } from '../model/profile.ts';
import type { Trial } from '../model/trial.ts';
import { builtInTrials } from './built-in-trials.ts';
import { tryWithLooks } from './trial.ts';
import { allTries } from './trial-result.ts';
import { itemsIn, subjectOf } from './trial-subject.ts';
import { variationsOf } from './variations.ts';

const DEMO = profileSchema.parse(
  JSON.parse(
    readFileSync(new URL('../../../demo/bulletin-desk.profile.json', import.meta.url), 'utf8'),
  ),
);

/** What a person does wrong in an evening, one thing each. */
function mistakes(profile: Profile): [string, Profile][] {
  const at = <T>(list: readonly T[], i: number, change: (item: T) => T) =>
    list.map((item, j) => (j === i ? change(item) : item));
  const found: [string, Profile][] = [];
  profile.rules.forEach(({ id, when }, i) => {
    found.push([
      `rule ${id} dropped`,
      { ...profile, rules: profile.rules.filter((_, j) => j !== i) },
    ]);
    when.all.forEach((_, j) => {
      const rules = at(profile.rules, i, (rule) => ({
        ...rule,
        when: { ...when, all: when.all.filter((__, k) => k !== j) },
      }));
      found.push([`rule ${id} without its condition ${j + 1}`, { ...profile, rules }]);
    });
  });
  profile.tiling.places.forEach((place, i) => {
    if (!place.layout || !('leadShare' in place.layout)) return;
    for (const by of [-0.3, 0.3]) {
      const { layout } = place;
      const places = at(profile.tiling.places, i, () => ({
        ...place,
        layout: { ...layout, leadShare: Math.min(0.95, Math.max(0.05, layout.leadShare! + by)) },
      }));
      found.push([
        `share of ${place.workspace ?? place.monitor} ${by}`,
        { ...profile, tiling: { ...profile.tiling, places } as Profile['tiling'] },
      ]);
    }
  });
  const monitors = profile.monitors.map(({ id }) => id);
  profile.workspaces.forEach(({ id, monitor }, i) => {
    const other = monitors[(monitors.indexOf(monitor!) + 1) % monitors.length]!;
    found.push([
      `home of ${id} on ${other}`,
      {
        ...profile,
        workspaces: at(profile.workspaces, i, (workspace) => ({ ...workspace, monitor: other })),
      },
    ]);
  });
  for (const gap of ['inner', 'outer'] as const) {
    const gaps = { ...profile.tiling.gaps, [gap]: 40 };
    found.push([`${gap} gap 40`, { ...profile, tiling: { ...profile.tiling, gaps } }]);
  }
  profile.apps.forEach(({ id, min }, i) => {
    if (!min) return;
    const larger = { width: min.width * 2, height: min.height * 2 };
    found.push([
      `minimum of ${id} doubled`,
      { ...profile, apps: at(profile.apps, i, (app) => ({ ...app, min: larger })) },
    ]);
  });
  const { bindings } = profile.keys;
  bindings.slice(1).forEach((binding, i) => {
    const before = bindings[i]!;
    const swapped = bindings.map((each) =>
      each === binding
        ? { ...each, keys: before.keys }
        : each === before
          ? { ...each, keys: binding.keys }
          : each,
    );
    found.push([
      `${before.keys} and ${binding.keys} swapped`,
      { ...profile, keys: { ...profile.keys, bindings: swapped } },
    ]);
  });
  return found;
}

/** Where every window is after every step of a trial as it is written. */
function placements(profile: Profile, trial: Trial): string {
  const first = variationsOf(profile, trial).at(0);
  const subject = subjectOf(profile, trial, first);
  return JSON.stringify(
    tryWithLooks(subject, itemsIn(subject, first.orders)).looks.map((look) => look.placements),
  );
}

/** The expectations that fail somewhere, of all trials. */
function failing(profile: Profile, trials: readonly Trial[]): string[] {
  return trials.flatMap((trial) =>
    allTries(profile, trial, {}, 0, 8).missed.flatMap((missed, i) =>
      missed.length > 0 ? [`${trial.id} ${i} ${missed.join()}`] : [],
    ),
  );
}

it('the trials of the demo find what a person does wrong in its profile', () => {
  const trials = [...DEMO.trials, ...builtInTrials(DEMO)];
  const sound = failing(DEMO, trials).join('\n');
  const stands = trials.map((trial) => placements(DEMO, trial));
  const all = mistakes(DEMO);
  const planted = all.filter(([, profile]) =>
    trials.some((trial, i) => placements(profile, trial) !== stands[i]),
  );
  const survivors = planted.flatMap(([name, profile]) =>
    failing(profile, trials).join('\n') === sound ? [name] : [],
  );
  const without = all.length - planted.length;
  console.info(
    `${all.length} mistakes, ${without} of them without effect; ${survivors.length} not found${survivors.length > 0 ? `: ${survivors.join('; ')}` : ''}`,
  );
  console.info(
    all
      .filter((each) => !planted.includes(each))
      .map(([name]) => name)
      .join('; '),
  );
  expect(without).toBeLessThanOrEqual(all.length / 4);
  expect(survivors.length).toBeLessThanOrEqual(planted.length / 10);
}, 240_000);
