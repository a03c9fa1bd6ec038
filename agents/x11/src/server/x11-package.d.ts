/** What of the package x11 is used: it has no types of its own. */
declare module 'x11' {
  import type { EventEmitter } from 'node:events';

  /** An error of the X server, or of the connection to it (then without a code). */
  export interface XError extends Error {
    /** The code of the protocol: 3 is BadWindow. */
    error?: number;
    seq?: number;
    badParam?: number;
    majorOpcode?: number;
    minorOpcode?: number;
  }
  /** A true answer: the error is dealt with. */
  export type Done<T> = (error: XError | null | undefined, reply: T) => unknown;

  export interface XEvent {
    name?: string;
    type: number;
    /** The last request of this client that the server had processed. */
    seq: number;
    wid: number;
    rawData: Buffer;
    [field: string]: unknown;
  }
  export interface Attributes {
    eventMask?: number;
    borderPixel?: number;
    backgroundPixel?: number;
    overrideRedirect?: number;
    bitGravity?: number;
  }
  export interface Configuration {
    x?: number;
    y?: number;
    width?: number;
    height?: number;
    borderWidth?: number;
    sibling?: number;
    stackMode?: number;
  }
  export interface Pen {
    foreground?: number;
    background?: number;
    font?: number;
  }
  export interface Property {
    type: number;
    format: number;
    bytesAfter: number;
    data: Buffer;
  }
  export interface XClient extends EventEmitter {
    seq_num: number;
    stream: { destroy: () => void };
    replies: Record<number, [(body: Buffer, byte1: number) => unknown, Done<never>]>;
    pack_stream: {
      put: (bytes: Buffer) => void;
      submit: (expectsReply?: boolean) => boolean;
    };
    display: XDisplay;
    flush: (done?: () => void) => void;
    AllocID: () => number;
    ReleaseID: (id: number) => void;
    require: <T>(extension: string, done: Done<T>) => void;

    InternAtom: (onlyIfExists: boolean, name: string, done: Done<number>) => void;
    GetAtomName: (atom: number, done: Done<string>) => void;
    GetProperty: (
      remove: number,
      window: number,
      property: number,
      type: number,
      offset: number,
      length: number,
      done: Done<Property>,
    ) => void;
    ChangeProperty: (
      mode: number,
      window: number,
      property: number,
      type: number,
      format: 8 | 16 | 32,
      data: Buffer | number[],
    ) => void;
    DeleteProperty: (window: number, property: number) => void;
    QueryTree: (window: number, done: Done<{ parent: number; children: number[] }>) => void;
    GetWindowAttributes: (
      window: number,
      done: Done<{ overrideRedirect: number; mapState: number; klass: number }>,
    ) => void;
    ChangeWindowAttributes: (window: number, values: Attributes, done?: Done<unknown>) => void;
    GetGeometry: (
      window: number,
      done: Done<{
        depth: number;
        xPos: number;
        yPos: number;
        width: number;
        height: number;
        borderWidth: number;
      }>,
    ) => void;
    CreateWindow: (
      id: number,
      parent: number,
      x: number,
      y: number,
      width: number,
      height: number,
      borderWidth: number,
      depth: number,
      windowClass: number,
      visual: number,
      values: Attributes,
    ) => void;
    DestroyWindow: (window: number) => void;
    ConfigureWindow: (window: number, values: Configuration) => void;
    MapWindow: (window: number) => void;
    UnmapWindow: (window: number) => void;
    ChangeSaveSet: (isInsert: number, window: number) => void;
    KillClient: (window: number) => void;
    SetInputFocus: (window: number, revertTo: number) => void;
    GetInputFocus: (done: Done<{ focus: number; revertTo: number }>) => void;
    GetSelectionOwner: (selection: number, done: Done<number>) => void;
    SetSelectionOwner: (owner: number, selection: number, time: number) => void;
    SendEvent: (
      destination: number,
      propagate: number,
      eventMask: number,
      event: Record<string, unknown> | Buffer,
    ) => void;
    QueryPointer: (window: number, done: Done<{ rootX: number; rootY: number }>) => void;
    WarpPointer: (
      from: number,
      to: number,
      fromX: number,
      fromY: number,
      width: number,
      height: number,
      toX: number,
      toY: number,
    ) => void;
    GrabButton: (
      window: number,
      ownerEvents: number,
      mask: number,
      pointerMode: number,
      keyboardMode: number,
      confineTo: number,
      cursor: number,
      button: number,
      modifiers: number,
      done?: Done<unknown>,
    ) => void;
    GrabKey: (
      window: number,
      ownerEvents: number,
      modifiers: number,
      keycode: number,
      pointerMode: number,
      keyboardMode: number,
      done?: Done<unknown>,
    ) => void;
    UngrabKey: (window: number, keycode: number, modifiers: number) => void;
    GrabKeyboard: (
      window: number,
      ownerEvents: number,
      time: number,
      pointerMode: number,
      keyboardMode: number,
      done: Done<number>,
    ) => void;
    UngrabKeyboard: (time: number) => void;
    QueryKeymap: (done: Done<Buffer>) => void;
    GetKeyboardMapping: (first: number, count: number, done: Done<number[][]>) => void;
    GetModifierMapping: (done: Done<number[][]>) => void;
    UngrabButton: (window: number, button: number, modifiers: number) => void;
    OpenFont: (font: number, name: string) => void;
    QueryFont: (
      font: number,
      done: Done<{
        maxBounds: { characterWidth: number };
        fontAscent: number;
        fontDescent: number;
      }>,
    ) => void;
    CreatePixmap: (
      pixmap: number,
      drawable: number,
      depth: number,
      width: number,
      height: number,
    ) => void;
    FreePixmap: (pixmap: number) => void;
    CreateGC: (gc: number, drawable: number, values: Pen) => void;
    ChangeGC: (gc: number, values: Pen) => void;
    FreeGC: (gc: number) => void;
    PolyFillRectangle: (drawable: number, gc: number, rectangles: readonly number[]) => void;
    PolyFillArc: (drawable: number, gc: number, arcs: readonly number[]) => void;
    PolyText8: (
      drawable: number,
      gc: number,
      x: number,
      y: number,
      items: readonly string[],
    ) => void;
    GetImage: (
      format: number,
      drawable: number,
      x: number,
      y: number,
      width: number,
      height: number,
      planes: number,
      done: Done<{ depth: number; data: Buffer }>,
    ) => void;
    AllowEvents: (mode: number, time: number) => void;
  }
  export interface XDisplay {
    client: XClient;
    screen: { root: number; pixel_width: number; pixel_height: number; root_depth: number }[];
  }
  export function createClient(
    options: {
      display?: string;
      bufferRequests?: boolean | object;
      shm?: 'off';
    },
    done: (error: Error | null | undefined, display: XDisplay) => void,
  ): XClient;
  const x11: { createClient: typeof createClient };
  export default x11;
}
