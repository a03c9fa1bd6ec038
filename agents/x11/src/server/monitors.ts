import type { LinkMonitor } from '@sorn/link';
import type { XClient } from 'x11';
import { answer, askRaw, type Connection } from './connection.ts';

interface Extension {
  majorOpcode: number;
  present?: number;
  firstEvent: number;
}
interface Randr extends Extension {
  QueryVersion: (major: number, minor: number, done: (e: unknown, v: number[]) => boolean) => void;
  SelectInput: (window: number, mask: number) => void;
  GetOutputInfo: (
    output: number,
    time: number,
    done: (e: unknown, info: { crtc: number }) => boolean,
  ) => void;
  GetCrtcInfo: (
    crtc: number,
    time: number,
    done: (e: unknown, info: { rotation: number }) => boolean,
  ) => void;
  GetOutputProperty: (
    output: number,
    property: number,
    type: number,
    offset: number,
    length: number,
    remove: number,
    pending: number,
    done: (e: unknown, property: { data: Buffer }) => boolean,
  ) => void;
}
interface Xinerama extends Extension {
  QueryScreens: (
    done: (
      e: unknown,
      screens: { x: number; y: number; width: number; height: number }[],
    ) => boolean,
  ) => void;
}

/** What RandR 1.5 tells of a monitor. */
export interface ToldMonitor {
  /** The atom of its name. */
  name: number;
  primary: boolean;
  x: number;
  y: number;
  width: number;
  height: number;
  widthMm: number;
  heightMm: number;
  outputs: number[];
}

const GET_MONITORS = 42;
const SCREEN_CHANGES = 1;
const CRTC_CHANGES = 2;
const OUTPUT_CHANGES = 4;
const PROPERTY_CHANGES = 8;
/** So many bytes of an EDID are read at most, in units of four. */
const EDID_UNITS = 1_024;

/** Reads the reply to GetMonitors (RandR 1.5), from its ninth byte on. */
export function readMonitors(body: Buffer): ToldMonitor[] {
  const count = body.readUInt32LE(4);
  const monitors: ToldMonitor[] = [];
  let at = 24;
  for (let i = 0; i < count; i++) {
    const outputs = body.readUInt16LE(at + 6);
    monitors.push({
      name: body.readUInt32LE(at),
      primary: body.readUInt8(at + 4) !== 0,
      x: body.readInt16LE(at + 8),
      y: body.readInt16LE(at + 10),
      width: body.readUInt16LE(at + 12),
      height: body.readUInt16LE(at + 14),
      widthMm: body.readUInt32LE(at + 16),
      heightMm: body.readUInt32LE(at + 20),
      outputs: Array.from({ length: outputs }, (_, o) => body.readUInt32LE(at + 24 + 4 * o)),
    });
    at += 24 + 4 * outputs;
  }
  return monitors;
}

/** Degrees, clockwise, of a rotation of RandR, which counts the other way round. */
export function turnOf(rotation: number): 0 | 90 | 180 | 270 {
  if (rotation & 2) return 270;
  if (rotation & 4) return 180;
  if (rotation & 8) return 90;
  return 0;
}

/** The monitors of a display, by RandR 1.5, by Xinerama where that is older, else the whole screen as one. */
export class Monitors {
  private readonly connection: Connection;
  private readonly randr: Randr | null;
  private readonly xinerama: Xinerama | null;

  private constructor(connection: Connection, randr: Randr | null, xinerama: Xinerama | null) {
    this.connection = connection;
    this.randr = randr;
    this.xinerama = xinerama;
  }

  /** Asks to be told of changes, too. */
  static async of(connection: Connection): Promise<Monitors> {
    const { x, root } = connection;
    const randr = await required<Randr>(x, 'randr');
    const [major = 0, minor = 0] = randr
      ? await answer<number[]>((done) => randr.QueryVersion(1, 5, done as never)).catch(() => [])
      : [];
    const isNew = major > 1 || (major === 1 && minor >= 5);
    randr?.SelectInput(
      root,
      SCREEN_CHANGES | (isNew ? CRTC_CHANGES | OUTPUT_CHANGES | PROPERTY_CHANGES : 0),
    );
    return new Monitors(connection, isNew ? randr : null, await required<Xinerama>(x, 'xinerama'));
  }

  /** True for an event that tells of a change of monitors. */
  isChange({
    type,
    name,
    wid1,
  }: {
    type: number;
    name?: string;
    [field: string]: unknown;
  }): boolean {
    if (name === 'ConfigureNotify') return wid1 === this.connection.root;
    const first = this.randr?.firstEvent;
    return first !== undefined && (type === first || type === first + 1);
  }

  /** All there are now. Two of one place (one shows what the other does) are one. */
  async all(): Promise<LinkMonitor[]> {
    const scale = await this.scale();
    const told = (await this.byRandr()) ?? (await this.byXinerama()) ?? [];
    const monitors = told.length > 0 ? told : [await this.whole()];
    // One is the first, where nobody said which.
    if (!monitors.some(({ primary }) => primary)) {
      const fromLeft = [...monitors].sort((a, b) => a.x - b.x || a.y - b.y);
      fromLeft[0]!.primary = true;
    }
    const places = new Set<string>();
    return monitors.flatMap((monitor) => {
      const { x, y, width, height } = monitor;
      const place = `${x} ${y} ${width} ${height}`;
      if (places.has(place) || width === 0 || height === 0) return [];
      places.add(place);
      return [{ ...monitor, scale }];
    });
  }

  private async byRandr(): Promise<Omit<LinkMonitor, 'scale'>[] | null> {
    const { connection, randr } = this;
    if (!randr) return null;
    const request = Buffer.alloc(12);
    request[0] = randr.majorOpcode;
    request[1] = GET_MONITORS;
    request.writeUInt16LE(3, 2);
    request.writeUInt32LE(connection.root, 4);
    // Only those that are lit.
    request[8] = 1;
    const told = await askRaw(connection.x, request, readMonitors).catch(() => null);
    if (!told) return null;
    return Promise.all(
      told.map(async ({ name, outputs, primary, x, y, width, height, widthMm, heightMm }) => ({
        name: (await connection.nameOf(name)) || `monitor-${x}-${y}`,
        ...{ x, y, width, height, primary },
        ...(widthMm > 0 && heightMm > 0 && { widthMm, heightMm }),
        ...(await this.device(outputs[0])),
      })),
    );
  }

  /** How it is turned, and its EDID. */
  private async device(
    output: number | undefined,
  ): Promise<Pick<LinkMonitor, 'turn'> & { edid?: string }> {
    const { randr, connection } = this;
    if (!randr || output === undefined) return { turn: 0 };
    const edidAtom = await answer<number>((done) => connection.x.InternAtom(true, 'EDID', done));
    const [edid, turn] = await Promise.all([
      edidAtom === 0
        ? null
        : answer<{ data: Buffer }>((done) =>
            randr.GetOutputProperty(output, edidAtom, 0, 0, EDID_UNITS, 0, 0, done as never),
          ).catch(() => null),
      answer<{ crtc: number }>((done) => randr.GetOutputInfo(output, 0, done as never))
        .then(({ crtc }) =>
          crtc === 0
            ? { rotation: 1 }
            : answer<{ rotation: number }>((done) => randr.GetCrtcInfo(crtc, 0, done as never)),
        )
        .then(({ rotation }) => turnOf(rotation))
        .catch(() => 0 as const),
    ]);
    return {
      turn,
      ...(edid && edid.data.length >= 128 && { edid: edid.data.toString('base64') }),
    };
  }

  private async byXinerama(): Promise<Omit<LinkMonitor, 'scale'>[] | null> {
    const { xinerama } = this;
    if (!xinerama) return null;
    const screens = await answer<{ x: number; y: number; width: number; height: number }[]>(
      (done) => xinerama.QueryScreens(done as never),
    ).catch(() => []);
    return screens.map((screen, i) => ({
      name: `screen-${i}`,
      ...screen,
      turn: 0,
      primary: i === 0,
    }));
  }

  private async whole(): Promise<Omit<LinkMonitor, 'scale'>> {
    const { width, height } = await this.desktop();
    return { name: 'screen', x: 0, y: 0, width, height, turn: 0, primary: true };
  }

  /** The size of the whole desktop. */
  async desktop(): Promise<{ width: number; height: number }> {
    const { x, root } = this.connection;
    return answer<{ width: number; height: number }>((done) => x.GetGeometry(root, done as never));
  }

  /** Physical pixels to a logical one: what programs take for it, from the resource Xft.dpi, in quarters. */
  private async scale(): Promise<number> {
    const told = await this.connection.property(this.connection.root, 'RESOURCE_MANAGER');
    const [, dpi] = /^Xft\.dpi:\s*([\d.]+)/m.exec(told?.data.toString('latin1') ?? '') ?? [];
    const scale = Math.round((Number(dpi ?? 96) / 96) * 4) / 4;
    return Math.min(8, Math.max(0.25, scale || 1));
  }
}

/** An extension; null where the server has it not. */
function required<T>(x: XClient, name: string): Promise<T | null> {
  return new Promise((resolve) => {
    x.require<T>(name, (error, extension) => {
      resolve(error ? null : extension);
      return true;
    });
  });
}
