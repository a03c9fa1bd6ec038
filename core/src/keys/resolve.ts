import { argumentAskedFor } from '../commands/command.ts';
import { definitionOf, isOfDesk, type Command, type KeyCommand } from '../commands/registry.ts';
import { isWhilePressed, type Interaction } from '../model/interaction.ts';
import { BASE } from '../model/keys.ts';
import { inOrder, isModifierCode, modifierOf, type Modifier } from '../values/modifiers.ts';
import { fixedLayerOf } from './fixed-layers.ts';
import { findBinding, roleOf, signsOf } from './lookup.ts';
import type { KeyBinding } from './map.ts';
import { keysWithMain } from './main-modifier.ts';
import { IDLE, isIdle, type KeyInput, type KeyOutput, type KeyState, type On } from './state.ts';
import type { KeyTable } from './table.ts';

/** What keys are looked up in: the map, what is under way on the desk, and the app of the focused window. */
export interface KeyContext {
  table: KeyTable;
  interaction: Interaction | null;
  app: string | null;
}

type Down = Extract<KeyInput, { type: 'down' }>;

const WAY_HOME = 'Escape leads home';

/**
 * Handles one input: returns the state after it, and the commands and layer changes in their order. Pure: times
 * come with the inputs.
 *
 * A key that a layer does not bind falls through to the layer below. A chord comes before the sequences that begin
 * with it. A tap-hold key counts as held when its time is over, or when another key was pressed and released while
 * it was down; released earlier, it is tapped, and the keys pressed meanwhile follow. Escape alone leaves all
 * layers and sequences.
 */
export function resolveKey(
  state: KeyState,
  input: KeyInput,
  context: KeyContext,
): { state: KeyState; out: readonly KeyOutput[] } {
  const keys = new Resolving(state, context);
  keys.take(input);
  return { state: keys.state, out: keys.out };
}

/** The handling of one input: the state and outputs so far. */
class Resolving {
  readonly out: KeyOutput[] = [];
  state: KeyState;
  private readonly context: KeyContext;

  constructor(state: KeyState, context: KeyContext) {
    this.state = state;
    this.context = context;
  }

  take(input: KeyInput): void {
    this.passTime(input.at);
    switch (input.type) {
      case 'down':
        if (!this.answers(input)) this.down(input);
        return;
      case 'up':
        this.endsOnRelease(input.code);
        this.up(input.code, input.at);
        return;
      case 'blur':
        // What is down when the keyboard goes elsewhere was not let go on purpose.
        if (isWhilePressed(this.context.interaction ?? undefined))
          this.choice(false, 'the keyboard went elsewhere');
        this.blur();
        return;
      case 'wait':
    }
  }

  /** Takes a key as an answer to what is under way: true where it is one. */
  private answers(input: Down): boolean {
    const { interaction } = this.context;
    const { code, repeat = false } = input;
    switch (interaction?.kind) {
      case 'switching':
      case 'previewing':
        if (code !== 'Escape') return false;
        this.choice(false, 'choice dropped');
        return true;
      case 'choosing-mode':
      case 'choosing-app':
        if (code !== 'Escape' && code !== 'Enter') return false;
        this.choice(code === 'Enter', code === 'Enter' ? 'choice taken' : 'choice dropped');
        return true;
      case 'corner-pick':
        if (!interaction.asksKeys || isModifierCode(code)) return false;
        if (!repeat) this.answerKeys(input);
        return true;
      default:
        return false;
    }
  }

  /** The keys that were asked for; Escape gives none. */
  private answerKeys(input: Down): void {
    const { main } = this.context.table;
    const keys = keysWithMain(main, this.heldWith(input), input.code);
    const command: Command =
      keys === 'Escape' ? { command: 'pick-back' } : { command: 'bind-block', keys };
    this.out.push({ type: 'command', command, binding: null, on: 'press', repeat: false });
  }

  /**
   * Ends a choice when its modifier is released, and anything else that lasts while a key is down when that key is
   * released.
   */
  private endsOnRelease(code: string): void {
    const { interaction } = this.context;
    const isChoice = interaction?.kind === 'switching' || interaction?.kind === 'choosing-mode';
    if (isWhilePressed(interaction ?? undefined) && (!isChoice || isModifierCode(code)))
      this.choice(true, 'key released');
  }

  private choice(taken: boolean, because: string): void {
    this.out.push({ type: 'choice', taken, because });
  }

  private passTime(at: number): void {
    // What waited with a key may wait for its own time then.
    for (
      let { undecided } = this.state;
      undecided && at >= undecided.until;
      { undecided } = this.state
    ) {
      this.decide('hold', undecided.until);
    }
    const { pending } = this.state;
    if (pending && at >= pending.until) this.dropSequence('the next key did not come in time');
  }

  private down(input: Down): void {
    const { code, repeat = false } = input;
    if (code === 'Escape' && !repeat && input.modifiers.length === 0 && !isIdle(this.state)) {
      this.escape(input);
      return;
    }
    const { undecided } = this.state;
    const before = this.state.down.find((key) => key.code === code);
    if (repeat) {
      if (undecided) return;
      const { binding } = before ?? {};
      if (binding?.command) this.command(binding, binding.command, 'press', true);
      return;
    }
    // Its release was lost.
    if (before || undecided?.code === code) this.up(code, input.at);
    if (this.state.undecided) this.wait(input);
    else this.press(input);
  }

  /** A key that goes down while a tap-hold key is undecided. */
  private wait(input: Down): void {
    const { undecided } = this.state;
    if (undecided && modifierOf(undecided.code) !== null) this.decide('hold', input.at);
    const isPlainModifier = modifierOf(input.code) !== null && !this.isDual(input.code);
    // A modifier does its part by itself, with whatever key comes next.
    if (!this.state.undecided || isPlainModifier) this.press(input);
    else
      this.set({
        undecided: { ...this.state.undecided, queue: [...this.state.undecided.queue, input] },
      });
  }

  /**
   * True where the app with the focus keeps a key for itself. What was begun with a key that is not its own goes on, and
   * what only modifies is no key of anybody's.
   */
  private keeps(input: Down): boolean {
    const { table, app, interaction } = this.context;
    const but = app === null ? undefined : table.keepsAllBut.get(app);
    const { layers, pending } = this.state;
    if (!but || layers.length > 0 || pending || interaction) return false;
    const { code } = input;
    if (but.has(`tap ${code}`) || but.has(`hold ${code}`)) return false;
    if (table.bundles.has(code) || table.standIn === code || modifierOf(code) !== null)
      return false;
    return !signsOf(table, input, this.heldWith(input)).some((sign) => but.has(sign));
  }

  private press(input: Down): void {
    const { code } = input;
    const { table, app } = this.context;
    if (this.keeps(input)) {
      this.hold({ code, role: 'unbound' });
      this.out.push({ type: 'kept', code, modifiers: this.heldWith(input), app: app! });
      return;
    }
    const tap = this.dual('taps', code);
    const hold = this.dual('holds', code);
    if (tap ?? hold) {
      const until = input.at + table.holdMs;
      this.set({ undecided: { code, until, tap, hold, queue: [] } });
      return;
    }
    if (this.asModifier(code)) return;
    if (modifierOf(code) !== null) this.hold({ code, role: 'modifier' });
    else this.chord(input);
  }

  /** Takes a key as what it stands for: a bundle, or the main modifier. False where it is neither. */
  private asModifier(code: string): boolean {
    const { table } = this.context;
    const role = table.bundles.has(code) ? 'bundle' : table.standIn === code ? 'stand-in' : null;
    if (role) this.hold({ code, role });
    return role !== null;
  }

  private chord(input: Down): void {
    const modifiers = this.heldWith(input);
    const { table, app } = this.context;
    const { pending } = this.state;
    if (pending) {
      const next = findBinding(table, pending.among, pending.done, input, modifiers, app);
      if (next.length > 0) {
        this.goOn(next, pending.done + 1, input);
        return;
      }
      this.dropSequence('another key came');
    }
    for (const layer of this.layersNow()) {
      const found = findBinding(table, layer, 0, input, modifiers, app);
      if (found.length === 0) continue;
      this.goOn(found, 1, input);
      return;
    }
    this.hold({ code: input.code, role: 'unbound' });
    this.out.push({ type: 'unbound', code: input.code, modifiers });
    this.leaveOnce('no command is on that key');
  }

  /** Goes on with what can follow: a command where one is complete, else the next press is waited for. */
  private goOn(among: readonly KeyBinding[], done: number, input: Down): void {
    const whole = among.find(({ trigger }) => trigger.steps.length === done);
    if (!whole) {
      const until = input.at + this.context.table.sequenceMs;
      this.set({ pending: { among, done, until } });
      this.hold({ code: input.code, role: 'unbound' });
      if (done === 1) this.out.push({ type: 'sequence', is: 'begun', because: among[0]!.keys });
      return;
    }
    this.set({ pending: null });
    this.hold({ code: input.code, role: 'bound', binding: whole });
    if (whole.command) this.run(whole, whole.command, 'press', input.code);
  }

  private run(binding: KeyBinding, command: KeyCommand, on: On, code: string): void {
    if (command.command === 'enter-layer') {
      this.enter(command.layer, code);
    } else if (command.command === 'leave-layer') {
      const top = this.state.layers.at(-1);
      if (top) this.leave(1, 'its key was pressed');
    } else {
      this.command(binding, command, on, false);
      this.leaveOnce('one command was given');
    }
  }

  private command(binding: KeyBinding, command: KeyCommand, on: On, repeat: boolean): void {
    if (command.command === 'enter-layer' || command.command === 'leave-layer') return;
    if (!isOfDesk(command)) {
      if (!repeat) this.out.push({ type: 'outside', command, binding });
      return;
    }
    const isOutlined = this.context.interaction?.kind === 'previewing';
    const { opensList, ignoresRepeat } = definitionOf(command.command);
    if (argumentAskedFor(command) !== null || opensList)
      this.out.push({ type: 'ask', command, binding, on });
    else if (!repeat || !(isOutlined || ignoresRepeat))
      this.out.push({ type: 'command', command, binding, on, repeat });
  }

  private enter(layer: string, by: string): void {
    if (layer === BASE) this.leave(this.state.layers.length, 'the base layer is entered');
    if (!this.context.table.lasts.has(layer)) return;
    if (this.state.layers.some((entered) => entered.layer === layer)) return;
    this.set({ layers: [...this.state.layers, { layer, by }] });
    this.out.push({ type: 'layer', layer, is: 'entered', because: 'its key was pressed' });
  }

  /** Leaves so many of the layers entered last. */
  private leave(count: number, because: string): void {
    const { layers } = this.state;
    const gone = layers.slice(layers.length - count).reverse();
    if (gone.length === 0) return;
    this.set({ layers: layers.slice(0, layers.length - count) });
    for (const { layer } of gone) this.out.push({ type: 'layer', layer, is: 'left', because });
  }

  private leaveOnce(because: string): void {
    const top = this.state.layers.at(-1);
    if (top && this.context.table.lasts.get(top.layer) === 'once') this.leave(1, because);
  }

  private up(code: string, at: number): void {
    const { undecided } = this.state;
    if (undecided?.code === code) {
      this.decide('tap', at);
      return;
    }
    if (undecided) {
      const isNested = undecided.queue.some(
        (input) => input.type === 'down' && input.code === code,
      );
      if (isNested) {
        this.decide('hold', at);
        this.up(code, at);
        return;
      }
    }
    const key = this.state.down.find((each) => each.code === code);
    this.set({ down: this.state.down.filter((each) => each.code !== code) });
    if (key?.binding) this.released(key.binding, code, false);
    this.leaveHeldBy(code);
  }

  private released(binding: KeyBinding, code: string, lost: boolean): void {
    this.out.push({ type: 'released', binding, lost });
    if (binding.release) this.run(binding, binding.release, 'release', code);
  }

  private leaveHeldBy(code: string): void {
    const { layers } = this.state;
    const at = layers.findIndex(
      ({ layer, by }) => by === code && this.context.table.lasts.get(layer) === 'held',
    );
    if (at >= 0) this.leave(layers.length - at, 'its key was let go');
  }

  /** It is decided whether a tap-hold key was tapped or held; the inputs that were kept meanwhile follow. */
  private decide(role: 'tap' | 'hold', at: number): void {
    const { undecided } = this.state;
    if (!undecided) return;
    this.set({ undecided: null });
    const { code } = undecided;
    const binding = role === 'tap' ? undecided.tap : undecided.hold;
    if (role === 'hold' && !this.asModifier(code)) {
      this.hold({ code, role: binding ? 'bound' : 'modifier', ...(binding && { binding }) });
    }
    if (binding?.command) this.run(binding, binding.command, role, code);
    if (role === 'tap' && binding) {
      // A tap is over as soon as it is one.
      if (binding.release) this.run(binding, binding.release, 'release', code);
      this.leaveHeldBy(code);
    }
    for (const input of undecided.queue) this.take({ ...input, at });
  }

  private escape(input: Down): void {
    const { pending, layers, undecided } = this.state;
    if (pending) this.dropSequence(WAY_HOME);
    // Under a key that stands for modifiers it may be a chord; whether that key is still down is not known.
    else if (layers.length === 0 && !undecided) this.chord(input);
    this.set({ undecided: null });
    for (const { binding, code } of this.state.down) {
      if (binding && code !== input.code) this.released(binding, code, false);
    }
    this.leave(this.state.layers.length, WAY_HOME);
    const own = this.state.down.filter(({ code, role }) => code === input.code && role === 'bound');
    this.set({ ...IDLE, down: own });
  }

  private blur(): void {
    if (this.state.pending) this.dropSequence('the keyboard went elsewhere');
    for (const { binding, code } of this.state.down)
      if (binding) this.released(binding, code, true);
    this.leave(this.state.layers.length, 'the keyboard went elsewhere');
    this.set(IDLE);
  }

  private dropSequence(because: string): void {
    this.set({ pending: null });
    this.out.push({ type: 'sequence', is: 'dropped', because });
  }

  /** The tap or the hold that a key has in the layers that hold now. */
  private dual(kind: 'taps' | 'holds', code: string): KeyBinding | null {
    const { table, app } = this.context;
    return roleOf(table, this.layersNow(), kind, code, app);
  }

  private isDual(code: string): boolean {
    return (this.dual('taps', code) ?? this.dual('holds', code)) !== null;
  }

  private layersNow(): string[] {
    const { interaction } = this.context;
    const over = fixedLayerOf(interaction ? { interaction } : {});
    const entered = this.state.layers.map(({ layer }) => layer).reverse();
    return [...(over ? [over] : []), ...entered, BASE];
  }

  /**
   * The modifiers of a press: those the event tells, and what pressed keys stand for. Where a modifier stands in for
   * the main one and both of its keys are down, one is the main modifier and the other is itself.
   */
  private heldWith(input: Down): Modifier[] {
    const { table } = this.context;
    const modifiersDown = new Set(input.modifiers);
    const standIns = this.state.down.filter(({ code }) => modifierOf(code) === table.standIn);
    if (standIns.length > 1) modifiersDown.add(table.main).add(table.standIn as Modifier);
    const stands = this.state.down.filter(({ role }) => role === 'bundle' || role === 'stand-in');
    for (const { code } of stands) {
      const itself = modifierOf(code);
      const isHeldElse = this.state.down.some(
        (key) => key.role === 'modifier' && modifierOf(key.code) === itself,
      );
      if (itself !== null && !isHeldElse) modifiersDown.delete(itself);
    }
    for (const { code, role } of stands) {
      if (role === 'stand-in') modifiersDown.add(table.main);
      else for (const modifier of table.bundles.get(code) ?? []) modifiersDown.add(modifier);
    }
    return inOrder(modifiersDown);
  }

  private hold(key: KeyState['down'][number]): void {
    const others = this.state.down.filter(({ code }) => code !== key.code);
    this.set({ down: [...others, key] });
  }

  private set(change: Partial<KeyState>): void {
    this.state = { ...this.state, ...change };
  }
}
