import type { Profile } from '../model/profile.ts';
import { trialSchema, type Trial } from '../model/trial.ts';

/** So many apps are opened at most, beside those of the start. */
const MOST_APPS = 6;

/** Trials that every profile has from the start: nothing is ever lost. */
export function builtInTrials(profile: Profile): Trial[] {
  const atStart = new Set(profile.start.map(({ app }) => app));
  const others = profile.apps.filter(({ id, kind }) => kind === 'normal' && !atStart.has(id));
  const open = others.slice(0, MOST_APPS).map(({ id }) => ({ command: 'open-app', app: id }));
  const start = atStart.size > 0 ? ['open-start'] : [];
  const trial = (id: string, name: string, every: string, steps: unknown[], vary: object) =>
    trialSchema.parse({ id, name, steps: [...steps, { expect: { every } }], vary });
  const everywhere = { desks: true, pulled: true };
  return [
    trial(
      'always-in-reach',
      'No window is ever out of reach',
      'in-reach',
      [...start, ...open],
      everywhere,
    ),
    trial(
      'always-at-home',
      'No window ends on a monitor other than its own',
      'at-home',
      [...start, ...open],
      everywhere,
    ),
    trial(
      'always-large-enough',
      'No window of the start ends under its minimum',
      'at-least-its-minimum',
      start.length > 0 ? start : open.slice(0, 3),
      {},
    ),
  ];
}
