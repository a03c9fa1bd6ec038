import type { App } from '@sorn/core/model';
import type { HostMessage } from '@sorn/link';
import type { Clock } from './clock.ts';
import type { LiveFinding } from './findings.ts';
import { commandOf } from './launch.ts';

/** A second close of the same window, so long after the first, forces it. */
const FORCE_AFTER_MS = 1_000;
/** A program that was launched shows its window within so long, or it is not known by that any more. */
const STARTUP_MS = 60_000;

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
  private waiting: { line: string; app: string | undefined }[] = [];
  /** Apps that were launched and have no window yet, by start-up id. */
  private readonly launched = new Map<string, { app: string; at: number }>();
  private launches = 0;
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
    if (app?.exec) return this.launch(app.exec, id);
    this.found(id, `${app?.name ?? id} has no command line: its exec says none`);
    return false;
  }

  /**
   * True where it is launched now.
   *
   * @param app whose line it is; undefined where it is nobody's
   */
  launch(line: string, app?: string): boolean {
    const command = commandOf(line);
    const about = app ?? line;
    if (!this.allowsAll && !this.confirmed.includes(line)) {
      // What a person asks for now comes first.
      this.waiting = [{ line, app }, ...this.waiting.filter((each) => each.line !== line)];
      this.found(about, `${line} waits to be confirmed: in the page, or for all by --allow-launch`);
      this.ways.changed();
    } else if (!command) this.found(about, `${line} is no command line`);
    else if (!this.ways.can().includes('launch')) this.found(about, 'the agent cannot launch apps');
    else {
      this.found(about, null);
      const at = this.clock.now();
      const startupId = `sorn-${++this.launches}-${Math.round(at)}_TIME0`;
      if (app !== undefined) this.launched.set(startupId, { app, at });
      this.ways.send({ type: 'launch', app: about.slice(0, 80), command, startupId });
      return true;
    }
    return false;
  }

  /** The app that was launched with a start-up id of late, and has no window yet; null where none was. */
  launchedAs(startupId: string | undefined): string | null {
    const launched = this.launched.get(startupId ?? '');
    return launched && this.clock.now() - launched.at < STARTUP_MS ? launched.app : null;
  }

  /** A window of an app is there: what was launched first for it is waited for no longer. */
  came(app: string | undefined): void {
    const first = [...this.launched].find(([, launched]) => launched.app === app);
    if (first) this.launched.delete(first[0]);
  }

  /** The person confirms a line: it is launched, now where that is waited for and from now on. */
  confirm(line: string): void {
    if (!this.confirmed.includes(line)) this.confirmed.push(line);
    const confirmed = this.waiting.filter((each) => each.line === line);
    this.waiting = this.waiting.filter((each) => each.line !== line);
    for (const { app } of confirmed) this.launch(line, app);
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

  private found(about: string, text: string | null): void {
    this.ways.find(`launch ${about}`, text === null ? null : { kind: 'launch', about, text });
  }
}
