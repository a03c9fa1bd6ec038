import { IDLE } from '../keys/state.ts';
import { parsePress, pressText, applyPress, type Pressing } from './press.ts';
import { checkPlacements } from '../checkup/placements.ts';
import { z } from 'zod';
import type { Finding } from '../checkup/findings.ts';
import { commandText } from '../commands/command.ts';
import { deskInForce } from '../desk/desk.ts';
import { deviceText } from '../desk/match.ts';
import { openSession } from '../engine/open.ts';
import type { Placement } from '../engine/placement.ts';
import { type SessionEvent } from '../engine/reduce.ts';
import { rulesWhy } from '../engine/explain-rules.ts';
import type { Reason } from '../engine/session.ts';
import { migratedScript } from '../model/migrate.ts';
import type { Profile } from '../model/profile.ts';
import { MOST_STEPS, stepSchema, type Press, type ScriptStep } from '../model/script.ts';
import { sessionSchema, type Session, type SessionInput } from '../model/session.ts';
import { byShape, fields, listOf } from '../values/fields.ts';

const stepsField = listOf(stepSchema, 'steps', MOST_STEPS);

const listed = stepsField.transform((steps) => ({ session: sessionSchema.parse({}), steps }));
const withSession = fields({ session: sessionSchema.prefault({}), steps: stepsField });

/** A script: steps alone, on a desk without windows, or with the session they begin from. */
export const scriptSchema = z.preprocess(
  migratedScript,
  byShape([listed, withSession], (script): z.ZodType<Script> =>
    Array.isArray(script) ? listed : withSession,
  ),
);
export interface Script {
  session: SessionInput;
  steps: readonly ScriptStep[];
}

/** What one step of a script came to. */
export interface Played {
  /** The step in words. */
  step: string;
  reasons: Reason[];
  placements: Placement[];
  findings: Finding[];
  /** Where `same` found the desk otherwise than at its mark: one line a difference. */
  differences?: string[];
}

/**
 * Runs a script step by step; the first entry is how the session opened. A step that does nothing says
 * why among its reasons.
 */
export function play(profile: Profile, { session: input, steps }: Script): Played[] {
  const opened = openSession(input, profile);
  const begun = checkPlacements(opened.session, profile);
  const played: Played[] = [
    {
      step: 'begin',
      reasons: opened.session.windows.flatMap(({ id }) =>
        rulesWhy(
          { session: opened.session, profile, desk: deskInForce(profile, opened.session) },
          id,
        ),
      ),
      ...begun,
      findings: [...opened.findings, ...begun.findings],
    },
  ];
  const marks = new Map<string, ScriptState>();
  let desk = beginning(opened.session, profile);
  for (const step of steps) {
    if ('mark' in step) {
      marks.set(step.mark, standingOf(desk));
      played.push(looked(desk, `mark ${step.mark}`, []));
      continue;
    }
    if ('same' in step) {
      const there = marks.get(step.same);
      const differences = there
        ? differencesBetween(there, standingOf(desk))
        : [`no mark is called ${step.same}`];
      played.push(looked(desk, `same ${step.same}`, differences));
      continue;
    }
    const done = applyStep(desk, step);
    desk = done.desk;
    played.push({
      step: stepText(step),
      reasons: done.trace,
      ...checkPlacements(desk.session, desk.profile),
    });
  }
  return played;
}

function looked({ session, profile }: Pressing, step: string, differences: string[]): Played {
  const found = differences.length > 0 ? { differences } : {};
  return { step, reasons: [], ...checkPlacements(session, profile), ...found };
}

/** A step that does something, rather than looking at how things stand. */
export type Happening = Exclude<ScriptStep, { mark: string } | { same: string }>;
type Pressed = { press: Press };

/** A desk on which no key was pressed yet. */
export function beginning(session: Session, profile: Profile): Pressing {
  return { session, profile, keys: IDLE, down: [], now: 0 };
}

/** Does a step on a desk: it after that, and the reasons for what it did. */
export function applyStep(desk: Pressing, step: Happening): { desk: Pressing; trace: Reason[] } {
  return 'press' in step ? parsePress(desk, step.press) : applyPress(desk, eventOf(step));
}

function eventOf(step: Exclude<Happening, Pressed>): SessionEvent {
  if ('command' in step) return { type: 'command', command: step };
  if ('open' in step) return { type: 'window-opened', window: step.open };
  if ('close' in step) return { type: 'window-closed', id: step.close };
  if ('point' in step) return { type: 'window-focused', id: step.point };
  if ('retitle' in step) return { type: 'window-retitled', id: step.retitle, title: step.title };
  if ('plugged' in step) return { type: 'monitors-changed', connected: step.plugged };
  if ('hold' in step) return { type: 'key-pressed', command: step.hold };
  if ('ask' in step) return { type: 'window-asked', id: step.ask, rect: step.rect };
  return { type: 'key-released', taken: step.release === 'taken' };
}

/** A step in words. */
export function stepText(step: Happening): string {
  if ('command' in step) return commandText(step);
  if ('open' in step) return `open ${step.open.id}`;
  if ('hold' in step) return `hold ${commandText(step.hold)}`;
  if ('plugged' in step) {
    const names = step.plugged.map((each) => (typeof each === 'string' ? each : deviceText(each)));
    return `plugged ${names.join(', ') || 'nothing'}`;
  }
  if ('press' in step) return `press ${pressText(step.press)}`;
  const [[name, value] = ['', '']] = Object.entries(step);
  return `${name} ${String(value)}`;
}

/** How a desk stands: placements, how each window is held, and every order. */
export type ScriptState = ReadonlyMap<string, string>;

export function standingOf({ session, profile }: Pressing): ScriptState {
  const { placements } = checkPlacements(session, profile);
  const orders = Object.entries(session.arrangements).filter(
    ([, { order, detached }]) => order.length > 0 && !detached,
  );
  return new Map([
    ...placements.map(
      ({ id, ...placement }) => [`window ${id}`, JSON.stringify(placement)] as const,
    ),
    ...orders.map(([key, { order }]) => [`order of ${key}`, order.join(' ')] as const),
  ]);
}

/** One line for each thing that stands otherwise. */
export function differencesBetween(before: ScriptState, now: ScriptState): string[] {
  return [...new Set([...before.keys(), ...now.keys()])]
    .filter((name) => before.get(name) !== now.get(name))
    .map(
      (name) => `${name}: ${now.get(name) ?? 'gone'}; it was ${before.get(name) ?? 'not there'}`,
    );
}
