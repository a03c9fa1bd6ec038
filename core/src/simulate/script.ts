import { IDLE } from '../keys/state.ts';
import {
  parsePress,
  pressField,
  pressText,
  applyPress,
  type Press,
  type Pressing,
} from './press.ts';
import type { Command } from '../commands/registry.ts';
import { checkPlacements } from '../checkup/placements.ts';
import { z } from 'zod';
import type { Finding } from '../checkup/findings.ts';
import {
  COMMANDS_BY_NAME,
  commandSchema,
  commandText,
  expectedCommand,
} from '../commands/command.ts';
import { deskInForce } from '../desk/desk.ts';
import { deviceText } from '../desk/match.ts';
import { openSession } from '../engine/open.ts';
import type { Placement } from '../engine/placement.ts';
import { type SessionEvent } from '../engine/reduce.ts';
import { rulesWhy } from '../engine/explain-rules.ts';
import type { Reason } from '../engine/session.ts';
import { migratedScript } from '../model/migrate.ts';
import type { Profile } from '../model/profile.ts';
import {
  connectedField,
  sessionSchema,
  windowSchema,
  type SessionInput,
} from '../model/session.ts';
import {
  byShape,
  coordinateField,
  fields,
  idField,
  listOf,
  oneOf,
  textField,
  whole,
} from '../values/fields.ts';

const MOST_STEPS = 10_000;

/** The parts of a rectangle that a window asks for, in physical pixels. */
const askedField = fields({
  x: coordinateField.exactOptional(),
  y: coordinateField.exactOptional(),
  width: whole(1, 100_000).exactOptional(),
  height: whole(1, 100_000).exactOptional(),
});

/** A command that needs nothing said with it, as a word. */
const wordSchema = z
  .enum(COMMANDS_BY_NAME, {
    error: ({ input }) => (typeof input === 'string' ? expectedCommand(input) : what()),
  })
  .transform((id) => ({ command: id }) as Command);

const EVENTS = {
  open: fields({ open: windowSchema }),
  close: fields({ close: idField }),
  point: fields({ point: idField }),
  retitle: fields({ retitle: idField, title: textField }),
  ask: fields({ ask: idField, rect: askedField }),
  plugged: fields({ plugged: connectedField }),
  hold: fields({
    hold: byShape([commandSchema, wordSchema], (command): z.ZodType<Command> =>
      typeof command === 'object' ? commandSchema : wordSchema,
    ),
  }),
  press: fields({ press: pressField }),
  release: fields({ release: oneOf(['taken', 'dropped']) }),
  mark: fields({ mark: idField }),
  same: fields({ same: idField }),
};
type EventName = keyof typeof EVENTS;

type EventSchema = (typeof EVENTS)[EventName];

function what(): string {
  return `a command, or an object with one of ${Object.keys(EVENTS).join(', ')}`;
}

const STEPS = [wordSchema, commandSchema, ...Object.values(EVENTS)];

/**
 * One step of a script: a command (as a word where it needs nothing else), something that happens to a
 * window, or a look at how things stand.
 */
const stepSchema = byShape(STEPS, (step): z.ZodType<ScriptStep> => {
  if (typeof step !== 'object' || step === null) return wordSchema;
  const named = Object.keys(step).find((key): key is EventName => key in EVENTS);
  return named ? EVENTS[named] : commandSchema;
});
type ScriptStep = Command | z.output<EventSchema>;

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
  let desk: Pressing = { session: opened.session, profile, keys: IDLE, down: [], now: 0 };
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
    const done = 'press' in step ? parsePress(desk, step.press) : applyPress(desk, eventOf(step));
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

type Happening = Exclude<ScriptStep, { mark: string } | { same: string }>;
type Pressed = { press: Press };

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

function stepText(step: Happening): string {
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
type ScriptState = ReadonlyMap<string, string>;

function standingOf({ session, profile }: Pressing): ScriptState {
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

function differencesBetween(before: ScriptState, now: ScriptState): string[] {
  return [...new Set([...before.keys(), ...now.keys()])]
    .filter((name) => before.get(name) !== now.get(name))
    .map(
      (name) => `${name}: ${now.get(name) ?? 'gone'}; it was ${before.get(name) ?? 'not there'}`,
    );
}
