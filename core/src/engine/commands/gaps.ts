import type { CommandFunctions } from './command-functions.ts';
import type { GapsByKey } from '../../model/session.ts';
import { MOST_GAP, type Gaps } from '../../tiling/settings.ts';
import { tilingInForce } from '../arrange.ts';
import {
  applied,
  arrangementOf,
  noop,
  withArrangement,
  type CommandContext,
  type Outcome,
} from '../session.ts';
import { focusedArrangement } from './shares.ts';

/** Logical pixels that a key adds to a gap or takes from it. */
const GAP_STEP = 2;

/** Where the focus is: the gaps in force, and what keys made of them. */
function gapsInFocus({ session, profile }: CommandContext) {
  const { workspace, monitor } = focusedArrangement(session);
  const { gaps } = tilingInForce(profile, session, workspace, monitor);
  return { gaps, byKey: arrangementOf(session, workspace, monitor).gaps ?? {} };
}

function withByKey(context: CommandContext, byKey: GapsByKey) {
  const { workspace, monitor } = focusedArrangement(context.session);
  const said = Object.keys(byKey).length > 0;
  return withArrangement(context.session, workspace, monitor, ({ gaps: _former, ...there }) => ({
    ...there,
    ...(said && { gaps: byKey }),
  }));
}

const sidesOf = (gaps: Gaps, which: 'inner' | 'outer') => Object.values(gaps[which]) as number[];
const figures = (sides: readonly number[]) => [...new Set(sides)].join(', ');

/** inner-gap-more and the like: by 2 logical pixels on every side, from 0 to 500, until reset-layout. */
function stepGap(context: CommandContext, which: 'inner' | 'outer', direction: 1 | -1): Outcome {
  const { session } = context;
  const { gaps, byKey } = gapsInFocus(context);
  if (byKey.off) return noop(session, 'the gaps are off; gaps-off brings them back');
  const before = sidesOf(gaps, which);
  if (direction < 0 && before.every((side) => side === 0))
    return noop(session, `there is no ${which} gap here`);
  if (direction > 0 && before.some((side) => side >= MOST_GAP))
    return noop(session, `the ${which} gap is at its most`);
  const { [which]: by = 0, ...others } = byKey;
  const next = by + direction * GAP_STEP;
  const stepped = withByKey(context, { ...others, ...(next !== 0 && { [which]: next }) });
  const after = sidesOf(gapsInFocus({ ...context, session: stepped }).gaps, which);
  return applied(stepped, {
    decided: `${which} gap ${figures(after)}`,
    because: `it was ${figures(before)}`,
  });
}

/** gaps-off: no gaps here for now; again, they are back as they were. */
function gapsOff(context: CommandContext): Outcome {
  const { session } = context;
  const { gaps, byKey } = gapsInFocus(context);
  if (byKey.off) {
    const { off: _off, ...rest } = byKey;
    const back = withByKey(context, rest);
    const { inner, outer } = gapsInFocus({ ...context, session: back }).gaps;
    return applied(back, {
      decided: `gaps ${figures(Object.values(inner))} and ${figures(Object.values(outer))} are back`,
      because: 'they were off by key',
    });
  }
  const all = [...sidesOf(gaps, 'inner'), ...sidesOf(gaps, 'outer')];
  if (all.every((side) => side === 0)) return noop(session, 'there is no gap here');
  return applied(withByKey(context, { ...byKey, off: true }), {
    decided: 'no gaps here for now',
    because: 'by key; the same again brings them back',
  });
}

export const gapFunctions = {
  'inner-gap-more': (context) => stepGap(context, 'inner', 1),
  'inner-gap-less': (context) => stepGap(context, 'inner', -1),
  'outer-gap-more': (context) => stepGap(context, 'outer', 1),
  'outer-gap-less': (context) => stepGap(context, 'outer', -1),
  'gaps-off': gapsOff,
} satisfies Partial<CommandFunctions>;
