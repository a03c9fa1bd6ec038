import { commandText, type Command } from '@sorn/core/commands';
import { findingText } from '@sorn/core/checkup';
import { deskInForce, monitorName } from '@sorn/core/desk';
import {
  computePlacements,
  eventOfKey,
  isPrivate,
  openSession,
  outsideReason,
  reduce,
  windowName,
  windowOf,
  type Reason,
  type SessionEvent,
} from '@sorn/core/engine';
import type { KeyOutput, NextKeys } from '@sorn/core/keys';
import {
  asWritten,
  interactionOf,
  profileOn,
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
import { DesktopRequests } from './desktop-requests.ts';
import { Fights } from './fights.ts';
import { Findings, type LiveFinding } from './findings.ts';
import { Latencies, type Latency } from './latencies.ts';
import { ProfileInForce } from './profile-in-force.ts';
import { deviceOf, realMonitors, type RealMonitors } from './real-monitors.ts';
import {
  appName,
  appOf,
  isArranged,
  linkId,
  logicalHints,
  sessionId,
  windowInput,
  type RealWindow,
} from './real-window.ts';
import type { LiveRecord } from './record.ts';
import { Rounds } from './rounds.ts';
import { SizeLessons } from './size-lessons.ts';
import { StartApps } from './start-apps.ts';
import { statusOf, type LiveAbout, type LiveStatus, type UnknownApp } from './status.ts';
import {
  frameWidth,
  listeningTo,
  settingsOf,
  WAY_OUT,
  wantedBefore,
  wantedOf,
  workspacesOf,
} from './told.ts';

/** What happened on the live desk, and why. */
export interface LiveEntry {
  what: string;
  reasons: readonly Reason[];
  /** The keys that were pressed for it, as their binding has them. */
  keys?: string;
  /** The key is held, and repeats by itself. */
  isRepeat?: true;
  command?: Command;
}

export interface LiveOptions {
  profile: Profile;
  /** The host name of the machine that it is on: what the profile has otherwise there holds. */
  machine: string;
  /** What was kept of an earlier run. */
  record: LiveRecord | null;
  clock: Clock;
  send: (message: HostMessage) => void;
  /** False while the agent has not read what was sent before. */
  hasRoom: () => boolean;
  /** Apps may be launched by any command line of the profile; else a person confirms each once. */
  allowLaunch: boolean;
  onEntry?: (entry: LiveEntry) => void;
  /** Something that a watcher sees is another one now. */
  onChange?: () => void;
  /** The profile is another one, by a command or because nobody kept an edit. */
  onEdit?: (profile: Profile, before: Profile) => void;
  /** A picture of a window that may be seen. */
  onPicture?: (window: string, png: string) => void;
  /** Keeps the record; null, or a sentence where that failed. */
  keep?: (record: LiveRecord) => string | null;
}

/** Pictures of windows come at most twice a second. */
const PICTURES_MS = 500;
/**
 * A desk of real windows: takes what an agent tells, and tells it what the engine decides. It keeps no process and no
 * file: whoever runs it passes messages on.
 */
export class LiveDesk {
  private readonly edits: ProfileInForce;
  private real: RealMonitors;
  private monitors: LinkMonitor[] = [];
  private session: Session | null = null;
  private readonly record: LiveRecord;
  /** What of the windows of the session is recorded, by their ids. */
  private readonly recorded: Map<string, LiveRecord['windows'][string]>;
  /** The windows that the agent told of, by its ids. */
  private readonly windows = new Map<string, RealWindow>();
  private isReady = false;
  /** The apps that open at the start were asked for. */
  private hasStarted = false;
  private readonly startApps: StartApps;
  private isStopped = false;
  private can: readonly string[] = [];
  private isOut: boolean;
  private readonly rounds: Rounds;
  private readonly keys: KeyPresses;
  private readonly findings: Findings;
  private readonly lessons: SizeLessons;
  private readonly requests: DesktopRequests;
  private readonly fights: Fights;
  private sentListen: FromHost<'listen'> | null = null;
  /** What came of presses, and is not told yet. */
  private answers: FromHost<'keys'>[] = [];
  private sentWorkspaces: FromHost<'workspaces'> | null = null;
  private sentSettings: FromHost<'settings'> | null = null;
  private isDirty = false;
  private picturesOn = false;
  /** When the first thing happened that nothing was told of yet; null where nothing did. */
  private happenedAt: number | null = null;
  /** From that until the last round was told, in milliseconds. */
  private decidedIn = 0;
  /** What those who watch were told of last. */
  private toldOf: { session?: Session; profile?: Profile } = {};
  private readonly latencies = new Latencies();
  private agent: { name: string; version: string } | null = null;
  /** What was kept last. */
  private kept: readonly unknown[] = [];
  private readonly options: LiveOptions;

  constructor(options: LiveOptions) {
    this.options = options;
    this.record = options.record ?? {
      session: sessionSchema.parse({}),
      windows: {},
      learned: {},
      isOut: false,
    };
    const ways = {
      apply: () => this.applyProfile(),
      refused: (because: string | null) => {
        if (because === null) this.find('profile', null);
        else this.refuse(because);
      },
      takenBack: (profile: Profile, before: Profile) => {
        this.say('the edit is taken back', 'nobody kept it');
        options.onEdit?.(profile, before);
      },
      changed: () => {
        this.keep();
        options.onChange?.();
      },
    };
    this.edits = new ProfileInForce(options.profile, options.clock, ways, this.record.unkept);
    this.real = { profile: this.profile, ids: new Map(), unknown: [], by: new Map() };
    this.isOut = this.record.isOut;
    this.recorded = new Map(Object.entries(this.record.windows));
    this.lessons = new SizeLessons(this.record.learned);
    this.findings = new Findings(
      ({ text }) => options.onEntry?.({ what: text, reasons: [] }),
      () => options.onChange?.(),
    );
    this.fights = new Fights(options.clock);
    this.requests = new DesktopRequests(
      this.record.allowed ?? [],
      options.allowLaunch,
      options.clock,
      {
        can: () => this.can,
        send: (message) => options.send(message),
        find: (name, finding) => this.find(name, finding),
        say: (what, because) => this.say(what, because),
        changed: () => options.onChange?.(),
      },
    );
    this.startApps = new StartApps(options.clock, (app) =>
      this.requests.launchApp(this.profile.apps, app),
    );
    this.rounds = new Rounds(options.clock, {
      send: (message) => options.send(message),
      tookOther: (window, told, took) => this.tookOther(window, told, took),
      gaveUp: (window, because) => this.gaveUp(window, because),
      settled: (after) => {
        this.latencies.add(this.decidedIn, after);
        options.onChange?.();
      },
    });
    this.keys = new KeyPresses(options.clock, {
      desk: () => ({ session: this.session ?? EMPTY, profile: this.real.profile }),
      follow: (out, isRepeat) => this.follow(out, isRepeat),
      answer: (message) => this.answers.push(message),
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
    this.isStopped = false;
    this.can = hello.can;
    this.agent = { name: hello.agent, version: hello.version };
    this.picturesOn = false;
    this.isReady = false;
    this.windows.clear();
    this.rounds.reset();
    this.sentListen = null;
    this.sentWorkspaces = null;
    this.sentSettings = null;
    this.options.send({
      type: 'welcome',
      protocol: PROTOCOL,
      session: this.profile.name.slice(0, 80),
    });
    // Before it tells of windows: their sizes are told with the border that they will have.
    this.sendSettings();
    return true;
  }

  /** The agent is gone: what it told is not so any more until another one tells. */
  agentGone(because: string, isStopped = false): void {
    this.isReady = false;
    this.isStopped = isStopped;
    this.keys.lost();
    this.answers = [];
    this.find('agent', { kind: 'agent', text: because });
    this.options.onChange?.();
  }

  /** Takes what an agent tells. What comes of it is told by `flush`. */
  take(message: AgentMessage): void {
    if (message.type !== 'placed' && message.type !== 'pong' && message.type !== 'picture')
      this.happens();
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
        if (message.about === 'listen')
          this.find(`key ${message.message}`, { kind: 'key', text: message.message });
        else if (message.about === 'launch')
          this.find('launched', { kind: 'launch', text: message.message });
        this.say(`the agent could not take ${message.about}`, message.message);
        return;
      case 'ping':
        this.options.send({ type: 'pong' });
        return;
      case 'picture':
        if (this.picturesOn && !this.isPrivate(message.window))
          this.options.onPicture?.(message.window, message.png);
        return;
      case 'pong':
    }
  }

  /** Tells the agent what differs now, once it has read what was told before. */
  flush(): void {
    const { session } = this;
    // What is listened to from now on comes before the answer to the press that it is because of: nothing typed after
    // that goes astray.
    if (this.answers.length > 0 && session && this.isReady) this.listen();
    for (const answer of this.answers.splice(0)) this.options.send(answer);
    if (!session || !this.isReady) return;
    if (this.isDirty && this.options.hasRoom()) {
      this.isDirty = false;
      const before = this.rounds.last;
      this.arrange(session);
      if (this.rounds.last !== before && this.happenedAt !== null)
        this.decidedIn = this.options.clock.now() - this.happenedAt;
      this.happenedAt = null;
    }
    this.listen();
    this.keep();
    if (this.toldOf.session === session && this.toldOf.profile === this.real.profile) return;
    this.toldOf = { session, profile: this.real.profile };
    this.options.onChange?.();
  }

  /** Something happens that the desktop may have to be told of. */
  private happens(): void {
    this.happenedAt ??= this.options.clock.now();
  }

  /** A command by hand or from the page. */
  command(command: Command): readonly Reason[] {
    this.happens();
    const reasons = this.happen({ type: 'command', command }, commandText(command));
    this.flush();
    return reasons;
  }

  /**
   * Takes an edited profile over; null, or why not: one without a key that pauses could not be got rid of by its own
   * keys.
   *
   * @param isAsked an edit of keys, desks or monitors is taken back unless a person keeps it
   */
  setProfile(next: Profile, isAsked = false): string | null {
    const because = this.edits.save(next, isAsked);
    if (because === null && !this.edits.isHeld)
      this.say('profile edited', 'it applies from now on');
    return because;
  }

  /** Goes by a profile while a figure is typed into it; null where that is over. */
  showProfile(typed: Profile | null): string | null {
    return this.edits.show(typed);
  }

  /** Waits with edits of the profile, or goes on by what was saved meanwhile. */
  holdEdits(isHeld: boolean): void {
    this.edits.hold(isHeld);
  }

  /** Drops the edits that wait; what the desk goes by, to be saved in their place. */
  dropHeldEdits(): Profile {
    return this.edits.dropHeld();
  }

  /** Answers what is asked about an edit. */
  answerEdit(isKept: boolean): void {
    if (isKept) this.edits.keep();
    else this.edits.takeBack();
  }

  /** The window is chosen, as by a pointer. */
  chooseWindow(id: string): readonly Reason[] {
    this.happens();
    const reasons = this.happen({ type: 'window-focused', id }, 'chosen in the page');
    this.flush();
    return reasons;
  }

  /** The person confirms a command line: it is launched, now where that is waited for and from now on. */
  allowLine(line: string): void {
    this.requests.confirm(line);
    this.flush();
    this.options.onChange?.();
  }

  /** A monitor shows which one it is. @param name as the agent has it */
  identify(name: string): string | null {
    if (!this.can.includes('identify')) return 'the agent cannot make a monitor show itself';
    if (!this.monitors.some((monitor) => monitor.name === name))
      return `no monitor ${name} is connected`;
    this.options.send({ type: 'identify', monitor: name });
    return null;
  }

  /** Asks for pictures of windows, or for none any more. */
  showPictures(isOn: boolean): string | null {
    if (!this.can.includes('pictures')) return 'the agent cannot make pictures';
    if (this.picturesOn === isOn) return null;
    this.picturesOn = isOn;
    this.options.send({ type: 'pictures', on: isOn, every: PICTURES_MS });
    this.options.onChange?.();
    return null;
  }

  /** The engine goes out of the way, or comes back: what the reserved keys do. */
  goOut(): void {
    this.wayOut();
    this.flush();
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
    this.edits.stop();
    this.startApps.stop();
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

  /** What a page shows beside the desk itself. */
  about(): LiveAbout {
    const { agent, can, edits, findings, picturesOn } = this;
    return {
      agent: agent && { ...agent, can: [...can] },
      state: this.state(),
      monitors: this.monitors.map((monitor) => ({
        name: monitor.name,
        id: this.real.ids.get(monitor.name)!,
        by: this.real.by.get(monitor.name) ?? 'nothing',
        device: deviceOf(monitor),
        x: monitor.x,
        y: monitor.y,
        width: monitor.width,
        height: monitor.height,
      })),
      question: edits.question,
      held: edits.held,
      waitingLaunch: this.requests.asked,
      hasPictures: picturesOn,
      findings: findings.all,
      unknownApps: this.unknownApps(),
    };
  }

  /** How long the rounds of late took; null before the first. */
  get latency(): Latency | null {
    return this.latencies.now;
  }

  /** What keys can follow, while a layer is entered or a sequence has begun. */
  get nextKeys(): NextKeys | null {
    return this.session && this.keys.next;
  }

  /** A rule says that no picture of the window is made; of one that is not known none is shown either. */
  private isPrivate(window: string): boolean {
    const { session } = this;
    return !session || isPrivate(this.real.profile, session, sessionId(window));
  }

  private unknownApps(): UnknownApp[] {
    const { profile } = this.real;
    const unknown = new Map<string, UnknownApp>();
    for (const opened of this.windows.values()) {
      const name = appName(opened);
      if (name === undefined || !isArranged(opened) || appOf(profile, opened)) continue;
      const { app, process, title } = opened;
      unknown.set(name, {
        name,
        ...(app !== undefined && { app }),
        ...(process !== undefined && { process }),
        ...(title !== undefined && { title }),
      });
    }
    return [...unknown.values()];
  }

  private state(): LiveStatus['state'] {
    const { session, isOut, isReady } = this;
    if (!isReady) return this.isStopped ? 'stopped' : 'waiting';
    return isOut ? 'out' : session?.paused ? 'paused' : 'running';
  }

  status(): LiveStatus {
    return statusOf(this.session, this.real.profile, this.state(), this.findings.all);
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
    const launchedAs = this.requests.launchedAs(opened.startupId);
    const window = { ...opened, ...(launchedAs !== null && { launchedAs }) };
    this.windows.set(opened.window, window);
    this.requests.came(appOf(this.profile, window)?.id);
    if (this.isReady && isArranged(window)) this.open(window);
  }

  private open(opened: RealWindow): void {
    const id = sessionId(opened.window);
    const app = appName(opened);
    const { launchedAs, title } = opened;
    this.recorded.set(id, {
      ...(app !== undefined && { app }),
      ...(title !== undefined && { title }),
      ...(launchedAs !== undefined && { launchedAs }),
      before: opened.rect,
    });
    const input = this.inputOf(opened);
    const rule = this.startApps.ruleOf(input.app);
    const { profile } = this.real;
    this.happen(
      { type: 'window-opened', window: input },
      `${title ?? opened.app ?? id} opens`,
      {},
      rule ? { ...profile, rules: [rule, ...profile.rules] } : profile,
    );
    this.startApps.opened(input.app);
    if (opened.wants?.fullScreen) this.commandOn(id, { command: 'full-screen' });
  }

  private inputOf(opened: RealWindow) {
    const { profile } = this.real;
    const app = appOf(profile, opened)?.id ?? appName(opened) ?? '';
    return windowInput(profile, opened, this.scaleAt(opened.rect), this.lessons.of(app));
  }

  /** All that is there was told: it is adopted, and the engine begins. */
  private begin(): void {
    this.isReady = true;
    const there = [...this.windows.values()].filter(isArranged);
    const names = adopted(this.recorded, there);
    for (const window of there) {
      const launchedAs = this.recorded.get(names.get(window.window) ?? '')?.launchedAs;
      if (launchedAs !== undefined) window.launchedAs = launchedAs;
    }
    this.session ??= openSession(
      sessionSchema.parse(JSON.parse(JSON.stringify(this.record.session))),
      this.real.profile,
    ).session;
    // Those that are gone go first: another window may have their ids now.
    const stay = new Set(names.values());
    for (const { id } of this.session.windows) {
      if (stay.has(id)) continue;
      this.happen(
        { type: 'window-closed', id },
        `${this.nameOf(linkId(id))} is not there any more`,
      );
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
    // Where windows of before are still there the session goes on: what was closed in it stays closed.
    if (names.size === 0) this.openAtStart();
    this.hasStarted = true;
    this.options.onChange?.();
  }

  /** Apps that open at the start are launched once, one after the other: those that have a window already are not. */
  private openAtStart(): void {
    if (this.hasStarted || !this.can.includes('launch')) return;
    const there = new Set(this.session!.windows.map(({ app }) => app));
    this.startApps.begin(this.profile.start.filter(({ app }) => !there.has(app)));
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
  private withFields(opened: RealWindow): void {
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

  /** The profile that the desk goes by, as the person wrote it. */
  get written(): Profile {
    return this.edits.now;
  }

  /** The same as it holds on this machine. */
  private get profile(): Profile {
    return profileOn(this.written, this.options.machine);
  }

  private applyProfile(): void {
    this.happens();
    this.refit();
    if (this.agent) this.sendSettings();
    if (this.session) this.withAppsAnew();
    this.flush();
    this.options.onChange?.();
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
    this.requests.gone(window);
    this.fights.gone(window);
    this.lessons.forget(window);
    this.find(`window ${window}`, null);
    this.find(`fight ${window}`, null);
    this.recorded.delete(id);
    if (this.isReady && this.session && windowOf(this.session, id))
      this.happen({ type: 'window-closed', id }, `${this.nameOf(window)} closes`);
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
    this.happen({ type: 'window-asked', id, rect }, `${this.nameOf(window)} asks for a place`);
    if (this.session !== before && by === 'pointer') return;
    if (this.fights.asked(window)) {
      const text = `${this.nameOf(window)} asks again and again for another place than it is given; it is left as it is`;
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
      this.answers.push({ type: 'keys', answers: [message.n], taken: true });
      if (message.down && !message.repeat) this.wayOut();
    } else if (this.isOut || !this.session)
      this.answers.push({ type: 'keys', answers: [message.n], taken: false });
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
    else if (what === 'close') this.requests.close(window, this.nameOf(window));
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

  private follow(out: KeyOutput, isRepeat: boolean): void {
    const event = eventOfKey(out);
    const keys = 'binding' in out ? out.binding?.keys : undefined;
    const by = { ...(keys !== undefined && { keys }), ...(isRepeat && { isRepeat }) };
    if (event) {
      const what = out.type === 'command' ? commandText(out.command) : 'key let go';
      this.happen(event, what, by);
      return;
    }
    switch (out.type) {
      case 'ask':
        this.say(commandText(out.command), 'it needs something typed: give it by hand', by);
        return;
      case 'outside':
        if (out.command.command === 'run-line') this.requests.launch(out.command.line);
        else this.say(commandText(out.command), outsideReason(out, this.profile)!.because, by);
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
  private happen(
    event: SessionEvent,
    what: string,
    by: Pick<LiveEntry, 'keys' | 'isRepeat'> = {},
    profile = this.real.profile,
  ): readonly Reason[] {
    const before = this.session;
    if (!before) return [];
    const outcome = reduce(before, event, profile);
    const isCommand =
      event.type === 'command' || event.type === 'key-pressed' || event.type === 'key-released';
    this.session = isCommand ? this.asked(before, outcome.session, event) : outcome.session;
    if (outcome.edit) this.edit(outcome.edit);
    this.isDirty = true;
    if (this.session.desk !== before.desk) this.refit();
    const command = 'command' in event ? event.command : undefined;
    const reasons = isCommand ? this.reasonsOf(before, outcome) : outcome.trace;
    this.options.onEntry?.({ what, reasons, ...by, ...(command && { command }) });
    this.options.onChange?.();
    return reasons;
  }

  /** Why a command did what it did: where it opens or closes windows, that is the desktop's to do. */
  private reasonsOf(
    before: Session,
    { session, trace }: ReturnType<typeof reduce>,
  ): readonly Reason[] {
    const by = session.windows.length - before.windows.length;
    if (by === 0) return trace;
    const decided = by > 0 ? 'the desktop is asked for it' : 'its window is asked to close';
    return [{ decided, because: 'real windows come and go by themselves' }];
  }

  /** The session without what a command opened or closed in it: the desktop does that, and tells. */
  private asked(before: Session, after: Session, event: SessionEvent): Session {
    if (before.windows === after.windows) return after;
    const was = new Set(before.windows.map(({ id }) => id));
    const is = new Set(after.windows.map(({ id }) => id));
    const opened = after.windows.filter(({ id }) => !was.has(id));
    const closed = before.windows.filter(({ id }) => !is.has(id));
    if (opened.length === 0 && closed.length === 0) return after;
    for (const { app, id } of opened) this.requests.launchApp(this.profile.apps, app ?? id);
    for (const { id } of closed) this.requests.close(linkId(id), this.nameOf(linkId(id)));
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

  /** A command changes the profile: monitors and desks stay the person's, whatever is connected. */
  private edit(edit: Profile): void {
    const { written, profile } = this;
    const { monitors, desks } = profile;
    const edited = { ...edit, monitors, desks };
    this.edits.changedByCommand(asWritten(written, profile, edited, this.options.machine));
    this.refit();
    this.options.onEdit?.(this.written, written);
  }

  private say(
    decided: string,
    because: string,
    by: Pick<LiveEntry, 'keys' | 'isRepeat'> = {},
  ): void {
    this.options.onEntry?.({ what: decided, reasons: [{ decided, because }], ...by });
  }

  // What the agent is told.

  private arrange(session: Session): void {
    if (this.isOut) {
      const rectOf = (id: string) => this.recorded.get(id)?.before;
      const frame = frameWidth(this.profile, this.can);
      this.rounds.arrange(wantedBefore(session, rectOf, frame));
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

  private sendSettings(): void {
    const settings = settingsOf(this.profile, this.can);
    if (isEqual(settings, this.sentSettings)) return;
    this.sentSettings = settings;
    this.options.send(settings);
  }

  private listen(): void {
    // What an agent cannot do is not asked of it.
    if (!this.can.includes('keys')) return;
    const whole = this.keys.needsAll && this.can.includes('keys-whole');
    const message = listeningTo(this.profile, whole, this.keys.isUndecided, this.isOut);
    const before = this.sentListen;
    const isSame = before?.whole === message.whole && before.ahead === message.ahead;
    if (isSame && before.triggers === message.triggers) return;
    if (isEqual(message, before)) return;
    this.sentListen = message;
    this.findings.clear('key ');
    this.options.send(message);
  }

  private keep(): void {
    const { session, isOut } = this;
    if (!session || !this.options.keep) return;
    const unkept = this.edits.asked;
    const { confirmed } = this.requests;
    const now = [
      session,
      isOut,
      this.lessons.count,
      unkept.length,
      unkept.at(-1),
      confirmed.length,
    ] as const;
    if (now.every((each, i) => each === this.kept[i])) return;
    this.kept = now;
    this.record.session = session;
    this.record.isOut = isOut;
    this.record.windows = Object.fromEntries(this.recorded);
    if (confirmed.length > 0) this.record.allowed = confirmed;
    if (unkept.length > 0) this.record.unkept = unkept;
    else delete this.record.unkept;
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
      this.say(`${this.nameOf(window)} takes ${took.width} × ${took.height}`, because);
    }
    return 'learned';
  }

  private gaveUp(window: string, because: string | null): void {
    const text = `${this.nameOf(window)} is left as it is: ${because ?? ''}`;
    this.find(
      `window ${window}`,
      because === null ? null : { kind: 'window-refuses', about: window, text },
    );
  }

  /** What a person calls a window. */
  private nameOf(window: string): string {
    const there = this.session && windowOf(this.session, sessionId(window));
    return there ? windowName(this.real.profile, there) : window;
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
