import { interactionOf, withInteraction, withoutInteraction } from '../../model/interaction.ts';
import type { CommandFunctions } from './command-functions.ts';
import { axisOf, isForward, type Direction } from '../../values/direction.ts';
import type { Shaping } from '../../values/window.ts';
import { withUndoStep, stepsBack } from '../history.ts';
import {
  applied,
  noop,
  windowName,
  windowOf,
  type Outcome,
  type CommandContext,
} from '../session.ts';
import { focusedWindow, isOutcome } from './focused-window.ts';
import { nudge } from './nudge.ts';
import { growTowards } from './grow.ts';
import { insertTowards, moveTowards } from './move.ts';

const MEANING: Record<Shaping, string> = {
  size: 'arrows make it wider, narrower, taller and shorter',
  move: 'arrows move it',
  grow: 'arrows move its edges out, with Shift in',
  exchange: 'arrows exchange it with the next window',
};

/** shape: enters the shaping of the focused window; again, takes all of it as one step. */
function shape(context: CommandContext): Outcome {
  const { session, profile } = context;
  if (interactionOf(session, 'shaping')) return takeShaping(context);
  const window = focusedWindow(context);
  if (isOutcome(window)) return window;
  return applied(
    withInteraction(session, { kind: 'shaping', window: window.id, by: 'grow', steps: 0 }),
    {
      about: window.id,
      decided: `shaping ${windowName(profile, window)}`,
      because: `by key; ${MEANING.size}`,
    },
  );
}

const NOT = 'no window is being shaped';

/** shape-as: what arrows do from now on. */
function shapeAs({ session }: CommandContext, by: Shaping): Outcome {
  const shaping = interactionOf(session, 'shaping');
  if (!shaping) return noop(session, NOT);
  return applied(withInteraction(session, { ...shaping, by }), {
    about: shaping.window,
    decided: MEANING[by],
    because: 'chosen by key',
  });
}

/**
 * shape-step: one step of sizing, moving, growing or exchanging the window with the focus. Of growing, `inward` moves
 * the edge in instead of out.
 */
function shapeStep(
  context: CommandContext,
  direction: Direction,
  by: Shaping | undefined,
  inward: boolean,
): Outcome {
  const { session } = context;
  const shaping = interactionOf(session, 'shaping');
  if (!shaping) return noop(session, NOT);
  const outcome = stepped(context, by ?? shaping.by, direction, inward);
  if (outcome.session === session) return outcome;
  // However many steps there are, dropping takes them all back.
  const next = withUndoStep(session, outcome.session, 'shape-step', Infinity);
  return {
    ...outcome,
    session: withInteraction(next, {
      ...shaping,
      window: session.focus ?? shaping.window,
      steps: shaping.steps + 1,
    }),
  };
}

function stepped(
  context: CommandContext,
  by: Shaping,
  direction: Direction,
  inward: boolean,
): Outcome {
  const { growStep } = context.profile.tiling;
  if (by === 'size') return sized(context, direction);
  if (by === 'grow') return growTowards(context, direction, inward ? -growStep : growStep);
  const window = windowOf(context.session, context.session.focus);
  if (by === 'exchange') return moveTowards(context, direction);
  return window?.held === 'floating' || window?.placing
    ? nudge(context, direction)
    : insertTowards(context, direction);
}

/**
 * Right makes the window wider and left narrower, down taller and up shorter: by its right or lower edge, or where
 * that one does not move by the opposite one.
 */
function sized(context: CommandContext, direction: Direction): Outcome {
  const { growStep } = context.profile.tiling;
  const by = isForward(direction) ? growStep : -growStep;
  const [far, near] =
    axisOf(direction) === 'x' ? (['right', 'left'] as const) : (['down', 'up'] as const);
  const outcome = growTowards(context, far, by);
  if (outcome.session !== context.session) return outcome;
  const other = growTowards(context, near, by);
  return other.session === context.session ? outcome : other;
}

/** shape-back: takes one step of this shaping back. */
function shapeBack(context: CommandContext): Outcome {
  const { session } = context;
  const shaping = interactionOf(session, 'shaping');
  if (!shaping) return noop(session, NOT);
  if (shaping.steps === 0) return noop(session, 'no step of this shaping is left');
  const former = stepsBack(context, 1);
  return applied(withInteraction(former, { ...shaping, steps: shaping.steps - 1 }), {
    about: shaping.window,
    decided: 'one step back',
    because: 'by key',
  });
}

/** shape-drop: everything as it was before the shaping. */
export function dropShaping(context: CommandContext): Outcome {
  const { session } = context;
  const shaping = interactionOf(session, 'shaping');
  if (!shaping) return noop(session, NOT);
  const former = withoutInteraction(stepsBack(context, shaping.steps));
  return applied(former, {
    about: shaping.window,
    decided: 'as before the shaping',
    because: 'dropped by key',
  });
}

/** All steps of a shaping are one step of undo. */
export function takeShaping(context: CommandContext): Outcome {
  const shaping = interactionOf(context.session, 'shaping');
  const now = withoutInteraction(context.session);
  const hasSteps = shaping !== null && shaping.steps > 0;
  const next = hasSteps ? withUndoStep(stepsBack(context, shaping.steps), now, 'shape') : now;
  return applied(next, { decided: 'shaping taken', because: 'by key' });
}

export const shapeFunctions = {
  shape,
  'shape-back': shapeBack,
  'shape-drop': dropShaping,
  'shape-as': (context, { by }) => shapeAs(context, by),
  'shape-step': (context, { direction, by, inward }) =>
    shapeStep(context, direction, by, inward ?? false),
} satisfies Partial<CommandFunctions>;
