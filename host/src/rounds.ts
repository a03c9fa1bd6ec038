import isEqual from 'fast-deep-equal';
import type { ArrangedWindow, FromAgent, FromHost, LinkRect } from '@sorn/link';
import type { Clock } from './clock.ts';

/** How the desktop is to stand. */
export interface Wanted {
  windows: ReadonlyMap<string, ArrangedWindow>;
  /** Those that are shown, the lowest first. */
  order: readonly string[];
  focus: string | null;
}

/** How long an agent has to answer a round. */
const ANSWER_MS = 1_000;
/** How often a window that took something else is arranged anew before it is left as it is. */
const MOST_CORRECTIONS = 2;
/** So many windows go in one message. */
const IN_ONE_PART = 400;

interface Expected {
  round: number;
  rect: LinkRect;
  isAskedAgain: boolean;
}

interface Told {
  send: (message: FromHost<'arrange'>) => void;
  /**
   * A window took another rectangle than it was told: that teaches something, and it is arranged anew; or it is what
   * is known of it already; or it does as it likes.
   */
  tookOther: (window: string, told: LinkRect, took: LinkRect) => 'learned' | 'known' | 'unknown';
  /** A window that is left as it is, and why; null where that is over. */
  gaveUp: (window: string, because: string | null) => void;
  /** Every window of the last round stands somewhere, so many milliseconds after it was told. */
  settled: (after: number) => void;
}

/**
 * Tells an agent what differs from the round before, and hears what windows took. One that does not answer within a
 * second is asked once more; one that does not do as told is corrected twice; then it is left alone until something
 * else is wanted of it.
 */
export class Rounds {
  private readonly sent = new Map<string, ArrangedWindow>();
  private sentOrder: readonly string[] | null = null;
  private sentFocus: string | null | undefined;
  private round = 0;
  /** The last round with a focus. */
  private focusRound = 0;
  private readonly expected = new Map<string, Expected>();
  private readonly corrections = new Map<string, number>();
  /** Windows that are left alone, by the rectangle that they did not take. */
  private readonly leftAlone = new Map<string, LinkRect>();
  private cancelTimer: (() => void) | null = null;
  private sentAt = 0;
  private readonly clock: Clock;
  private readonly told: Told;

  constructor(clock: Clock, told: Told) {
    this.clock = clock;
    this.told = told;
  }

  /** The number of the last round. */
  get last(): number {
    return this.round;
  }

  /** True while no answer is waited for. */
  get isSettled(): boolean {
    return this.expected.size === 0;
  }

  /** The agent is another one, or has forgotten everything: the next round holds all. */
  reset(): void {
    this.sent.clear();
    this.expected.clear();
    this.corrections.clear();
    this.leftAlone.clear();
    this.sentOrder = null;
    this.sentFocus = undefined;
    this.focusRound = 0;
    this.stop();
  }

  /** No answer is waited for any longer. */
  stop(): void {
    this.cancelTimer?.();
    this.cancelTimer = null;
  }

  /** A window is told its place again, though nothing else is wanted of it. */
  tellAgain(window: string): void {
    this.sent.delete(window);
  }

  /**
   * The focus is somewhere by the desktop's account. True where that is not what it was told: a person chose. What
   * happened before the last round with a focus was followed is over.
   *
   * @param after the last round with a focus that was followed then; the last one where the agent does not say
   */
  focusIs(window: string | null, after: number = this.focusRound): boolean {
    if (after < this.focusRound || this.sentFocus === window) return false;
    this.sentFocus = window;
    return true;
  }

  gone(window: string): void {
    this.sent.delete(window);
    this.expected.delete(window);
    this.corrections.delete(window);
    if (this.leftAlone.delete(window)) this.told.gaveUp(window, null);
  }

  /** Tells what differs. */
  arrange({ windows, order, focus }: Wanted): void {
    const different: ArrangedWindow[] = [];
    for (const [id, wanted] of windows) {
      const avoided = this.leftAlone.get(id);
      if (avoided && !isEqual(avoided, wanted.rect)) {
        this.leftAlone.delete(id);
        this.corrections.delete(id);
        this.told.gaveUp(id, null);
      }
      const before = this.sent.get(id);
      if (before && isEqual(before, wanted)) continue;
      // Where it would not go it is not told again; whether it is shown is.
      if (this.leftAlone.has(id) && before && isEqual({ ...before, rect: wanted.rect }, wanted))
        continue;
      different.push(wanted);
    }
    const isOrdered = this.sentOrder !== null && isEqual(this.sentOrder, order);
    if (different.length === 0 && isOrdered && this.sentFocus === focus) return;
    this.send(
      different,
      isOrdered ? undefined : order,
      this.sentFocus === focus ? undefined : focus,
    );
    for (const each of different) this.sent.set(each.window, each);
    this.sentOrder = order;
    this.sentFocus = focus;
  }

  /** What a window took of a round. */
  placed({ window, rect, round }: FromAgent<'placed'>): void {
    const expected = this.expected.get(window);
    // An answer to what is not wanted any more says nothing.
    if (!expected || expected.round !== round) return;
    this.expected.delete(window);
    if (this.expected.size === 0) this.told.settled(this.clock.now() - this.sentAt);
    if (isEqual(rect, expected.rect)) {
      this.corrections.delete(window);
      return;
    }
    const corrections = this.corrections.get(window) ?? 0;
    const came = this.told.tookOther(window, expected.rect, rect);
    if (came === 'known') return;
    if (came === 'learned' && corrections < MOST_CORRECTIONS) {
      this.corrections.set(window, corrections + 1);
      this.tellAgain(window);
      return;
    }
    this.giveUp(
      window,
      expected.rect,
      `it takes ${rectText(rect)} where it is told ${rectText(expected.rect)}`,
    );
  }

  private send(
    windows: readonly ArrangedWindow[],
    order?: readonly string[],
    focus?: string | null,
  ): void {
    const round = ++this.round;
    this.sentAt = this.clock.now();
    if (focus !== undefined) this.focusRound = round;
    const parts = Math.max(1, Math.ceil(windows.length / IN_ONE_PART));
    for (let at = 1; at <= parts; at++) {
      const isLast = at === parts;
      this.told.send({
        type: 'arrange',
        round,
        ...(parts > 1 && { part: { at, of: parts } }),
        windows: windows.slice((at - 1) * IN_ONE_PART, at * IN_ONE_PART),
        ...(isLast && order && { order: [...order] }),
        ...(isLast && focus !== undefined && { focus }),
      });
    }
    for (const { window, rect } of windows)
      this.expected.set(window, { round, rect, isAskedAgain: false });
    this.waitForAnswers();
  }

  private waitForAnswers(): void {
    this.cancelTimer?.();
    this.cancelTimer = this.clock.after(ANSWER_MS, () => this.overdue());
  }

  private overdue(): void {
    this.cancelTimer = null;
    const again: ArrangedWindow[] = [];
    for (const [window, { rect, isAskedAgain }] of this.expected) {
      const wanted = this.sent.get(window);
      if (!isAskedAgain && wanted) again.push(wanted);
      else {
        this.expected.delete(window);
        this.giveUp(window, rect, 'it does not say what it took');
      }
    }
    if (again.length === 0) return;
    this.send(again);
    for (const { window } of again) this.expected.get(window)!.isAskedAgain = true;
  }

  private giveUp(window: string, rect: LinkRect, because: string): void {
    this.leftAlone.set(window, rect);
    this.told.gaveUp(window, because);
  }
}

function rectText({ x, y, width, height }: LinkRect): string {
  return `${width} × ${height} at ${x}, ${y}`;
}
