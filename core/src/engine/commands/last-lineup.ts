import { arrange } from '../arrange.ts';
import { lineupOf } from '../lineup.ts';
import { windowOf, type Outcome, type CommandContext } from '../session.ts';

/** What a placing made of a session, with the windows that are placed together now remembered as a lineup. */
export function withLastLineup(context: CommandContext, outcome: Outcome): Outcome {
  const { session } = outcome;
  const window = windowOf(session, session.focus);
  if (!window || session === context.session) return outcome;
  const after = { ...context, session };
  const { workspace, monitor } = window;
  const { zoned, tiled } = arrange(after, workspace, monitor);
  const inZones = new Set(zoned ? tiled.map(({ id }) => id) : []);
  const together = lineupOf(
    after,
    workspace,
    monitor,
    ({ id, placing }) => placing !== undefined || inZones.has(id),
  );
  return together.windows.length < 2 ? outcome : { ...outcome, session: { ...session, together } };
}
