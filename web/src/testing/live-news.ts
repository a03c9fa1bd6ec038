import type { LiveNews } from '@sorn/api';
import { openSession } from '@sorn/core/engine';
import { sessionDifference, sessionSchema, type Profile } from '@sorn/core/model';

/** The first news of a live desk with an agent that can everything, one window and an app that no profile knows. */
export function liveNews(id: string, profile: Profile, about: Partial<LiveNews['about']> = {}) {
  const input = sessionSchema.parse({ windows: [{ id: 'win:w1', app: 'other' }] });
  const { session } = openSession(input, profile);
  const [monitor] = profile.monitors;
  return {
    profile: id,
    isFirst: true,
    session: sessionDifference(null, session)!,
    real: { monitors: profile.monitors, desks: profile.desks },
    about: {
      agent: {
        name: 'stand-in desktop',
        version: '1',
        can: ['keys', 'launch', 'close', 'identify', 'pictures'],
      },
      state: 'running',
      monitors: [
        {
          name: 'DP-1',
          id: monitor?.id ?? '',
          by: 'name',
          device: { name: 'DP-1' },
          x: 0,
          y: 0,
          width: 1920,
          height: 1080,
        },
      ],
      question: null,
      held: null,
      waitingLaunch: null,
      hasPictures: false,
      findings: [],
      unknownApps: [{ name: 'other', app: 'Other' }],
      ...about,
    },
  } satisfies LiveNews;
}
