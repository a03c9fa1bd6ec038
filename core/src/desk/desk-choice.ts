import type { Desk, Profile } from '../model/profile.ts';

/** A desk of the profile (null: a made-up one), and why it is that one. */
export interface DeskChoice {
  desk: Desk | null;
  because: string;
}

/**
 * Which desk applies: the one named; else the one whose monitors are exactly those connected; else the one
 * with the most of them, and of these the one that lacks the fewest; else a made-up one. Where nothing
 * says what is connected, the first.
 */
export function chooseDesk(
  { desks }: Profile,
  named: string | undefined,
  connected: readonly string[] | undefined,
): DeskChoice {
  const chosen = desks.find(({ id }) => id === named);
  if (chosen) return { desk: chosen, because: 'it was chosen' };
  if (!connected) {
    return desks[0]
      ? { desk: desks[0], because: 'it is the first in the list' }
      : { desk: null, because: 'the profile has no desks: its monitors stand as they say' };
  }
  const common = (desk: Desk) =>
    desk.monitors.filter((entry) => connected.includes(entry.monitor)).length;
  const lacks = (desk: Desk) => desk.monitors.length - common(desk);
  const exact = desks.find(
    (desk) => lacks(desk) === 0 && desk.monitors.length === connected.length,
  );
  if (exact) return { desk: exact, because: 'its monitors are exactly those connected' };
  let best: Desk | null = null;
  for (const desk of desks) {
    const more = common(desk) - (best ? common(best) : 0);
    if (more > 0 || (best && more === 0 && lacks(desk) < lacks(best))) best = desk;
  }
  if (!best) {
    return { desk: null, because: 'no desk has any of the connected monitors: left to right' };
  }
  return {
    desk: best,
    because: `it has the most in common: ${common(best)} of the ${connected.length} connected, ${lacks(best)} of its own not there`,
  };
}
