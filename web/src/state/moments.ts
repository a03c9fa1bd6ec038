import type { Session } from '@sorn/core/model';

/** How the desk stood after something happened: one mark of the time line. */
export interface Moment {
  session: Session;
  at: Date;
  /** What happened, in words. */
  text: string;
}

const MOST_MOMENTS = 500;

/** The time line with one moment more, unless nothing changed since the last one. */
export function withMoment(
  moments: readonly Moment[],
  session: Session,
  text: string,
): readonly Moment[] {
  if (moments.at(-1)?.session === session) return moments;
  return [...moments, { session, at: new Date(), text }].slice(-MOST_MOMENTS);
}
