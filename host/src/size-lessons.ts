import type { LinkHints, LinkRect } from '@sorn/link';
import { learnedHints, type Observation } from './learned-hints.ts';

/** So many of the last sizes of a window are learned from. */
const MOST_SEEN = 12;

/** What a window's answer comes to: something new is learned of it, or it is known already. */
export type Lesson = { is: 'known' } | { is: 'learned'; hints: LinkHints | null };

/** What windows make of the sizes that they are told, by app: kept, so that it is learned once. */
export class SizeLessons {
  private readonly seen = new Map<string, Observation[]>();
  private readonly byApp: Record<string, LinkHints>;

  /** @param byApp what was learned before; it is added to */
  constructor(byApp: Record<string, LinkHints>) {
    this.byApp = byApp;
  }

  /** What is known of windows of an app. */
  of(app: string | undefined): LinkHints {
    return app !== undefined && Object.hasOwn(this.byApp, app) ? this.byApp[app]! : {};
  }

  /** How much was learned. */
  get count(): number {
    return Object.keys(this.byApp).length;
  }

  /**
   * A window took something else than it was told.
   *
   * @param own what it says of itself: that comes before what is learned
   */
  take(
    window: string,
    app: string | undefined,
    own: LinkHints,
    { told, took }: { told: LinkRect; took: LinkRect },
  ): Lesson {
    const known = { ...this.of(app), ...own };
    if (isLeast(known, told, took) || isOfAspect(known, told, took)) return { is: 'known' };
    // One that only stands elsewhere teaches nothing of its size.
    if (took.width === told.width && took.height === told.height)
      return { is: 'learned', hints: null };
    const seen = [...(this.seen.get(window) ?? []), { told, took }].slice(-MOST_SEEN);
    this.seen.set(window, seen);
    const learned = learnedHints(seen);
    if (app !== undefined) this.byApp[app] = learned;
    return { is: 'learned', hints: { ...learned, ...own } };
  }

  forget(window: string): void {
    this.seen.delete(window);
  }
}

/** So many pixels may the sides be off that an aspect asks for, by rounding here and there. */
const OFF_BY_ROUNDING = 1.5;

/** True where a window took the proportion that is known of it, as large as it has room or a pixel less. */
function isOfAspect({ aspect }: LinkHints, told: LinkRect, took: LinkRect): boolean {
  if (!aspect || took.x !== told.x || took.y !== told.y) return false;
  const ratio = aspect.width / aspect.height;
  const off = Math.min(
    Math.abs(took.width - took.height * ratio),
    Math.abs(took.height - took.width / ratio),
  );
  const isInside = took.width <= told.width && took.height <= told.height;
  const fills = told.width - took.width <= 1 || told.height - took.height <= 1;
  return isInside && fills && off <= OFF_BY_ROUNDING;
}

/** True where a window took its least size, as is known of it, since it was told less. */
function isLeast({ min }: LinkHints, told: LinkRect, took: LinkRect): boolean {
  const isKnown = (axis: 'width' | 'height') =>
    took[axis] === told[axis] || (min?.[axis] === took[axis] && told[axis] < took[axis]);
  return took.x === told.x && took.y === told.y && isKnown('width') && isKnown('height');
}
