import x11, { type Done, type Property, type XClient, type XError, type XEvent } from 'x11';
import { ATOM_NAMES, type Atoms } from './atoms.ts';

/** Nothing is longer than this that is read of a property, in units of four bytes: 64 KiB. */
const LONGEST_PROPERTY = 16_384;
/** Replaces what a property had. */
const REPLACE = 0;

/** A connection to an X server, with what is asked of it as promises. */
export class Connection {
  readonly x: XClient;
  readonly root: number;
  readonly atoms: Atoms;
  /** The names of atoms that were asked for, or that the server was asked about. */
  private readonly names = new Map<number, string>();
  private readonly numbers = new Map<string, number>();

  private constructor(x: XClient, root: number, atoms: Atoms) {
    this.x = x;
    this.root = root;
    this.atoms = atoms;
    for (const [name, atom] of Object.entries(atoms)) this.learn(atom, name);
  }

  /** @throws where the display cannot be reached */
  static async open(display: string | undefined): Promise<Connection> {
    const x = await new Promise<XClient>((resolve, reject) => {
      const client = x11.createClient(
        // What is said within one turn goes in one write. No pictures are shared through memory.
        { ...(display !== undefined && { display }), bufferRequests: true, shm: 'off' },
        (error, connected) => {
          if (error) reject(error);
          else resolve(connected.client);
        },
      );
      // Until it is connected an error ends the attempt, above.
      client.on('error', () => undefined);
    });
    const atoms = await Promise.all(
      ATOM_NAMES.map(
        async (name) =>
          [name, await answer<number>((done) => x.InternAtom(false, name, done))] as const,
      ),
    );
    return new Connection(
      x,
      x.display.screen[0]!.root,
      Object.fromEntries(atoms) as Record<(typeof ATOM_NAMES)[number], number>,
    );
  }

  /** The number of the last request that was said. */
  get last(): number {
    return this.x.seq_num;
  }

  onEvent(take: (event: XEvent) => void): void {
    this.x.on('event', take);
  }

  /** The server is gone. Errors of single requests are none: windows vanish at any time. */
  onGone(gone: () => void): void {
    this.x.on('end', gone);
    this.x.on('error', (error: XError) => {
      if (error.error === undefined) gone();
    });
  }

  /** Everything said so far was done, and what came of it was heard. */
  async sync(): Promise<void> {
    await answer<unknown>((done) => this.x.GetInputFocus(done)).catch(() => undefined);
  }

  /** A property of a window; null where there is none, or no such window. */
  async property(window: number, name: keyof Atoms): Promise<Property | null> {
    try {
      const read = await answer<Property>((done) =>
        this.x.GetProperty(0, window, this.atoms[name], 0, 0, LONGEST_PROPERTY, done),
      );
      return read.type === 0 ? null : read;
    } catch {
      return null;
    }
  }

  /** Sets a list of numbers: of atoms, windows, or counts. */
  setNumbers(
    window: number,
    name: keyof Atoms,
    type: 'ATOM' | 'CARDINAL' | 'WINDOW' | 'WM_STATE',
    values: readonly number[],
  ): void {
    this.x.ChangeProperty(REPLACE, window, this.atoms[name], this.atoms[type], 32, [...values]);
  }

  setText(window: number, name: keyof Atoms, text: string): void {
    const bytes = Buffer.from(text, 'utf8');
    this.x.ChangeProperty(
      REPLACE,
      window,
      this.atoms[name],
      this.atoms.UTF8_STRING,
      8,
      bytes.length > 0 ? bytes : [],
    );
  }

  remove(window: number, name: keyof Atoms): void {
    this.x.DeleteProperty(window, this.atoms[name]);
  }

  /** A message to a window itself, as its programs get it from whoever arranges them. */
  tell(window: number, type: keyof Atoms, data: readonly number[]): void {
    this.x.SendEvent(window, 0, 0, {
      name: 'ClientMessage',
      format: 32,
      wid: window,
      message_type: this.atoms[type],
      data: [...data],
    });
  }

  /** The name of an atom. */
  async nameOf(atom: number): Promise<string> {
    const known = this.names.get(atom);
    if (known !== undefined) return known;
    const name = await answer<string>((done) => this.x.GetAtomName(atom, done)).catch(() => '');
    this.learn(atom, name);
    return name;
  }

  private learn(atom: number, name: string): void {
    this.names.set(atom, name);
    this.numbers.set(name, atom);
  }

  /** The atoms of names that the server was asked about; others are left out. */
  atomsOf(names: readonly string[]): number[] {
    return names.flatMap((name) => this.numbers.get(name) ?? []);
  }
}

/** What a request is answered with. @throws the server's error */
export function answer<T>(ask: (done: Done<T>) => void): Promise<T> {
  return new Promise((resolve, reject) => {
    ask((error, reply) => {
      if (error) reject(error);
      else resolve(reply);
      return true;
    });
  });
}

/** The reply to a request that the package does not have. @param read takes the reply's bytes from the ninth on */
export function askRaw<T>(x: XClient, request: Buffer, read: (body: Buffer) => T): Promise<T> {
  return answer<T>((done) => {
    x.seq_num++;
    x.pack_stream.put(request);
    x.replies[x.seq_num] = [read, done as Done<never>];
    x.pack_stream.submit(true);
  });
}
