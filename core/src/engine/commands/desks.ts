import { interactionOf, withInteraction, withoutInteraction } from '../../model/interaction.ts';
import type { CommandFunctions } from './command-functions.ts';
import { deskInForce } from '../../desk/desk.ts';
import type { Session } from '../../model/session.ts';
import { nearestName } from '../../values/nearest-name.ts';
import { MODES, type Mode } from '../../values/window.ts';
import { monitorsLeft } from '../moves.ts';
import { applied, noop, type Outcome, type CommandContext } from '../session.ts';
import { connectionState, afterReconnection } from '../relocation.ts';

const WORDS: Record<Mode, string> = {
  extend: 'each monitor shows its own windows',
  mirror: 'all monitors show what the primary shows',
  one: 'one monitor is lit',
};

/** use-desk: goes to another desk, where exactly its monitors are connected. */
function useDesk(context: CommandContext, id: string): Outcome {
  const { session, profile, desk } = context;
  const to = profile.desks.find((candidate) => candidate.id === id);
  if (!to) {
    const nearest = nearestName(
      id,
      profile.desks.map((each) => each.id),
    );
    return noop(session, `no desk is called ${id}${nearest ? `; the nearest is ${nearest}` : ''}`);
  }
  const hasAll = to.monitors.every(({ monitor }) =>
    [...desk.monitors, ...desk.others].some((each) => each.id === monitor),
  );
  if (desk.desk === id && hasAll && !session.unplugged) {
    return noop(session, `${to.name ?? id} is the desk already`);
  }
  const { connected: _now, mode: _chosen, only: _lit, ...kept } = connectionState(session);
  const next = afterReconnection(context, { ...kept, desk: id });
  const now = { session: next, profile, desk: deskInForce(profile, next) };
  return applied(
    next,
    {
      about: id,
      decided: `${to.name ?? id} is the desk`,
      because: 'chosen by key; its monitors are connected',
    },
    ...monitorsLeft(context, now),
  );
}

/** desk-mode with a mode: extend, mirror, or only the monitor with the focus. */
export function setMode(context: CommandContext, mode: Mode): Outcome {
  const { session, profile, desk } = context;
  if (desk.mode === mode) {
    return noop(withoutChoice(session), `the mode is ${mode} already`);
  }
  const { only: _former, ...kept } = connectionState(session);
  const next = afterReconnection(
    { ...context, session: withoutChoice(session) },
    { ...kept, mode, ...(mode === 'one' && { only: session.focusMonitor }) },
  );
  const now = { session: next, profile, desk: deskInForce(profile, next) };
  const lit = now.desk.monitors[0]!.name;
  return applied(
    next,
    {
      about: mode,
      decided: mode === 'one' ? `only ${lit} is lit` : WORDS[mode],
      because: `mode ${mode}, by key`,
    },
    ...monitorsLeft(context, now),
  );
}

/** desk-mode without one: chooses the next with every press; the choice is taken on release or Enter. */
function chooseMode({ session, desk }: CommandContext): Outcome {
  const from = interactionOf(session, 'choosing-mode')?.mode ?? desk.mode;
  const mode = MODES[(MODES.indexOf(from) + 1) % MODES.length]!;
  return applied(withInteraction(session, { kind: 'choosing-mode', mode }), {
    decided: `${mode} chosen`,
    because: `${WORDS[mode]}; release takes it`,
  });
}

function withoutChoice(session: Session): Session {
  return interactionOf(session, 'choosing-mode') ? withoutInteraction(session) : session;
}

export const deskFunctions = {
  'use-desk': (context, { desk }) => useDesk(context, desk),
  'desk-mode': (context, { mode }) => (mode ? setMode(context, mode) : chooseMode(context)),
} satisfies Partial<CommandFunctions>;
