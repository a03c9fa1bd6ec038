import { answer, type Connection } from './connection.ts';

/** The display is another one's. */
export class DisplayTaken extends Error {}

const SUBSTRUCTURE = 0x00080000 | 0x00100000;
const STRUCTURE = 0x00020000;
const PROPERTY = 0x00400000;
const INPUT_ONLY = 2;
/** How long the one before has to go. */
const LEAVE_MS = 5_000;

/**
 * Takes the display over as the one that arranges its windows (ICCCM 2.8): by the selection WM_S0, then by what the
 * server gives to one client alone.
 *
 * @param replaces whoever has it is asked to go
 * @returns our own window: it holds the selection, stands for us (EWMH), and takes the keyboard where no window has it
 * @throws DisplayTaken
 */
export async function takeDisplay(connection: Connection, replaces: boolean): Promise<number> {
  const { x, root, atoms } = connection;
  const owner = await answer<number>((done) => x.GetSelectionOwner(atoms.WM_S0, done));
  if (owner !== 0 && !replaces) throw new DisplayTaken('another program arranges this display');
  if (owner !== 0) x.ChangeWindowAttributes(owner, { eventMask: STRUCTURE }, () => true);
  const own = x.AllocID();
  x.CreateWindow(own, root, -10, -10, 1, 1, 0, 0, INPUT_ONLY, 0, {
    overrideRedirect: 1,
    eventMask: PROPERTY,
  });
  x.MapWindow(own);
  const time = await timeNow(connection, own);
  x.SetSelectionOwner(own, atoms.WM_S0, time);
  const isOurs = (await answer<number>((done) => x.GetSelectionOwner(atoms.WM_S0, done))) === own;
  if (!isOurs) throw new DisplayTaken('another program took this display at the same moment');
  if (owner !== 0 && !(await left(connection, owner)))
    throw new DisplayTaken('the program that arranges this display does not go');
  try {
    await answer<unknown>((done) =>
      x.ChangeWindowAttributes(root, { eventMask: SUBSTRUCTURE | STRUCTURE | PROPERTY }, done),
    );
  } catch {
    throw new DisplayTaken('another program arranges this display');
  }
  x.SendEvent(root, 0, STRUCTURE, {
    name: 'ClientMessage',
    format: 32,
    wid: root,
    message_type: atoms.MANAGER,
    data: [time, atoms.WM_S0, own, 0, 0],
  });
  return own;
}

/** The server's time: of a change of nothing to a property of our own window. */
export function timeNow(connection: Connection, own: number): Promise<number> {
  const { x, atoms } = connection;
  return new Promise((resolve) => {
    const hear = (event: { name?: string; wid: number; time?: unknown }) => {
      if (event.name !== 'PropertyNotify' || event.wid !== own) return;
      x.removeListener('event', hear);
      resolve(Number(event.time));
    };
    x.on('event', hear);
    x.ChangeProperty(2, own, atoms.WM_CLASS, atoms.STRING, 8, []);
  });
}

/** Waits until a window is gone. False where it stays too long. */
function left(connection: Connection, window: number): Promise<boolean> {
  const { x } = connection;
  return new Promise((resolve) => {
    const over = (isGone: boolean) => {
      clearTimeout(timer);
      x.removeListener('event', hear);
      resolve(isGone);
    };
    const hear = (event: { name?: string; wid: number }) => {
      if (event.name === 'DestroyNotify' && event.wid === window) over(true);
    };
    const timer = setTimeout(() => over(false), LEAVE_MS);
    x.on('event', hear);
    // It may be gone before we listened.
    x.GetGeometry(window, (error) => {
      if (error) over(true);
      return true;
    });
  });
}
