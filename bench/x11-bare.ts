import { parentPort, workerData } from 'node:worker_threads';
import x11, { type XEvent } from 'x11';

// A client that has grabbed two keys, and at each puts windows where it was told before: it computes nothing.

interface Place {
  x: number;
  y: number;
  width: number;
  height: number;
}
const { display, keycodes, modifiers } = workerData as {
  display: string;
  keycodes: number[];
  modifiers: number;
};

x11.createClient({ display, bufferRequests: true, shm: 'off' }, (error, connected) => {
  if (error) throw error;
  const { client: x, screen } = connected;
  let places: readonly (readonly [number, Place])[] = [];
  for (const keycode of keycodes) x.GrabKey(screen[0]!.root, 0, modifiers, keycode, 1, 1);
  x.on('event', (event: XEvent) => {
    if (event.name !== 'KeyPress') return;
    for (const [window, { x: left, y, width, height }] of places)
      x.ConfigureWindow(window, { x: left, y, width, height });
  });
  parentPort!.on('message', (message: typeof places) => {
    places = message;
    parentPort!.postMessage('told');
  });
  x.GetInputFocus(() => parentPort!.postMessage('ready'));
});
