import type { AgentMessage, LinkRect } from '@sorn/link';
import type { Connection } from '../server/connection.ts';
import { askedBox, type Wish } from '../windows/box.ts';
import type { Managed } from '../windows/managed.ts';
import type { RootWords } from './root-words.ts';
import type { Windows } from './windows.ts';

const ICONIC = 3;
/** What is to be done with a state. */
const REMOVE = 0;
const TOGGLE = 2;
const ATTENTION = '_NET_WM_STATE_DEMANDS_ATTENTION';

/** A message of a program: to the root, or about a window. */
export interface ClientMessage {
  wid: number;
  message_type: number;
  format: number;
  data: readonly number[];
}

/** What programs ask for by messages (EWMH, ICCCM), as the link has it: nothing is done but by the host. */
export class Requests {
  private readonly connection: Connection;
  private readonly windows: Windows;
  private readonly root: RootWords;
  private readonly say: (message: AgentMessage) => void;

  constructor(
    connection: Connection,
    windows: Windows,
    root: RootWords,
    say: (message: AgentMessage) => void,
  ) {
    this.connection = connection;
    this.windows = windows;
    this.root = root;
    this.say = say;
  }

  /** @returns the window that asks for a place, where it is that */
  take({ wid, message_type: type, format, data }: ClientMessage): Managed | null {
    if (format !== 32) return null;
    const { atoms } = this.connection;
    if (type === atoms._NET_CURRENT_DESKTOP) {
      const workspace = this.root.workspaceAt(data[0]!);
      if (workspace !== undefined) this.say({ type: 'requested', what: 'go-workspace', workspace });
      return null;
    }
    const managed = this.windows.of(wid);
    if (!managed) return null;
    const { id: window } = managed;
    switch (type) {
      case atoms._NET_ACTIVE_WINDOW:
        this.say({ type: 'requested', what: 'activate', window });
        return null;
      case atoms._NET_CLOSE_WINDOW:
        this.say({ type: 'requested', what: 'close', window });
        return null;
      case atoms.WM_CHANGE_STATE:
        if (data[0] === ICONIC) this.say({ type: 'requested', what: 'minimise', window });
        return null;
      case atoms._NET_WM_STATE:
        for (const atom of data.slice(1, 3)) this.state(managed, data[0]!, atom);
        return null;
      case atoms._NET_MOVERESIZE_WINDOW:
        this.place(managed, data);
        return managed;
      default:
        return null;
    }
  }

  /** A window asks for a place; its programs know nothing of our border. */
  askFor(managed: Managed, wish: Wish, gravity = managed.said.size.gravity): void {
    const rect = askedBox(wish, managed.geometry, gravity, managed.ownBorder);
    const box: LinkRect = {
      ...rect,
      width: Math.max(1, rect.width),
      height: Math.max(1, rect.height),
    };
    this.say({ type: 'asked', window: managed.id, rect: box, by: 'window' });
  }

  private place(managed: Managed, [flags = 0, ...values]: readonly number[]): void {
    const has = (bit: number) => (flags & (1 << (8 + bit))) !== 0;
    const [x = 0, y = 0, width = 0, height = 0] = values.map((value) => value | 0);
    this.askFor(
      managed,
      {
        ...(has(0) && { x }),
        ...(has(1) && { y }),
        ...(has(2) && { width }),
        ...(has(3) && { height }),
      },
      flags & 0xff || undefined,
    );
  }

  private state(managed: Managed, action: number, atom: number): void {
    const { atoms } = this.connection;
    const { id: window, isFullScreen, isAbove } = managed;
    const wanted = (is: boolean) => (action === TOGGLE ? !is : action !== REMOVE);
    if (atom === atoms._NET_WM_STATE_FULLSCREEN)
      this.say({ type: 'requested', what: 'full-screen', window, on: wanted(isFullScreen) });
    else if (atom === atoms._NET_WM_STATE_ABOVE)
      this.say({ type: 'requested', what: 'above', window, on: wanted(isAbove) });
    else if (atom === atoms._NET_WM_STATE_DEMANDS_ATTENTION) {
      const { said } = managed;
      const others = said.states.filter((state) => state !== ATTENTION);
      const isOn = wanted(said.states.includes(ATTENTION));
      managed.said = { ...said, states: isOn ? [...others, ATTENTION] : others };
      this.windows.tell(managed);
    }
  }
}
