const HOUR_MS = 60 * 60 * 1000;
const DAY_MS = 24 * HOUR_MS;

/** One step of the rule: of saves older than this, only the last of each span is kept. */
interface RetentionStep {
  olderThanMs: number;
  spanMs: number;
}

/** The steps of the rule, the oldest saves first. */
const RETENTION: readonly RetentionStep[] = [
  { olderThanMs: 180 * DAY_MS, spanMs: 7 * DAY_MS },
  { olderThanMs: 14 * DAY_MS, spanMs: DAY_MS },
  { olderThanMs: 2 * DAY_MS, spanMs: HOUR_MS },
];

/** The same rule in words. */
export const RETENTION_TEXT =
  'Every save of the last 2 days is kept; then the last of each hour for 14 days, the last of each day for 180 days, and the last of each week after that. What has a name stays.';

export interface DatedRevision {
  number: number;
  /** Milliseconds since 1970. */
  savedAtMs: number;
  /** One with a name is never dropped. */
  isNamed: boolean;
}

/**
 * The revisions that the rule drops: of each span of time all but the last. The newest of all and those with
 * a name stay, whatever their age.
 */
export function expiredRevisions(revisions: readonly DatedRevision[], nowMs: number): number[] {
  const newest = Math.max(...revisions.map(({ number }) => number));
  const last = new Map<string, number>();
  const spanOf = ({ savedAtMs }: DatedRevision): string | null => {
    const step = RETENTION.find(({ olderThanMs }) => nowMs - savedAtMs > olderThanMs);
    return step ? `${step.spanMs} ${Math.floor(savedAtMs / step.spanMs)}` : null;
  };
  for (const revision of revisions) {
    const span = spanOf(revision);
    if (span !== null) last.set(span, Math.max(last.get(span) ?? 0, revision.number));
  }
  return revisions
    .filter((revision) => {
      const span = spanOf(revision);
      const isLast = span === null || last.get(span) === revision.number;
      return !isLast && !revision.isNamed && revision.number !== newest;
    })
    .map(({ number }) => number);
}
