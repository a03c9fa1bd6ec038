import type { LinkMonitor, LinkRect } from '@sorn/link';
import { answer, type Connection } from '../server/connection.ts';

/** Takes the pointer along to a monitor that gets the focus. */
export class Pointer {
  private readonly connection: Connection;
  private monitor: string | undefined;

  constructor(connection: Connection) {
    this.connection = connection;
  }

  /**
   * The focus is on a monitor now: the pointer goes to the middle of its focused window, or of the monitor, where it is
   * on another one.
   */
  async follow(monitor: LinkMonitor | undefined, focused: LinkRect | undefined): Promise<void> {
    if (!monitor || monitor.name === this.monitor) return;
    this.monitor = monitor.name;
    const { x, root } = this.connection;
    const { rootX, rootY } = await answer<{ rootX: number; rootY: number }>((done) =>
      x.QueryPointer(root, done),
    );
    if (isIn(monitor, rootX, rootY)) return;
    const middle = focused && middleOf(focused);
    const [toX, toY] = middle && isIn(monitor, ...middle) ? middle : middleOf(monitor);
    x.WarpPointer(0, root, 0, 0, 0, 0, toX, toY);
  }

  /** Where it is comes from the person: the next monitor that gets the focus is another one than that. */
  isOn(monitor: string | undefined): void {
    this.monitor = monitor;
  }
}

function isIn(rect: LinkRect, x: number, y: number): boolean {
  return x >= rect.x && x < rect.x + rect.width && y >= rect.y && y < rect.y + rect.height;
}

function middleOf({ x, y, width, height }: LinkRect): [number, number] {
  return [x + Math.floor(width / 2), y + Math.floor(height / 2)];
}
