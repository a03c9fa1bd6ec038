import type { Profile } from '../model/profile.ts';
import { isModifierCode, type Modifier } from '../values/modifiers.ts';
import { MOST_STEPS } from '../values/trigger.ts';
import { withStandIn } from './edit.ts';
import { keysWithMain } from './main-modifier.ts';
import { keyMap } from './map.ts';

/** A key or button that goes down or up while keys are recorded. */
export interface RecordInput {
  type: 'down' | 'up';
  code: string;
  /** Those that are held with it, as the system tells. */
  modifiers: readonly Modifier[];
  /** In milliseconds. */
  at: number;
}

/** What was pressed so far. */
export interface RecordState {
  /** Presses that are whole, in the profile's spelling. */
  steps: readonly string[];
  /** Keys that are down and stand for modifiers, by code. */
  held: readonly string[];
  /** A key that is a tap or a hold when it comes up with nothing pressed meanwhile. */
  undecided: { code: string; at: number } | null;
}

export const NOTHING_RECORDED: RecordState = { steps: [], held: [], undecided: null };

/** The state after an input, and the keys once no further press can belong to them. */
export interface Recorded {
  state: RecordState;
  /** A tap, a hold, or a sequence of the most presses there can be. */
  whole: string | null;
}

/**
 * Records one input. A key that a bundle is held by stands for the bundle; it, the caps lock and keys with a tap or a
 * hold of their own are a tap when they come up soon, and a hold when they come up late and are no bundle's. Every
 * other key is a press with what is held.
 */
export function recordInput(state: RecordState, input: RecordInput, profile: Profile): Recorded {
  return input.type === 'down' ? down(state, input, profile) : up(state, input, profile);
}

function down(
  state: RecordState,
  { code, modifiers, at }: RecordInput,
  profile: Profile,
): Recorded {
  const { main, bundles } = profile.keys;
  if (state.held.includes(code) || state.undecided?.code === code) return { state, whole: null };
  const isBundle = bundles.some(({ hold }) => hold === code);
  const isAlone = modifiers.length === 0 && state.held.length === 0;
  if (isBundle || (isAlone && hasTwoRoles(profile, code))) {
    const held = isBundle ? [...state.held, code] : state.held;
    return { state: { ...state, held, undecided: { code, at } }, whole: null };
  }
  if (isModifierCode(code)) return { state, whole: null };
  const bundled = bundles.filter(({ hold }) => state.held.includes(hold)).map(({ id }) => id);
  const keys = keysWithMain(main, [...modifiers, ...bundled], code);
  const steps = [...state.steps, withStandIn(keys, profile)];
  const whole = steps.length === MOST_STEPS ? steps.join(' ') : null;
  return { state: { ...state, steps, undecided: null }, whole };
}

function up(state: RecordState, { code, at }: RecordInput, profile: Profile): Recorded {
  const { undecided } = state;
  const held = state.held.filter((each) => each !== code);
  if (undecided?.code !== code) return { state: { ...state, held }, whole: null };
  const isTap = at - undecided.at < profile.keys.holdMs;
  const isHold = !isTap && !state.held.includes(code) && code !== 'CapsLock';
  // Taps and holds stand alone: there are no sequences with them.
  const isWhole = (isTap || isHold) && state.steps.length === 0;
  const whole = isWhole ? `${isTap ? 'tap' : 'hold'} ${code}` : null;
  return { state: { ...state, held, undecided: null }, whole };
}

/** True for a key that does something of its own by a tap or a hold, or that types nothing and might. */
function hasTwoRoles(profile: Profile, code: string): boolean {
  return (
    code === 'CapsLock' ||
    keyMap(profile).some(
      ({ trigger: { how, steps } }) => how !== 'press' && steps[0]!.code === code,
    )
  );
}
