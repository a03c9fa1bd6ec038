import { parentPort, workerData } from 'node:worker_threads';
import x11, { type XEvent } from 'x11';

// Windows of a client that hears where they stand: in a thread of its own, so that nobody who measures makes it wait.

const STRUCTURE = 0x00020000;
const { display, count } = workerData as { display: string; count: number };

x11.createClient({ display, bufferRequests: true, shm: 'off' }, (error, connected) => {
  if (error) throw error;
  const { client: x, screen } = connected;
  const places = new Map<number, string>();
  let wanted: ReadonlyMap<number, string> | null = null;
  x.on('event', (event: XEvent) => {
    if (event.name !== 'ConfigureNotify') return;
    const { x: left, y, width, height } = event as unknown as Record<string, number>;
    places.set(event.wid, `${left} ${y} ${width} ${height}`);
    if (!wanted) return;
    for (const [window, place] of wanted) if (places.get(window) !== place) return;
    wanted = null;
    parentPort!.postMessage({ at: performance.timeOrigin + performance.now() });
  });
  const windows = Array.from({ length: count }, () => {
    const window = x.AllocID();
    x.CreateWindow(window, screen[0]!.root, 0, 0, 100, 100, 0, 0, 1, 0, { eventMask: STRUCTURE });
    x.MapWindow(window);
    return window;
  });
  parentPort!.on('message', (message: ReadonlyMap<number, string>) => {
    wanted = message;
    parentPort!.postMessage({ isListening: true });
  });
  parentPort!.postMessage({ windows });
});
