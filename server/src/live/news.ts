import type { LiveAbout, LiveLatency, LiveLine, LiveNews } from '@sorn/api';
import { bindingText, type NextKeys } from '@sorn/core/keys';
import { sessionDifference, type Profile, type Session } from '@sorn/core/model';
import type { AgentProcess, LiveEntry } from '@sorn/host';
import isEqual from 'fast-deep-equal';

const MOST_LINES = 200;
/** How often a page is told how long rounds take. */
const TIMES_MS = 500;

/** What happened of late on a live desk, each thing with its number. */
export class LiveLines {
  private readonly lines: LiveLine[] = [];
  /** Numbers go on where those of an earlier run ended: a page may know some of these. */
  private number = Date.now();

  add(entry: LiveEntry): void {
    const { reasons, ...rest } = entry;
    this.lines.push({ number: ++this.number, at: Date.now(), ...rest, reasons: [...reasons] });
    if (this.lines.length > MOST_LINES) this.lines.shift();
  }

  /** Those after one, oldest first. */
  after(number: number): LiveLine[] {
    return this.lines.filter((line) => line.number > number);
  }

  get last(): number {
    return this.number;
  }
}

/** What one page was told of a live desk, so that it is told only what is otherwise. */
export class LiveTold {
  private session: Session | null = null;
  private profile: Profile | null = null;
  private about: LiveAbout | null = null;
  private next: LiveNews['next'] = null;
  private rounds: readonly number[] = [];
  private timedAt = -Infinity;
  private lines = 0;
  private canUndo = false;
  private canRedo = false;
  private isFirst = true;
  private readonly id: string;
  private readonly agent: AgentProcess;
  private readonly log: LiveLines;

  /** @param id of the profile that the desk is arranged by */
  constructor(id: string, agent: AgentProcess, log: LiveLines) {
    this.id = id;
    this.agent = agent;
    this.log = log;
  }

  /** What is otherwise than what was told; null where nothing is. */
  news(): LiveNews | null {
    const { desk } = this.agent;
    const { sessionNow: session, realProfile: real } = desk;
    const news: LiveNews = { profile: this.id, ...(this.isFirst && { isFirst: true }) };
    const difference = session && sessionDifference(this.session, session);
    if (difference) news.session = difference;
    const isOtherwise =
      this.profile?.monitors !== real.monitors || this.profile.desks !== real.desks;
    if (isOtherwise) news.real = { monitors: real.monitors, desks: real.desks };
    const about = desk.about();
    if (!isEqual(withoutTime(about), this.about && withoutTime(this.about))) news.about = about;
    const latency = this.latencyNow();
    if (latency) news.latency = latency;
    if (this.log.last > this.lines) news.lines = this.log.after(this.lines);
    const next = linesOf(desk.nextKeys);
    if (!isEqual(next, this.next)) news.next = next;
    const canUndo = (session?.past.length ?? 0) > 0;
    const canRedo = (session?.future.length ?? 0) > 0;
    if (canUndo !== this.canUndo) news.canUndo = canUndo;
    if (canRedo !== this.canRedo) news.canRedo = canRedo;
    const isNews = Object.keys(news).length > 1;
    this.session = session;
    this.profile = real;
    if (news.about) this.about = about;
    this.next = next;
    this.lines = this.log.last;
    this.canUndo = canUndo;
    this.canRedo = canRedo;
    this.isFirst = false;
    return isNews ? news : null;
  }

  /** How long rounds took, where it is otherwise and was not told just now. */
  private latencyNow(): LiveLatency | null {
    const { latency } = this.agent.desk;
    const now = performance.now();
    if (!latency || now - this.timedAt < TIMES_MS || isEqual(latency.last, this.rounds))
      return null;
    this.timedAt = now;
    this.rounds = latency.last;
    return latency;
  }
}

/** That time passes while a question is open is no news. */
function withoutTime({ question, ...about }: LiveAbout) {
  return { ...about, parts: question?.parts };
}

function linesOf(next: NextKeys | null): NonNullable<LiveNews['next']> | null {
  if (!next) return null;
  const { of, name } = next;
  return {
    of,
    name,
    next: next.next.map(({ keys, binding }) => ({
      id: binding.canonicalTrigger,
      keys,
      text: bindingText(binding),
    })),
  };
}
