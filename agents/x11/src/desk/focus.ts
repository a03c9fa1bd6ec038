import type { Connection } from '../server/connection.ts';
import type { Managed } from '../windows/managed.ts';

const POINTER_ROOT = 1;

/** What the server tells of a focus that moves, by number. */
const MODE = { grab: 1, ungrab: 2 };
const DETAIL = { inferior: 2, pointer: 5 };

/**
 * Gives the keyboard to windows, and tells who has it. To whom it was given for which round is told with it, by the
 * order of the server's requests: a person's choice is told apart from an echo.
 */
export class Focus {
  private readonly connection: Connection;
  /** Takes the keyboard where no window has it. */
  private readonly own: number;
  private readonly time: () => number;
  private readonly tell: (window: number | null, round: number | undefined) => void;
  /** Rounds with a focus by the request that followed them, the newest last. */
  private readonly rounds: { request: number; round: number }[] = [];
  private has: number | null = null;
  /** Counts what was heard: an answer to an older question says nothing. */
  private heard = 0;

  /**
   * @param own the window that holds the keyboard where none of the others does
   * @param time of what happened last by the server's clock
   * @param tell that another window has it, null for none, and the round by then
   */
  constructor(
    connection: Connection,
    own: number,
    time: () => number,
    tell: (window: number | null, round: number | undefined) => void,
  ) {
    this.connection = connection;
    this.own = own;
    this.time = time;
    this.tell = tell;
  }

  /** The window that has it. */
  get window(): number | null {
    return this.has;
  }

  /** Gives it to a window, or to none (ICCCM 4.1.7). */
  give(managed: Managed | null, round?: number): void {
    const { x, atoms } = this.connection;
    if (managed === null) x.SetInputFocus(this.own, POINTER_ROOT);
    else {
      const { takesInput, protocols } = managed.said;
      const isTold = protocols.includes('WM_TAKE_FOCUS');
      // One that neither takes it nor is told cannot have it: then none has.
      if (takesInput || !isTold)
        x.SetInputFocus(takesInput ? managed.window : this.own, POINTER_ROOT);
      if (isTold)
        this.connection.tell(managed.window, 'WM_PROTOCOLS', [
          atoms.WM_TAKE_FOCUS,
          this.time(),
          0,
          0,
          0,
        ]);
    }
    if (round === undefined) return;
    this.rounds.push({ request: this.connection.last, round });
    if (this.rounds.length > 50) this.rounds.shift();
  }

  /** Whatever has it is left to itself: the keyboard goes to where the pointer is. */
  letGo(): void {
    this.connection.x.SetInputFocus(POINTER_ROOT, POINTER_ROOT);
  }

  /** A managed window has it now, or has it no longer. */
  hear(isIn: boolean, window: number, event: { mode: number; detail: number; seq: number }): void {
    const { mode, detail, seq } = event;
    if (mode === MODE.grab || mode === MODE.ungrab || detail >= DETAIL.pointer) return;
    if (isIn) {
      this.heard++;
      this.set(window, seq);
      return;
    }
    if (detail === DETAIL.inferior || this.has !== window) return;
    // The one that gets it is told of at once after this.
    const before = ++this.heard;
    void this.connection.sync().then(() => {
      if (this.heard === before) this.set(null, seq);
    });
  }

  /** A window that is gone has it no longer. */
  gone(window: number): void {
    if (this.has === window) this.has = null;
  }

  private set(window: number | null, seq: number): void {
    if (this.has === window) return;
    this.has = window;
    this.tell(window, this.rounds.findLast(({ request }) => request <= seq)?.round);
  }
}
