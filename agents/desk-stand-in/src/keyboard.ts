import { LINK_MODIFIERS, type FromAgent, type FromHost } from '@sorn/link';

export type Listening = Omit<FromHost<'listen'>, 'type'>;
type KeyEvent = FromAgent<'key'> | FromAgent<'button'>;
type Modifier = (typeof LINK_MODIFIERS)[number];

/** A press that is not given to a window yet: it waits for its answer, or for those before it. */
interface Waiting {
  /** Null: nobody was told of it. */
  n: number | null;
  code: string;
  text: string;
  isTaken: boolean | null;
}

/**
 * A keyboard and buttons. A press that is listened for is told of and waits for its answer; what is pressed meanwhile
 * waits behind it, so that a window gets all its keys in order.
 */
export class Keyboard {
  private wanted: Listening = { triggers: [], whole: false };
  private down = new Map<string, { isTold: boolean }>();
  private waiting: Waiting[] = [];
  private n = 0;
  private readonly tell: (event: KeyEvent) => void;
  private readonly type: (keys: string) => void;
  private readonly began = performance.now();

  /** @param type gives a press to the window with the focus */
  constructor(tell: (event: KeyEvent) => void, type: (keys: string) => void) {
    this.tell = tell;
    this.type = type;
  }

  get listening(): { triggers: number; whole: boolean } {
    return { triggers: this.wanted.triggers.length, whole: this.wanted.whole };
  }

  listen(listening: Listening): void {
    this.wanted = listening;
  }

  key(code: string, isDown: boolean, types?: string): void {
    const modifiers = this.modifiers(isDown ? null : code);
    const isWanted = this.wanted.triggers.some(
      (trigger) =>
        (trigger.code === code || (types !== undefined && trigger.key === types)) &&
        isSameSet(trigger.modifiers, modifiers),
    );
    this.take(code, isDown, isWanted, (n, isRepeat) => ({
      type: 'key',
      n,
      code,
      ...(types !== undefined && { key: types }),
      down: isDown,
      at: this.now(),
      modifiers,
      ...(isRepeat && { repeat: true }),
    }));
  }

  button(button: number, isDown: boolean): void {
    const modifiers = this.modifiers(null);
    const isWanted = this.wanted.triggers.some(
      (trigger) => trigger.button === button && isSameSet(trigger.modifiers, modifiers),
    );
    this.take(`Button${button}`, isDown, isWanted, (n) => ({
      type: 'button',
      n,
      button,
      down: isDown,
      at: this.now(),
      modifiers,
    }));
  }

  answer(answers: readonly number[], isTaken: boolean): void {
    for (const press of this.waiting)
      if (press.n !== null && answers.includes(press.n)) press.isTaken = isTaken;
    this.passOn();
  }

  lose(): void {
    this.down.clear();
    this.giveAllBack();
  }

  /** Nobody answers any more: what waits is the windows'. */
  giveAllBack(): void {
    for (const press of this.waiting) press.isTaken ??= false;
    this.passOn();
  }

  private take(
    code: string,
    isDown: boolean,
    isWanted: boolean,
    event: (n: number, isRepeat: boolean) => KeyEvent,
  ): void {
    const before = this.down.get(code);
    if (!isDown) {
      this.down.delete(code);
      if (before?.isTold || this.wanted.whole) this.tell(event(++this.n, false));
      return;
    }
    const modifiers = this.modifiers(null);
    const isTold = this.wanted.whole || isWanted || (before?.isTold ?? false);
    this.down.set(code, { isTold });
    const n = isTold ? ++this.n : null;
    const text = [...modifiers, code].join('+');
    this.waiting.push({ n, code, text, isTaken: isTold ? null : false });
    if (n !== null) this.tell(event(n, before !== undefined));
    this.passOn();
  }

  private passOn(): void {
    for (let [first] = this.waiting; first && first.isTaken !== null; [first] = this.waiting) {
      this.waiting.shift();
      // A modifier by itself types nothing.
      if (!first.isTaken && modifierOf(first.code) === null) this.type(first.text);
    }
  }

  /** The modifiers that are held beside a key. */
  private modifiers(except: string | null): Modifier[] {
    const held = [...this.down.keys()].filter((code) => code !== except).map(modifierOf);
    return LINK_MODIFIERS.filter((name) => held.includes(name));
  }

  private now(): number {
    return Math.round((performance.now() - this.began) * 10) / 10;
  }
}

function modifierOf(code: string): Modifier | null {
  const [, name] = /^(Control|Alt|Shift|Meta)(?:Left|Right)$/.exec(code) ?? [];
  if (name === undefined) return null;
  return name === 'Control' ? 'Ctrl' : (name as Modifier);
}

function isSameSet(a: readonly string[], b: readonly string[]): boolean {
  return a.length === b.length && a.every((each) => b.includes(each));
}
