import type { App } from '@sorn/core/model';
import type { HostMessage } from '@sorn/link';
import type { Clock } from './clock.ts';
import type { LiveFinding } from './findings.ts';
import { commandOf } from './launch.ts';

/** A second close of the same window, so long after the first, forces it. */
const FORCE_AFTER_MS = 1_000;

interface Ways {
  can: () => readonly string[];
  send: (message: HostMessage) => void;
  find: (name: string, finding: LiveFinding | null) => void;
  /** Why something was not done. */
  say: (what: string, because: string) => void;
  changed: () => void;
}

/** What the engine cannot do itself and asks of the desktop: apps are launched, windows are closed. */
export class DesktopRequests {
  /** Command lines that a person confirmed. */
  readonly confirmed: string[];
  /** What is to be launched once its line is confirmed, in the order in which it was asked for. */
  private waiting: { app: string; line: string }[] = [];
  private readonly closeAsked = new Map<string, number>();
  private readonly allowsAll: boolean;
  private readonly clock: Clock;
  private readonly ways: Ways;

  /**
   * @param confirmed lines that were confirmed in an earlier run
   * @param allowsAll no line has to be confirmed
   */
  constructor(confirmed: readonly string[], allowsAll: boolean, clock: Clock, ways: Ways) {
    this.confirmed = [...confirmed];
    this.allowsAll = allowsAll;
    this.clock = clock;
    this.ways = ways;
  }

  /** The command line that a person has to confirm before it is launched; null where none waits. */
  get asked(): string | null {
    return this.waiting[0]?.line ?? null;
  }

  /** True where it is launched now. */
  launchApp(apps: readonly App[], id: string): boolean {
    const app = apps.find((each) => each.id === id);
    if (app?.exec) return this.launch(id, app.exec);
    this.found(id, `${app?.name ?? id} has no command line: its exec says none`);
    return false;
  }

  /**
   * True where it is launched now.
   *
   * @param app whose line it is, or what else it is found by
   */
  launch(app: string, line: string): boolean {
    const command = commandOf(line);
    if (!this.allowsAll && !this.confirmed.includes(line)) {
      // What a person asks for now comes first.
      this.waiting = [{ app, line }, ...this.waiting.filter((each) => each.line !== line)];
      this.found(app, `${line} waits to be confirmed: in the page, or for all by --allow-launch`);
      this.ways.changed();
    } else if (!command) this.found(app, `${line} is no command line`);
    else if (!this.ways.can().includes('launch')) this.found(app, 'the agent cannot launch apps');
    else {
      this.found(app, null);
      this.ways.send({ type: 'launch', app, command });
      return true;
    }
    return false;
  }

  /** The person confirms a line: it is launched, now where that is waited for and from now on. */
  confirm(line: string): void {
    if (!this.confirmed.includes(line)) this.confirmed.push(line);
    const confirmed = this.waiting.filter((each) => each.line === line);
    this.waiting = this.waiting.filter((each) => each.line !== line);
    for (const { app } of confirmed) this.launch(app, line);
  }

  /** @param name what a person calls the window */
  close(window: string, name: string): void {
    if (!this.ways.can().includes('close')) {
      this.ways.say(`${name} is not closed`, 'the agent cannot close windows');
      return;
    }
    const now = this.clock.now();
    const asked = this.closeAsked.get(window);
    const force = asked !== undefined && now - asked >= FORCE_AFTER_MS;
    if (asked === undefined || force) this.closeAsked.set(window, now);
    this.ways.send({ type: 'close', window, ...(force && { force }) });
  }

  /** A window is gone: whether it was asked to close does not matter any more. */
  gone(window: string): void {
    this.closeAsked.delete(window);
  }

  private found(app: string, text: string | null): void {
    this.ways.find(`launch ${app}`, text === null ? null : { kind: 'launch', about: app, text });
  }
}
