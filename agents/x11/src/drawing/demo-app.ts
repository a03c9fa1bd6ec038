import { Connection } from '../server/connection.ts';
import { BigText } from './big-text.ts';

/** An app of the demo: how its window is called, what marks it, and how small it may be. */
export interface DemoApp {
  app: string;
  title: string;
  /** One or two capitals. */
  mark: string;
  /** Of its mark, in degrees. */
  hue: number;
  min?: [number, number];
  increment?: [number, number];
  /** Width to height. */
  aspect?: [number, number];
  kind?: 'DIALOG' | 'UTILITY';
}

const PAPER = 0xfaf9f5;
const INK = 0x1f2a28;
const SLATE = 0x5a6664;
const EVENTS = { structure: 0x00020000, expose: 0x00008000, keys: 1, focus: 0x00200000 };
const REPLACE = 0;
const FULL_CIRCLE = 360 * 64;
const NORTH_WEST = 1;

/**
 * Shows a window that stands for an app of the demo: its mark, its title, and which keys it was given. It ends when it is
 * asked to close.
 *
 * @param display the display; that of the environment where left out
 */
export async function showDemoApp(demo: DemoApp, display: string | undefined): Promise<void> {
  const connection = await Connection.open(display);
  const { x, root, atoms } = connection;
  const text = await BigText.of(connection);
  const window = x.AllocID();
  x.CreateWindow(window, root, 0, 0, demo.min?.[0] ?? 640, demo.min?.[1] ?? 420, 0, 0, 1, 0, {
    backgroundPixel: PAPER,
    bitGravity: NORTH_WEST,
    eventMask: Object.values(EVENTS).reduce((all, each) => all | each, 0),
  });
  const latin = (value: string) => Buffer.from(value, 'latin1');
  x.ChangeProperty(
    REPLACE,
    window,
    atoms.WM_CLASS,
    atoms.STRING,
    8,
    latin(`${demo.app}\0${demo.app}\0`),
  );
  connection.setText(window, '_NET_WM_NAME', demo.title);
  connection.setNumbers(window, '_NET_WM_PID', 'CARDINAL', [process.pid]);
  const startupId = process.env['DESKTOP_STARTUP_ID'];
  if (startupId !== undefined) connection.setText(window, '_NET_STARTUP_ID', startupId);
  connection.setNumbers(window, 'WM_PROTOCOLS', 'ATOM', [atoms.WM_DELETE_WINDOW]);
  if (demo.kind)
    connection.setNumbers(window, '_NET_WM_WINDOW_TYPE', 'ATOM', [
      atoms[`_NET_WM_WINDOW_TYPE_${demo.kind}`],
    ]);
  const { min = [0, 0], increment = [0, 0], aspect = [0, 0] } = demo;
  const flags = (demo.min ? 16 : 0) | (demo.increment ? 64 : 0) | (demo.aspect ? 128 : 0);
  if (flags !== 0)
    connection.setNumbers(window, 'WM_NORMAL_HINTS', 'CARDINAL', [
      ...[flags, 0, 0, 0, 0, ...min, 0, 0, ...increment],
      ...[...aspect, ...aspect, 0, 0, NORTH_WEST],
    ]);
  const gc = x.AllocID();
  x.CreateGC(gc, window, { foreground: INK });
  let size = { width: 0, height: 0 };
  let pressed = 0;

  const draw = () => {
    const { width, height } = size;
    const fill = (colour: number, ...rectangle: number[]) => {
      x.ChangeGC(gc, { foreground: colour });
      x.PolyFillRectangle(window, gc, rectangle);
    };
    fill(PAPER, 0, 0, width, height);
    const across = Math.max(24, Math.min(128, Math.floor(height / 4), Math.floor(width / 4)));
    x.ChangeGC(gc, { foreground: ofHue(demo.hue) });
    x.PolyFillArc(window, gc, [24, 24, across, across, 0, FULL_CIRCLE]);
    const dot = Math.max(1, Math.floor(across / 26));
    x.ChangeGC(gc, { foreground: PAPER });
    const wide = text.lengthOf(demo.mark, dot);
    text.draw(
      window,
      gc,
      24 + Math.floor((across - wide) / 2),
      24 + Math.floor((across - text.height * dot) / 2),
      demo.mark,
      dot,
    );
    // The title as large as it has room.
    const left = 24 + across + 20;
    const room = Math.max(1, width - left - 16);
    const large = Math.max(1, Math.min(6, Math.floor(room / text.lengthOf(demo.title, 1))));
    x.ChangeGC(gc, { foreground: INK });
    text.draw(
      window,
      gc,
      left,
      24 + Math.floor((across - text.height * large) / 2),
      demo.title,
      large,
    );
    fill(SLATE, 24, 24 + across + 20, Math.max(1, width - 48), 1);
    const said =
      pressed === 0 ? `${width} x ${height}` : `${width} x ${height}, ${pressed} keys typed here`;
    x.ChangeGC(gc, { foreground: SLATE });
    text.draw(window, gc, 24, 24 + across + 34, said, width > 1_000 ? 4 : 3);
  };

  await new Promise<void>((resolve) => {
    connection.onGone(resolve);
    connection.onEvent((event) => {
      if (event.wid !== window) return;
      if (event.name === 'ConfigureNotify')
        size = { width: event['width'] as number, height: event['height'] as number };
      if (event.name === 'KeyPress') pressed++;
      if (['Expose', 'KeyPress', 'ConfigureNotify'].includes(event.name ?? '')) draw();
      const [protocol] = (event['data'] as number[] | undefined) ?? [];
      if (event.name === 'ClientMessage' && protocol === atoms.WM_DELETE_WINDOW) resolve();
    });
    x.MapWindow(window);
  });
}

/** A colour of a hue, dark enough for letters of paper on it. */
function ofHue(hue: number): number {
  const part = (offset: number) => {
    const k = (offset + hue / 30) % 12;
    return Math.round(255 * (0.4 - 0.24 * Math.max(-1, Math.min(k - 3, 9 - k, 1))));
  };
  return part(0) * 65_536 + part(8) * 256 + part(4);
}
