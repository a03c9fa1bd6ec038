import { commandText, type Command } from '@sorn/core/commands';
import { findingText } from '@sorn/core/checkup';
import { deskInForce, monitorName } from '@sorn/core/desk';
import {
  computePlacements,
  eventOfKey,
  openSession,
  outsideReason,
  reduce,
  windowName,
  windowOf,
  type Reason,
  type SessionEvent,
} from '@sorn/core/engine';
import { keyMap, type KeyOutput } from '@sorn/core/keys';
import {
  interactionOf,
  sessionSchema,
  type Profile,
  type Session,
  type SessionWindow,
} from '@sorn/core/model';
import {
  MOST_WINDOWS,
  PROTOCOL,
  type AgentMessage,
  type FromAgent,
  type FromHost,
  type HostMessage,
  type LinkMonitor,
  type LinkRect,
} from '@sorn/link';
import isEqual from 'fast-deep-equal';
import { adopted, renamed } from './adoption.ts';
import type { Clock } from './clock.ts';
import { KeyPresses } from './key-presses.ts';
import { commandOf } from './launch.ts';
import { Findings, type LiveFinding } from './findings.ts';
import { realMonitors, type RealMonitors } from './real-monitors.ts';
import {
  appName,
  appOf,
  isArranged,
  linkId,
  logicalHints,
  sessionId,
  windowInput,
} from './real-window.ts';
import type { LiveRecord } from './record.ts';
import { Rounds } from './rounds.ts';
import { SizeLessons } from './size-lessons.ts';
import { statusOf, type LiveStatus } from './status.ts';
import { listeningTo, WAY_OUT, wantedBefore, wantedOf, workspacesOf } from './told.ts';

/** What happened on the live desk, and why. */
export interface LiveEntry {
  what: string;
  reasons: readonly Reason[];
}

export interface LiveOptions {
  profile: Profile;
  /** What was kept of an earlier run. */
  record: LiveRecord | null;
  clock: Clock;
  send: (message: HostMessage) => void;
  /** False while the agent has not read what was sent before. */
  hasRoom: () => boolean;
  /** Apps may be launched by the command lines of the profile. */
  allowLaunch: boolean;
  onEntry?: (entry: LiveEntry) => void;
  /** Something that a watcher sees is another one now. */
  onChange?: () => void;
  /** A command changed the profile. */
  onEdit?: (profile: Profile) => void;
  /** Keeps the record; null, or a sentence where that failed. */
  keep?: (record: LiveRecord) => string | null;
}

/** A second close of the same window, so long after the first, forces it. */
const FORCE_AFTER_MS = 1_000;
/** A window that asks so often in so short a time, against what it is told, fights. */
const FIGHT_ASKS = 6;
const FIGHT_MS = 2_000;
/**
 * A desk of real windows: takes what an agent tells, and tells it what the engine decides. It keeps no process and no
 * file: whoever runs it passes messages on.
 */
export class LiveDesk {
  private profile: Profile;
  private real: RealMonitors;
  private monitors: LinkMonitor[] = [];
  private session: Session | null = null;
  private readonly record: LiveRecord;
  /** What of the windows of the session is recorded, by their ids. */
  private readonly recorded: Map<string, LiveRecord['windows'][string]>;
  /** The windows that the agent told of, by its ids. */
  private readonly windows = new Map<string, FromAgent<'opened'>>();
  private isReady = false;
  private can: readonly string[] = [];
  private isOut: boolean;
  private readonly rounds: Rounds;
  private readonly keys: KeyPresses;
  private readonly findings: Findings;
  private readonly lessons: SizeLessons;
  private readonly closeAsked = new Map<string, number>();
  private readonly asks = new Map<string, number[]>();
  private sentListen: FromHost<'listen'> | null = null;
  private sentWorkspaces: FromHost<'workspaces'> | null = null;
  private isDirty = false;
  /** What was kept last. */
  private kept: readonly unknown[] = [];
  private readonly options: LiveOptions;

  constructor(options: LiveOptions) {
    this.options = options;
    this.profile = options.profile;
    this.real = { profile: options.profile, ids: new Map(), unknown: [] };
    this.record = options.record ?? {
      session: sessionSchema.parse({}),
      windows: {},
      learned: {},
      isOut: false,
    };
    this.isOut = this.record.isOut;
    this.recorded = new Map(Object.entries(this.record.windows));
    this.lessons = new SizeLessons(this.record.learned);
    this.findings = new Findings(
      ({ text }) => options.onEntry?.({ what: text, reasons: [] }),
      () => options.onChange?.(),
    );
    this.rounds = new Rounds(options.clock, {
      send: (message) => options.send(message),
      tookOther: (window, told, took) => this.tookOther(window, told, took),
      gaveUp: (window, because) => this.gaveUp(window, because),
    });
    this.keys = new KeyPresses(options.clock, {
      desk: () => ({ session: this.session ?? EMPTY, profile: this.real.profile }),
      follow: (out) => this.follow(out),
      answer: (message) => options.send(message),
      decided: () => this.flush(),
    });
  }

  /** An agent says who it is. False where it cannot be spoken with: it is told why. */
  greet(hello: FromAgent<'hello'>): boolean {
    if (hello.protocol !== PROTOCOL) {
      const because = `${hello.agent} speaks protocol ${hello.protocol}; expected ${PROTOCOL}`;
      this.options.send({ type: 'refused', because });
      this.find('agent', { kind: 'agent', text: because });
      return false;
    }
    this.find('agent', null);
    this.can = hello.can;
    this.isReady = false;
    this.windows.clear();
    this.rounds.reset();
    this.sentListen = null;
    this.sentWorkspaces = null;
    this.options.send({
      type: 'welcome',
      protocol: PROTOCOL,
      session: this.profile.name.slice(0, 80),
    });
    return true;
  }

  /** The agent is gone: what it told is not so any more until another one tells. */
  agentGone(because: string): void {
    this.isReady = false;
    this.keys.lost();
    this.find('agent', { kind: 'agent', text: because });
    this.options.onChange?.();
  }

  /** Takes what an agent tells. What comes of it is told by `flush`. */
  take(message: AgentMessage): void {
    switch (message.type) {
      case 'hello':
        this.greet(message);
        return;
      case 'monitors':
        this.onMonitors(message.monitors);
        return;
      case 'opened':
        this.onOpened(message);
        return;
      case 'ready':
        this.begin();
        return;
      case 'changed':
        this.onChanged(message);
        return;
      case 'closed':
        this.onClosed(message.window);
        return;
      case 'focused':
        this.onFocused(message);
        return;
      case 'asked':
        this.onAsked(message);
        return;
      case 'placed':
        this.rounds.placed(message);
        return;
      case 'key':
      case 'button':
        this.onKey(message);
        return;
      case 'keys-lost':
        this.keys.lost();
        this.isDirty = true;
        return;
      case 'requested':
        this.onRequested(message);
        return;
      case 'problem':
        this.say(`the agent could not take ${message.about}`, message.message);
        return;
      case 'ping':
        this.options.send({ type: 'pong' });
        return;
      case 'pong':
      case 'picture':
    }
  }

  /** Tells the agent what differs now, once it has read what was told before. */
  flush(): void {
    const { session } = this;
    if (!session || !this.isReady) return;
    if (this.isDirty && this.options.hasRoom()) {
      this.isDirty = false;
      this.arrange(session);
    }
    this.listen();
    this.keep();
  }

  /** A command by hand or from the page. */
  command(command: Command): readonly Reason[] {
    const reasons = this.happen({ type: 'command', command }, commandText(command));
    this.flush();
    return reasons;
  }

  /**
   * Takes an edited profile over; null, or why not: one without a key that pauses could not be got rid of by its own
   * keys.
   */
  setProfile(next: Profile): string | null {
    const pauses = (profile: Profile) =>
      keyMap(profile).some(({ command }) => command?.command === 'pause');
    if (pauses(this.profile) && !pauses(next))
      return this.refuse('no key pauses the engine any more; expected a binding of pause');
    this.find('profile', null);
    this.profile = next;
    this.refit();
    if (this.session) this.withAppsAnew();
    this.say('profile edited', 'it applies from now on');
    this.flush();
    return null;
  }

  /** A profile that cannot be taken over, and why. What there was stays. */
  refuse(because: string): string {
    this.find('profile', { kind: 'profile', text: `the profile is not taken over: ${because}` });
    this.options.onChange?.();
    return because;
  }

  /** The agent is to end: it shows every window first. */
  end(): void {
    this.options.send({ type: 'bye' });
  }

  /** Nothing is waited for any more. */
  stop(): void {
    this.rounds.stop();
    this.keys.stop();
  }

  /** True where the agent did all that it was told. */
  get isSettled(): boolean {
    return this.isReady && !this.isDirty && this.rounds.isSettled;
  }

  /** The number of the last round that was told. */
  get roundNow(): number {
    return this.rounds.last;
  }

  /** The session as it is; null before the first agent told what there is. */
  get sessionNow(): Session | null {
    return this.session;
  }

  /** The profile as it applies to the monitors that are connected. */
  get realProfile(): Profile {
    return this.real.profile;
  }

  /** Something that a person should know, by a name of its own; null where it is over. */
  find(name: string, finding: LiveFinding | null): void {
    this.findings.set(name, finding);
  }

  status(): LiveStatus {
    const { session, isOut, isReady } = this;
    const state = isOut ? 'out' : session?.paused ? 'paused' : isReady ? 'running' : 'waiting';
    return statusOf(session, this.real.profile, state, this.findings.all);
  }

  // What an agent tells.

  private onMonitors(monitors: LinkMonitor[]): void {
    this.monitors = monitors;
    this.refit();
    if (!this.session || !this.isReady) return;
    this.happen({ type: 'monitors-changed', connected: this.connected() }, 'monitors changed');
  }

  private connected(): string[] {
    return this.monitors.map(({ name }) => this.real.ids.get(name)!);
  }

  /** Lays the profile over the monitors as they are now. */
  private refit(): void {
    const before = this.real.profile;
    // Where no monitor is connected everything waits as it is.
    if (this.monitors.length > 0)
      this.real = realMonitors(this.profile, this.monitors, this.session?.desk);
    else this.real = { ...this.real, profile: this.profile };
    this.findings.clear('monitor ');
    for (const name of this.real.unknown) {
      const text = `${name} is no monitor of the profile: it has the profile's defaults`;
      this.find(`monitor ${name}`, { kind: 'monitor-unknown', about: name, text });
    }
    this.isDirty = true;
    if (!this.session) return;
    const { session } = reduce(this.session, { type: 'profile-edited', before }, this.real.profile);
    this.session = session;
  }

  private onOpened(opened: FromAgent<'opened'>): void {
    if (this.windows.has(opened.window)) {
      this.problem('opened', `window ${opened.window} is open already`);
      return;
    }
    if (this.windows.size >= MOST_WINDOWS) {
      this.problem('opened', `${MOST_WINDOWS} windows are open already: no more are arranged`);
      return;
    }
    this.windows.set(opened.window, opened);
    if (this.isReady && isArranged(opened)) this.open(opened);
  }

  private open(opened: FromAgent<'opened'>): void {
    const id = sessionId(opened.window);
    const app = appName(opened);
    this.recorded.set(id, {
      ...(app !== undefined && { app }),
      ...(opened.title !== undefined && { title: opened.title }),
      before: opened.rect,
    });
    this.happen(
      { type: 'window-opened', window: this.inputOf(opened) },
      `${opened.title ?? id} opens`,
    );
    if (opened.wants?.fullScreen) this.commandOn(id, { command: 'full-screen' });
  }

  private inputOf(opened: FromAgent<'opened'>) {
    const { profile } = this.real;
    const app = appOf(profile, opened)?.id ?? appName(opened) ?? '';
    return windowInput(profile, opened, this.scaleAt(opened.rect), this.lessons.of(app));
  }

  /** All that is there was told: it is adopted, and the engine begins. */
  private begin(): void {
    this.isReady = true;
    const there = [...this.windows.values()].filter(isArranged);
    const names = adopted(this.recorded, there);
    this.session ??= openSession(
      sessionSchema.parse(JSON.parse(JSON.stringify(this.record.session))),
      this.real.profile,
    ).session;
    // Those that are gone go first: another window may have their ids now.
    const stay = new Set(names.values());
    for (const { id } of this.session.windows) {
      if (stay.has(id)) continue;
      this.happen({ type: 'window-closed', id }, `${id} is not there any more`);
    }
    const ids = new Map([...names].map(([window, id]) => [id, sessionId(window)] as const));
    this.session = renamed(this.session, ids);
    const recorded = [...this.recorded].filter(([id]) => stay.has(id));
    this.recorded.clear();
    for (const [id, window] of recorded) this.recorded.set(ids.get(id)!, window);
    this.happen({ type: 'monitors-changed', connected: this.connected() }, 'the desk is there');
    for (const opened of there)
      if (!windowOf(this.session, sessionId(opened.window))) this.open(opened);
      else this.retitle(opened.window, opened.title);
    this.isDirty = true;
    this.options.onChange?.();
  }

  private onChanged(message: FromAgent<'changed'>): void {
    const { window, type: _type, parent, urgent: _urgent, ...changes } = message;
    const before = this.windows.get(window);
    if (!before) {
      this.problem('changed', `no window ${window} is open`);
      return;
    }
    const { parent: was, ...others } = before;
    const over = parent === undefined ? was : (parent ?? undefined);
    const after = { ...others, ...changes, ...(over !== undefined && { parent: over }) };
    this.windows.set(window, after);
    if (!this.isReady || !this.session) return;
    if (isArranged(before) !== isArranged(after)) {
      if (isArranged(after)) this.open(after);
      else this.forget(window);
      return;
    }
    if (changes.hints || changes.app !== undefined) this.withFields(after);
    if (changes.title !== undefined) this.retitle(window, changes.title);
    const { wants } = message;
    if (wants?.fullScreen !== undefined)
      this.onRequested({ type: 'requested', what: 'full-screen', window, on: wants.fullScreen });
    if (wants?.above !== undefined)
      this.onRequested({ type: 'requested', what: 'above', window, on: wants.above });
  }

  private retitle(window: string, title: string | undefined): void {
    const id = sessionId(window);
    const there = windowOf(this.session!, id);
    if (!there || title === undefined || there.title === title) return;
    const known = this.recorded.get(id);
    if (known) known.title = title;
    this.happen({ type: 'window-retitled', id, title }, `titled ${title}`);
  }

  /** The window with what it says of itself now. */
  private withFields(opened: FromAgent<'opened'>): void {
    const { min, max, increment, base, aspect, app, kind } = this.inputOf(opened);
    const now = { min, max, increment, base, aspect, app, kind };
    this.changeWindow(sessionId(opened.window), now);
  }

  private changeWindow(id: string, fields: Partial<Record<keyof SessionWindow, unknown>>): void {
    const { session } = this;
    if (!session) return;
    const given = Object.entries(fields).filter(([, value]) => value !== undefined);
    const gone = Object.keys(fields).filter(
      (name) => fields[name as keyof SessionWindow] === undefined,
    );
    this.session = {
      ...session,
      windows: session.windows.map((window) =>
        window.id === id
          ? (Object.fromEntries([
              ...Object.entries(window).filter(([name]) => !gone.includes(name)),
              ...given,
            ]) as SessionWindow)
          : window,
      ),
    };
    this.isDirty = true;
  }

  private withAppsAnew(): void {
    for (const opened of this.windows.values()) if (isArranged(opened)) this.withFields(opened);
  }

  private onClosed(window: string): void {
    if (!this.windows.delete(window)) {
      this.problem('closed', `no window ${window} is open`);
      return;
    }
    this.forget(window);
  }

  private forget(window: string): void {
    const id = sessionId(window);
    this.rounds.gone(window);
    this.closeAsked.delete(window);
    this.asks.delete(window);
    this.lessons.forget(window);
    this.find(`window ${window}`, null);
    this.find(`fight ${window}`, null);
    this.recorded.delete(id);
    if (this.isReady && this.session && windowOf(this.session, id))
      this.happen({ type: 'window-closed', id }, `${id} closes`);
  }

  private onFocused({ window, round }: FromAgent<'focused'>): void {
    if (!this.rounds.focusIs(window, round)) return;
    this.isDirty = true;
    if (window === null || !this.isReady || !this.session) return;
    const id = sessionId(window);
    if (this.session.focus === id || !windowOf(this.session, id)) return;
    this.happen({ type: 'window-focused', id }, 'the pointer chose it');
  }

  private onAsked({ window, rect, by }: FromAgent<'asked'>): void {
    const id = sessionId(window);
    if (!this.session || !this.isReady || !windowOf(this.session, id)) return;
    const before = this.session;
    if (by === 'pointer' && this.pulled(id, rect)) return;
    this.happen({ type: 'window-asked', id, rect }, `${window} asks for a place`);
    if (this.session !== before && by === 'pointer') return;
    const now = this.options.clock.now();
    const recent = [...(this.asks.get(window) ?? []).filter((at) => now - at < FIGHT_MS), now];
    this.asks.set(window, recent);
    if (recent.length > FIGHT_ASKS) {
      const text = `${window} asks again and again for another place than it is given; it is left as it is`;
      this.find(`fight ${window}`, { kind: 'window-fights', about: window, text });
      return;
    }
    this.find(`fight ${window}`, null);
    // It may have gone there by itself.
    this.rounds.tellAgain(window);
    this.isDirty = true;
  }

  /** A boundary that a pointer pulled is moved. False where the window is in no tile. */
  private pulled(id: string, rect: LinkRect): boolean {
    const { profile } = this.real;
    const placement = computePlacements(this.session!, profile).placements.find(
      (each) => each.id === id,
    );
    if (!placement?.tile) return false;
    const edges = [
      ['left', placement.x - rect.x],
      ['right', rect.x + rect.width - placement.x - placement.width],
      ['up', placement.y - rect.y],
      ['down', rect.y + rect.height - placement.y - placement.height],
    ] as const;
    const moved = edges.filter(([, by]) => by !== 0);
    const isMove = rect.width === placement.width && rect.height === placement.height;
    if (moved.length === 0 || isMove) return false;
    this.happen({ type: 'window-focused', id }, 'a pointer pulls it');
    for (const [direction, by] of moved)
      this.happen(
        { type: 'command', command: { command: 'move-edge', direction, by } },
        'an edge is pulled',
      );
    this.rounds.tellAgain(linkId(id));
    this.isDirty = true;
    return true;
  }

  private onKey(message: FromAgent<'key'> | FromAgent<'button'>): void {
    const isWayOut =
      message.type === 'key' &&
      message.code === 'Escape' &&
      WAY_OUT.every((modifier) => message.modifiers.includes(modifier)) &&
      message.modifiers.length === WAY_OUT.length;
    if (isWayOut) {
      this.options.send({ type: 'keys', answers: [message.n], taken: true });
      if (message.down && !message.repeat) this.wayOut();
    } else if (this.isOut || !this.session)
      this.options.send({ type: 'keys', answers: [message.n], taken: false });
    else this.keys.take(message);
    this.flush();
  }

  /** Every window is where it was before the engine came, and no key is Sorn's; again, and it goes on. */
  private wayOut(): void {
    if (!this.session) return;
    this.isOut = !this.isOut;
    this.keys.lost();
    if (this.isOut !== (this.session.paused !== undefined))
      this.happen(
        { type: 'command', command: { command: this.isOut ? 'pause' : 'resume' } },
        this.isOut ? 'the way out' : 'the way in',
      );
    this.isDirty = true;
    this.options.onChange?.();
  }

  private onRequested({ what, window, workspace, on }: FromAgent<'requested'>): void {
    const { session } = this;
    if (!session || !this.isReady) return;
    const id = window === undefined ? undefined : sessionId(window);
    const there = windowOf(session, id);
    if (what === 'go-workspace') {
      if (workspace === undefined) return;
      const { workspaces } = deskInForce(this.real.profile, session);
      if (workspaces.some((each) => each.id === workspace))
        this.happen(
          { type: 'command', command: { command: 'go-workspace', which: workspace } },
          'a program asks for it',
        );
      return;
    }
    if (!there || id === undefined || window === undefined) return;
    if (what === 'activate')
      this.happen(
        { type: 'command', command: { command: 'find-window', text: id } },
        'a program asks for it',
      );
    else if (what === 'close') this.askToClose(window);
    else if (what === 'minimise') {
      if (there.mode?.as !== 'minimised') this.commandOn(id, { command: 'minimise' });
    } else if (what === 'full-screen') {
      const is = there.mode?.as === 'full-screen';
      if (on !== is) this.commandOn(id, { command: 'full-screen' });
    } else if (on !== (there.stayAbove ?? false)) this.commandOn(id, { command: 'stay-above' });
  }

  private commandOn(id: string, command: Command): void {
    if (this.session!.focus !== id)
      this.happen({ type: 'window-focused', id }, 'a program asks for it');
    this.happen({ type: 'command', command }, 'a program asks for it');
  }

  private problem(about: string, message: string): void {
    this.options.send({ type: 'problem', about, message });
  }

  // What comes of it.

  private follow(out: KeyOutput): void {
    const event = eventOfKey(out);
    if (event) {
      this.happen(event, out.type === 'command' ? commandText(out.command) : 'key let go');
      return;
    }
    switch (out.type) {
      case 'ask':
        this.say(commandText(out.command), 'it needs something typed: give it by hand');
        return;
      case 'outside':
        if (out.command.command === 'run-line') this.launch('line', out.command.line);
        else this.say(commandText(out.command), outsideReason(out, this.profile)!.because);
        return;
      case 'unbound':
        // What a person types is meant for the window: nothing is offered any longer.
        if (interactionOf(this.session!, 'offer'))
          this.happen(
            { type: 'command', command: { command: 'pick-drop' } },
            'something else is typed',
          );
        return;
      case 'layer':
        this.say(`layer ${out.layer} ${out.is}`, out.because);
        return;
      default:
    }
  }

  /** Something happens on the desk: what it opens or closes is asked of the desktop. */
  private happen(event: SessionEvent, what: string): readonly Reason[] {
    const before = this.session;
    if (!before) return [];
    const outcome = reduce(before, event, this.real.profile);
    const isCommand =
      event.type === 'command' || event.type === 'key-pressed' || event.type === 'key-released';
    this.session = isCommand ? this.asked(before, outcome.session, event) : outcome.session;
    if (outcome.edit) this.edit(outcome.edit);
    this.isDirty = true;
    if (this.session.desk !== before.desk) this.refit();
    this.options.onEntry?.({ what, reasons: outcome.trace });
    this.options.onChange?.();
    return outcome.trace;
  }

  /** The session without what a command opened or closed in it: the desktop does that, and tells. */
  private asked(before: Session, after: Session, event: SessionEvent): Session {
    if (before.windows === after.windows) return after;
    const was = new Set(before.windows.map(({ id }) => id));
    const is = new Set(after.windows.map(({ id }) => id));
    const opened = after.windows.filter(({ id }) => !was.has(id));
    const closed = before.windows.filter(({ id }) => !is.has(id));
    if (opened.length === 0 && closed.length === 0) return after;
    for (const { app, id } of opened) this.launchApp(app ?? id);
    for (const { id } of closed) this.askToClose(linkId(id));
    const isChain = 'command' in event && event.command.command === 'chain';
    if (!isChain) {
      const { interaction: _over, uses: _before, ...rest } = before;
      const { interaction, uses } = after;
      return { ...rest, ...(interaction && { interaction }), ...(uses && { uses }) };
    }
    const { profile } = this.real;
    let session = after;
    for (const { id } of opened)
      session = reduce(session, { type: 'window-closed', id }, profile).session;
    for (const window of closed)
      session = reduce(session, { type: 'window-opened', window }, profile).session;
    return session;
  }

  private launchApp(id: string): void {
    const app = this.profile.apps.find((each) => each.id === id);
    if (!app?.exec) {
      const text = `${app?.name ?? id} has no command line: its exec says none`;
      this.find(`launch ${id}`, { kind: 'launch', about: id, text });
      return;
    }
    this.launch(id, app.exec);
  }

  private launch(app: string, line: string): void {
    const command = commandOf(line);
    const fault = !this.options.allowLaunch
      ? `${line} is not launched: that was not allowed (--allow-launch)`
      : !command
        ? `${line} is no command line`
        : !this.can.includes('launch')
          ? 'the agent cannot launch apps'
          : null;
    this.find(`launch ${app}`, fault === null ? null : { kind: 'launch', about: app, text: fault });
    if (fault === null && command) this.options.send({ type: 'launch', app, command });
  }

  private askToClose(window: string): void {
    if (!this.can.includes('close')) {
      this.say(`${window} is not closed`, 'the agent cannot close windows');
      return;
    }
    const now = this.options.clock.now();
    const asked = this.closeAsked.get(window);
    const force = asked !== undefined && now - asked >= FORCE_AFTER_MS;
    if (asked === undefined || force) this.closeAsked.set(window, now);
    this.options.send({ type: 'close', window, ...(force && { force }) });
  }

  /** A command changes the profile: monitors and desks stay the person's, whatever is connected. */
  private edit(edit: Profile): void {
    const { monitors, desks } = this.profile;
    this.profile = { ...edit, monitors, desks };
    this.refit();
    this.options.onEdit?.(this.profile);
  }

  private say(decided: string, because: string): void {
    this.options.onEntry?.({ what: decided, reasons: [{ decided, because }] });
  }

  // What the agent is told.

  private arrange(session: Session): void {
    if (this.isOut) {
      const rectOf = (id: string) => this.recorded.get(id)?.before;
      this.rounds.arrange(wantedBefore(session, rectOf));
    } else {
      const { profile } = this.real;
      const { wanted, findings } = wantedOf(session, profile, this.can);
      this.rounds.arrange(wanted);
      const name = (id: string) => {
        const window = windowOf(session, id);
        return window ? windowName(profile, window) : monitorName(profile, id);
      };
      this.findings.setLayout(findings.map((finding) => findingText(finding, name)));
    }
    if (!this.can.includes('workspaces')) return;
    const workspaces = workspacesOf(session, this.real);
    if (isEqual(workspaces, this.sentWorkspaces)) return;
    this.sentWorkspaces = workspaces;
    this.options.send(workspaces);
  }

  private listen(): void {
    // What an agent cannot do is not asked of it.
    if (!this.can.includes('keys')) return;
    const whole = this.keys.needsAll && this.can.includes('keys-whole');
    const message = listeningTo(this.profile, whole, this.isOut);
    const before = this.sentListen;
    if (before?.triggers === message.triggers && before.whole === message.whole) return;
    if (isEqual(message, before)) return;
    this.sentListen = message;
    this.options.send(message);
  }

  private keep(): void {
    const { session, isOut } = this;
    if (!session || !this.options.keep) return;
    const now = [session, isOut, this.lessons.count] as const;
    if (now.every((each, i) => each === this.kept[i])) return;
    this.kept = now;
    this.record.session = session;
    this.record.isOut = isOut;
    this.record.windows = Object.fromEntries(this.recorded);
    const fault = this.options.keep(this.record);
    this.find('keep', fault === null ? null : { kind: 'cannot-keep', text: fault });
  }

  // What windows make of what they are told.

  private tookOther(
    window: string,
    told: LinkRect,
    took: LinkRect,
  ): 'learned' | 'known' | 'unknown' {
    const opened = this.windows.get(window);
    if (!opened || this.isOut) return 'unknown';
    const { app } = this.inputOf(opened);
    const lesson = this.lessons.take(window, app, opened.hints ?? {}, { told, took });
    if (lesson.is === 'known') return 'known';
    this.isDirty = true;
    if (lesson.hints) {
      const hints = logicalHints(lesson.hints, this.scaleAt(took));
      const { min, max, increment, base, aspect } = hints;
      this.changeWindow(sessionId(window), { min, max, increment, base, aspect });
      const because = 'it is arranged by that from now on';
      this.say(`${window} takes ${took.width} × ${took.height}`, because);
    }
    return 'learned';
  }

  private gaveUp(window: string, because: string | null): void {
    const name = this.session && windowOf(this.session, sessionId(window));
    const said = name ? windowName(this.real.profile, name) : window;
    const text = `${said} is left as it is: ${because ?? ''}`;
    this.find(
      `window ${window}`,
      because === null ? null : { kind: 'window-refuses', about: window, text },
    );
  }

  private scaleAt({ x, y, width, height }: LinkRect): number {
    const [middleX, middleY] = [x + width / 2, y + height / 2];
    const on =
      this.monitors.find(
        (monitor) =>
          middleX >= monitor.x &&
          middleX < monitor.x + monitor.width &&
          middleY >= monitor.y &&
          middleY < monitor.y + monitor.height,
      ) ?? this.monitors[0];
    const id = on && this.real.ids.get(on.name);
    return this.real.profile.monitors.find((monitor) => monitor.id === id)?.scale ?? 1;
  }
}

/** Before an agent told what there is. */
const EMPTY: Session = {
  ...sessionSchema.parse({}),
  windows: [],
  focusMonitor: '',
} as unknown as Session;
