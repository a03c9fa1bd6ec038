import type { CommandFunctions } from './command-functions.ts';
import { monitorOf } from '../../desk/desk.ts';
import type { FloatingRect } from '../../model/session-snap.ts';
import type { Session } from '../../model/session.ts';
import { ownEntry } from '../../values/own-entry.ts';
import { computePlacements } from '../placements.ts';
import { applied, noop, type Outcome, type CommandContext } from '../session.ts';
import { toFloatingRect } from '../floating-rect.ts';

/** pause: every window stays where it stands, and nothing is arranged until resume. */
function pause({ session, profile, desk }: CommandContext): Outcome {
  if (session.paused) return noop(session, 'the engine is paused already');
  const standing: Record<string, FloatingRect> = {};
  for (const placement of computePlacements(session, profile, desk).placements) {
    standing[placement.id] = toFloatingRect(placement, monitorOf(desk, placement.monitor));
  }
  return applied(
    { ...session, paused: { standing, opened: [] } },
    { decided: 'paused', because: 'by key; every arrangement is kept for resume' },
  );
}

/**
 * resume: every arrangement as it was; windows that opened meanwhile join the end of their order, in
 * reading order of where they stand: from the top, then from the left.
 */
function resume({ session }: CommandContext): Outcome {
  const { paused, ...rest } = session;
  if (!paused) return noop(session, 'the engine runs already');
  const adopted = new Set(paused.opened);
  const arrangements = Object.entries(rest.arrangements).map(([key, arrangement]) => {
    const newcomers = arrangement.order.filter((id) => adopted.has(id));
    if (newcomers.length < 2) return [key, arrangement];
    const former = arrangement.order.filter((id) => !adopted.has(id));
    return [key, { ...arrangement, order: [...former, ...inReadingOrder(newcomers, paused)] }];
  });
  const count = paused.opened.length;
  return applied(
    { ...rest, arrangements: Object.fromEntries(arrangements) as Session['arrangements'] },
    {
      decided: 'running',
      because:
        count === 0
          ? 'every arrangement is as it was'
          : `every arrangement is as it was, and ${count} opened meanwhile ${count === 1 ? 'joins' : 'join'} it`,
    },
  );
}

function inReadingOrder(ids: readonly string[], { standing }: NonNullable<Session['paused']>) {
  const at = (id: string) => ownEntry(standing, id) ?? { x: 0, y: 0 };
  return [...ids].sort((a, b) => at(a).y - at(b).y || at(a).x - at(b).x);
}

export const pauseFunctions = {
  pause,
  resume,
} satisfies Partial<CommandFunctions>;
