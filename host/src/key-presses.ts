import { keyContext } from '@sorn/core/engine';
import {
  IDLE,
  listensToAll,
  nextKeys,
  nextTime,
  resolveKey,
  type KeyInput,
  type KeyOutput,
  type KeyState,
  type NextKeys,
} from '@sorn/core/keys';
import type { Profile, Session } from '@sorn/core/model';
import type { FromAgent, FromHost } from '@sorn/link';
import type { Clock } from './clock.ts';

interface Desk {
  session: Session;
  profile: Profile;
}

interface Ways {
  /** The desk as it stands now. */
  desk: () => Desk;
  /** Does what came of a key. */
  follow: (out: KeyOutput, isRepeat: boolean) => void;
  answer: (message: FromHost<'keys'>) => void;
  /** Time alone decided something. */
  decided: () => void;
}

/** A press, or the release after it, that is not answered yet. */
interface Waiting {
  n: number;
  code: string;
  isDown: boolean;
}

/**
 * Takes the presses that an agent tells of through the map, and answers each: taken, or the window's. A press whose
 * meaning only time or the next one decides is answered then, in order.
 */
export class KeyPresses {
  private state: KeyState = IDLE;
  private waiting: Waiting[] = [];
  /** The keys that were given back since those that wait were pressed. */
  private readonly givenBack = new Set<string>();
  /** Keys that are down, and whether they were taken. */
  private readonly down = new Map<string, boolean>();
  private cancelTimer: (() => void) | null = null;
  /** The agent's clock less the host's. */
  private ahead = 0;
  private readonly clock: Clock;
  private readonly ways: Ways;

  constructor(clock: Clock, ways: Ways) {
    this.clock = clock;
    this.ways = ways;
  }

  /** True while every key has to be told of. */
  get needsAll(): boolean {
    return listensToAll(this.state, this.ways.desk().session);
  }

  /** True while what a press means depends on what follows it. */
  get isUndecided(): boolean {
    return this.state.undecided !== null && this.state.undecided !== undefined;
  }

  /** What can be pressed next, while a layer is entered or a sequence has begun. */
  get next(): NextKeys | null {
    const { session, profile } = this.ways.desk();
    return this.state === IDLE ? null : nextKeys(this.state, keyContext(session, profile));
  }

  take(message: FromAgent<'key'> | FromAgent<'button'>): void {
    const { n, down, at, modifiers } = message;
    const code = message.type === 'key' ? message.code : `Button${message.button}`;
    this.ahead = at - this.clock.now();
    if (!down) {
      const wasTaken = this.down.get(code);
      this.down.delete(code);
      this.resolve({ type: 'up', at, code });
      // A press that waits is answered by itself; its release goes the same way.
      if (!this.waiting.some((press) => press.code === code)) this.say([n], wasTaken ?? false);
      else this.waiting.push({ n, code, isDown: false });
      this.settle();
      return;
    }
    this.waiting.push({ n, code, isDown: true });
    const types = message.type === 'key' ? message.key : undefined;
    const isRepeat = message.type === 'key' && message.repeat === true;
    this.resolve({
      type: 'down',
      at,
      code,
      ...(types !== undefined && { key: types }),
      modifiers,
      ...(isRepeat && { repeat: true }),
    });
    this.settle(isRepeat);
  }

  /** The keyboard was taken away: nothing is down now. */
  lost(): void {
    this.resolve({ type: 'blur', at: this.clock.now() + this.ahead });
    this.down.clear();
    this.say(
      this.waiting.map(({ n }) => n),
      false,
    );
    this.waiting = [];
  }

  /** What only time decides is not decided any more. */
  stop(): void {
    this.cancelTimer?.();
  }

  private resolve(input: KeyInput): void {
    const before = this.state.undecided;
    const { session, profile } = this.ways.desk();
    const { state, out } = resolveKey(this.state, input, keyContext(session, profile));
    this.state = state;
    const isTapOfNothing =
      before &&
      state.undecided?.code !== before.code &&
      before.tap === null &&
      !state.down.some(({ code }) => code === before.code) &&
      !out.some((each) => each.type === 'command' && each.binding === before.hold);
    if (isTapOfNothing) this.givenBack.add(before.code);
    for (const each of out) {
      if (each.type === 'unbound' || each.type === 'kept') this.givenBack.add(each.code);
      if (each.type === 'outside' && each.command.command === 'leave-to-desktop')
        for (const { code } of each.binding.trigger.steps.slice(-1))
          if (code !== undefined) this.givenBack.add(code);
      this.ways.follow(each, input.type === 'down' && input.repeat === true);
    }
    this.cancelTimer?.();
    const until = nextTime(state);
    this.cancelTimer =
      until === null
        ? null
        : this.clock.after(Math.max(0, until - this.ahead - this.clock.now()), () => {
            this.resolve({ type: 'wait', at: Math.max(until, this.clock.now() + this.ahead) });
            this.settle();
            this.ways.decided();
          });
  }

  /** Answers what is decided. */
  private settle(isRepeat = false): void {
    const undecided = this.state.undecided;
    if (undecided) {
      // What came before it is decided; it and what follows waits.
      const from = this.waiting.findIndex(({ code }) => code === undecided.code);
      this.answer(this.waiting.splice(0, Math.max(0, from)), isRepeat);
      return;
    }
    this.answer(this.waiting.splice(0), isRepeat);
    this.givenBack.clear();
  }

  private answer(presses: readonly Waiting[], isRepeat: boolean): void {
    for (const { n, code, isDown } of presses) {
      const wasTaken = this.down.get(code) ?? false;
      const role = this.state.down.find((key) => key.code === code)?.role;
      const isOwn = role !== 'modifier' && !this.givenBack.has(code);
      const isTaken = isDown && !isRepeat ? isOwn : wasTaken;
      if (isDown) this.down.set(code, isTaken);
      else this.down.delete(code);
      this.say([n], isTaken);
    }
  }

  private say(answers: number[], taken: boolean): void {
    if (answers.length > 0) this.ways.answer({ type: 'keys', answers, taken });
  }
}
