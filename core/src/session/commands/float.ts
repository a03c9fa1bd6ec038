import { monitorOf } from '../../desk/desk.ts';
import { keptInside, type Rect } from '../../geometry/rect.ts';
import { workArea } from '../../desk/work-area.ts';
import { placeShown } from '../place.ts';
import {
  did,
  nothing,
  windowName,
  windowOf,
  withWindow,
  type Outcome,
  type SessionWindow,
  type Situation,
} from '../session.ts';
import { firstStanding } from '../standing.ts';

/**
 * float: a tiled window leaves its tile and stands where it stood the last time, else over its tile; a
 * floating one goes back. Its place in the order is kept meanwhile.
 */
export function toggleFloat(situation: Situation): Outcome {
  const { session, profile } = situation;
  const window = windowOf(session, session.focus);
  if (!window) return nothing(session, 'no window has the focus');
  if (window.held === 'left-alone') {
    return nothing(session, `${windowName(profile, window)} is left alone`);
  }
  const floats = window.held !== 'floating';
  const next = withWindow(session, window.id, (there) =>
    floats
      ? { ...there, held: 'floating', standing: standingFor(situation, there) }
      : { ...there, held: 'tiled' },
  );
  return did(next, {
    about: window.id,
    decided: floats ? 'floating' : 'tiled',
    because: floats ? 'taken out of its tile by key' : 'back at its place in the order',
  });
}

function standingFor(situation: Situation, window: SessionWindow): Rect {
  const monitor = monitorOf(situation.desk, window.monitor);
  if (window.standing) return keptInside(workArea(monitor).area, window.standing);
  const tile = placeShown(situation, window.monitor).find(({ id }) => id === window.id)?.tile;
  return firstStanding(window, monitor, tile ?? undefined);
}
