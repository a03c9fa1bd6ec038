import { argumentAskedFor, commandText } from '../commands/command.ts';
import { eventOfKey, keyContext, outsideReason } from '../engine/press.ts';
import { reduce, type SessionEvent } from '../engine/reduce.ts';
import type { Reason } from '../engine/session.ts';
import { resolveKey } from '../keys/resolve.ts';
import { nextTime, type KeyInput, type KeyOutput, type KeyState } from '../keys/state.ts';
import type { Profile } from '../model/profile.ts';
import type { Action, Press } from '../model/script.ts';
import type { Session } from '../model/session.ts';
import { inOrder, MAIN, modifierOf, type Modifier } from '../values/modifiers.ts';
import { triggerOf } from '../values/trigger.ts';

/** Time between one thing that happens at the keys and the next, where a script says none, in milliseconds. */
const APART_MS = 20;

/** A desk, and where its keys stand. */
export interface Pressing {
  session: Session;
  profile: Profile;
  keys: KeyState;
  /** Keys that are down, as a keyboard tells them: the last that went down is last. */
  down: readonly string[];
  /** The time, in milliseconds since the script began. */
  now: number;
}

/** Presses keys on a desk: it after that, and the reasons for what they did. */
export function parsePress(desk: Pressing, press: Press): { desk: Pressing; trace: Reason[] } {
  const trace: Reason[] = [];
  let after = desk;
  for (const action of typeof press === 'string' ? actionsOf(press, desk.profile) : press) {
    const done = acted(after, action);
    after = done.desk;
    trace.push(...done.trace);
  }
  return { desk: after, trace };
}

/** Keys as a profile writes them, pressed one after the other and let go in the opposite order. */
function actionsOf(keys: string, { keys: map }: Profile): readonly Action[] {
  const { how, steps } = triggerOf(keys);
  const apart = { wait: APART_MS };
  return steps.flatMap(({ modifiers, code, types }) => {
    const modifiersDown = modifiers.map((name) => {
      const bundle = map.bundles.find(({ id }) => id === name);
      return bundle?.hold ?? codeOfModifier(name === MAIN ? map.main : (name as Modifier));
    });
    const key = code ?? codeTyping(types ?? '');
    const stays = how === 'hold' ? { wait: map.holdMs + APART_MS } : apart;
    return [
      ...modifiersDown.flatMap((down): Action[] => [{ down }, apart]),
      { down: key, ...(types !== undefined && { types }) },
      stays,
      { up: key },
      apart,
      ...[...modifiersDown].reverse().flatMap((up): Action[] => [{ up }, apart]),
    ];
  });
}

function codeOfModifier(name: Modifier): string {
  return `${name === 'Ctrl' ? 'Control' : name}Left`;
}

/** Some key: where it is known only by what it types, its place does not count. */
function codeTyping(types: string): string {
  return /^[a-z]$/i.test(types) ? `Key${types.toUpperCase()}` : 'IntlBackslash';
}

function acted(desk: Pressing, action: Action): { desk: Pressing; trace: Reason[] } {
  if ('wait' in action) return waited(desk, desk.now + action.wait);
  const { now } = desk;
  if ('up' in action) {
    const down = desk.down.filter((code) => code !== action.up);
    return taken({ ...desk, down }, { type: 'up', at: now, code: action.up });
  }
  if ('leave' in action) return taken({ ...desk, down: [] }, { type: 'blur', at: now });
  const { down: code, types, repeat } = action;
  const down = [...desk.down.filter((other) => other !== code), code];
  const modifiers = inOrder(down.map(modifierOf).filter((name) => name !== null));
  return taken(
    { ...desk, down },
    {
      type: 'down',
      at: now,
      code,
      modifiers,
      ...(types !== undefined && { key: types }),
      ...(repeat && { repeat }),
    },
  );
}

/** Time passes: what only time decides happens when it does. */
function waited(desk: Pressing, until: number): { desk: Pressing; trace: Reason[] } {
  const trace: Reason[] = [];
  let after = desk;
  for (let at = nextTime(after.keys); at !== null && at <= until; at = nextTime(after.keys)) {
    const done = taken(after, { type: 'wait', at });
    after = done.desk;
    trace.push(...done.trace);
  }
  return { desk: { ...after, now: until }, trace };
}

function taken(desk: Pressing, input: KeyInput): { desk: Pressing; trace: Reason[] } {
  const { state, out } = resolveKey(desk.keys, input, keyContext(desk.session, desk.profile));
  const trace: Reason[] = [];
  let after: Pressing = { ...desk, keys: state };
  for (const each of out) {
    const event = eventOfKey(each);
    const done = event
      ? applyPress(after, event)
      : { desk: after, trace: reasonOf(each, desk.profile) };
    after = done.desk;
    trace.push(...done.trace);
  }
  return { desk: after, trace };
}

/** Something happens on a desk; where it proposes another profile, that is taken over as an edit. */
export function applyPress(
  desk: Pressing,
  event: SessionEvent,
): { desk: Pressing; trace: Reason[] } {
  const { session, trace, edit } = reduce(desk.session, event, desk.profile);
  if (!edit) return { desk: { ...desk, session }, trace };
  const edited = reduce(session, { type: 'profile-edited', before: desk.profile }, edit);
  return { desk: { ...desk, session: edited.session, profile: edit }, trace };
}

/** What came of a key that is not the desk's. */
function reasonOf(out: KeyOutput, profile: Profile): Reason[] {
  switch (out.type) {
    case 'outside':
    case 'kept':
      return [outsideReason(out, profile)!];
    case 'ask': {
      const asked = argumentAskedFor(out.command);
      const does = asked === null ? 'opens its list' : `asks for its ${asked}`;
      const because = `${commandText(out.command)} ${does}`;
      return [{ decided: 'nothing to do', because }];
    }
    case 'layer':
      return [{ decided: `${out.is} ${out.layer}`, because: out.because }];
    case 'sequence':
      return out.is === 'dropped'
        ? [{ decided: 'the sequence is dropped', because: out.because }]
        : [];
    case 'unbound':
      return [{ decided: 'nothing to do', because: `nothing is bound to ${out.code}` }];
    default:
      return [];
  }
}

/** Keys that are pressed, in words. */
export function pressText(press: Press): string {
  if (typeof press === 'string') return press;
  return press
    .map((action) => {
      if ('down' in action) return `+${action.down}`;
      if ('up' in action) return `-${action.up}`;
      return 'wait' in action ? `${action.wait} ms` : 'leave';
    })
    .join(' ');
}
