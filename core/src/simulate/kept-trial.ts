import isEqual from 'fast-deep-equal';
import type { SessionEvent } from '../engine/reduce.ts';
import { keysWithMain } from '../keys/main-modifier.ts';
import type { KeyInput } from '../keys/state.ts';
import type { Expectation, WhichWindow } from '../model/expectation.ts';
import type { Profile } from '../model/profile.ts';
import type { Action, ScriptStep } from '../model/script.ts';
import { sessionSchema, standingSchema, type Session } from '../model/session.ts';
import type { Trial } from '../model/trial.ts';
import { openSession } from '../engine/open.ts';
import { isModifierCode } from '../values/modifiers.ts';
import { Look, missOf } from './expect.ts';
import { applyStep, beginning, differencesBetween, standingOf, type Happening } from './script.ts';

/** Something that happened on a desk: at its keys, or otherwise. */
export type Recorded = { input: KeyInput } | { event: SessionEvent };

/** What was done on a desk, as a trial does it. */
export interface KeptSteps {
  session: Trial['session'];
  steps: ScriptStep[];
  /** Where the desk stands otherwise after the steps than it did after what was done; empty where it is the same. */
  differences: string[];
}

/**
 * Makes steps of what was done on a desk. Keys are written as a profile has them where pressing them so ends alike, else
 * one thing after the other with the times between.
 */
export function keptSteps(
  profile: Profile,
  begun: Session,
  recorded: readonly Recorded[],
  ended: Session,
): KeptSteps {
  const session = standingOfSession(begun);
  const wanted = standingOf(beginning(ended, profile));
  const tried = (steps: ScriptStep[]): KeptSteps => {
    const opened = openSession(sessionSchema.parse(session), profile).session;
    let desk = beginning(opened, profile);
    for (const step of steps) desk = applyStep(desk, step as Happening).desk;
    return { session, steps, differences: differencesBetween(wanted, standingOf(desk)) };
  };
  const plain = tried(stepsOf(profile, recorded, false));
  if (plain.differences.length === 0) return plain;
  const timed = tried(stepsOf(profile, recorded, true));
  return timed.differences.length === 0 ? timed : plain;
}

/** How a session stands, without what it remembers of former days. */
function standingOfSession(session: Session): Trial['session'] {
  const { past: _past, future: _future, uses: _uses, countedOn: _days, ...rest } = session;
  const { interaction: _way, ...standing } = rest;
  return standingSchema.parse(standing);
}

/** @param isTimed keys with the times between them */
function stepsOf(profile: Profile, recorded: readonly Recorded[], isTimed: boolean): ScriptStep[] {
  const steps: ScriptStep[] = [];
  let burst: KeyInput[] = [];
  const down = new Set<string>();
  const end = (next?: KeyInput) => {
    const step = pressOf(profile, burst, isTimed, next);
    if (step) steps.push(step);
    burst = [];
  };
  // That time passed is told by the times of what comes after.
  const told = recorded.filter((each) => 'event' in each || each.input.type !== 'wait');
  told.forEach((each, i) => {
    if ('event' in each) {
      end();
      const step = stepOfEvent(each.event);
      if (step) steps.push(step);
      return;
    }
    const { input } = each;
    burst.push(input);
    if (input.type === 'down') down.add(input.code);
    else if (input.type === 'up') down.delete(input.code);
    else if (input.type === 'blur') down.clear();
    const next = told[i + 1];
    if (down.size === 0) end(next && 'input' in next ? next.input : undefined);
  });
  end();
  return steps;
}

function pressOf(
  profile: Profile,
  burst: readonly KeyInput[],
  isTimed: boolean,
  next: KeyInput | undefined,
): ScriptStep | null {
  if (burst.length === 0) return null;
  const keys = burst.filter((input) => input.type === 'down' && !isModifierCode(input.code));
  const [key] = keys;
  if (!isTimed) {
    if (!key) return null;
    const isPlain = burst.every(({ type }) => type === 'down' || type === 'up');
    if (isPlain && keys.length === 1 && key.type === 'down' && key.repeat !== true)
      return { press: keysWithMain(profile.keys.main, key.modifiers, key.code) };
  }
  const actions = burst.flatMap((input, i): Action[] => {
    const after = burst[i + 1] ?? next;
    const apart = after ? Math.min(600_000, Math.round(after.at - input.at)) : 0;
    const wait = apart >= 1 ? [{ wait: apart }] : [];
    if (input.type === 'up') return [{ up: input.code }, ...wait];
    if (input.type === 'blur') return [{ leave: true }, ...wait];
    if (input.type === 'wait') return [];
    const { code, key: types, repeat } = input;
    return [
      {
        down: code,
        ...(types !== undefined && { types }),
        ...(repeat && { repeat: true as const }),
      },
      ...wait,
    ];
  });
  return actions.length > 0 ? { press: actions } : null;
}

function stepOfEvent(event: SessionEvent): ScriptStep | null {
  switch (event.type) {
    case 'command':
      return event.command;
    case 'key-pressed':
      return { hold: event.command };
    case 'key-released':
      return { release: event.taken ? 'taken' : 'dropped' };
    case 'window-opened':
      return { open: event.window };
    case 'window-closed':
      return { close: event.id };
    case 'window-focused':
      return { point: event.id };
    case 'window-retitled':
      return { retitle: event.id, title: event.title };
    case 'window-asked':
      return { ask: event.id, rect: event.rect };
    case 'monitors-changed':
      return { plugged: [...event.connected] };
    case 'profile-edited':
      return null;
  }
}

/** Something that holds on a desk and can be expected of it. */
export interface OfferedExpectation {
  expects: Expectation;
  /** It came of what was done: most people would want it. */
  isLikely: boolean;
}

/** The most expectations that are offered. */
const MOST_OFFERED = 40;

/** What holds after something was done, those first that came of it. Each of them holds on the desk as it stands. */
export function offeredExpectations(
  profile: Profile,
  begun: Session,
  ended: Session,
  presses: number,
): OfferedExpectation[] {
  const before = new Look(beginning(begun, profile));
  const look = new Look(beginning(ended, profile));
  const offered: OfferedExpectation[] = [];
  const offer = (expects: Expectation, isLikely: boolean) => {
    const soFar = { marks: new Map(), presses, before: null };
    if (missOf(expects, look, soFar) === null) offered.push({ expects, isLikely });
  };
  for (const placement of look.placements) {
    const which = whichOf(ended, placement.id);
    if (which === null) continue;
    const then = before.placements.find(({ id }) => id === placement.id);
    const isNew = !then || then.workspace !== placement.workspace;
    const isOther = !isEqual(then, placement);
    if (!placement.shown && !isNew && placement.held === then.held) continue;
    const { x, y, width, height, workspace, held } = placement;
    offer({ window: which, workspace }, isNew);
    offer({ window: which, is: 'lead' }, isOther);
    if (held !== 'tiled') offer({ window: which, is: held }, !then || then.held !== held);
    if (placement.stayAbove) offer({ window: which, is: 'above' }, isOther);
    offer({ window: which, is: 'focused' }, begun.focus !== ended.focus);
    for (const zone of placement.zones ?? []) offer({ window: which, zone }, isOther);
    if (placement.shown) offer({ window: which, rect: { x, y, width, height } }, false);
  }
  for (const { id } of look.desk.monitors) {
    const shows = ended.shown[id];
    if (shows !== undefined) offer({ monitor: id, shows }, begun.shown[id] !== shows);
  }
  offer({ findings: [] }, true);
  offer({ every: 'in-reach' }, false);
  offer({ presses }, false);
  return offered
    .map((each, i) => ({ each, i }))
    .sort((a, b) => Number(b.each.isLikely) - Number(a.each.isLikely) || a.i - b.i)
    .slice(0, MOST_OFFERED)
    .map(({ each }) => each);
}

/** A window as an expectation names it; null where nothing tells it from others. */
function whichOf({ windows }: Session, id: string): WhichWindow | null {
  const window = windows.find((each) => each.id === id)!;
  if (window.app === undefined) {
    const same = windows.filter(({ title }) => title === window.title);
    const isPlain = window.title !== undefined && !/[*?]/.test(window.title);
    return isPlain && window.title !== '' && same.length === 1 ? { title: window.title! } : null;
  }
  const nth = windows.filter(({ app }) => app === window.app).findIndex((each) => each.id === id);
  return nth === 0 ? window.app : { app: window.app, nth: nth + 1 };
}

/** How many keys were pressed, modifiers not counted. */
export function pressesIn(recorded: readonly Recorded[]): number {
  return recorded.filter(
    (each) =>
      'input' in each &&
      each.input.type === 'down' &&
      !each.input.repeat &&
      !isModifierCode(each.input.code),
  ).length;
}
