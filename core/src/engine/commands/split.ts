import type { CommandFunctions } from './command-functions.ts';
import type { Arrangement, Session } from '../../model/session.ts';
import { takenOver } from '../../tiling/hand.ts';
import { isDividing, LAYOUTS } from '../../tiling/layouts.ts';
import type { Axis } from '../../values/direction.ts';
import { arrange, handTree } from '../arrange.ts';
import type { ArrangedWorkspace } from '../arranged-workspace.ts';
import {
  arrangementOf,
  applied,
  isTiled,
  noop,
  windowName,
  withArrangement,
  type Outcome,
  type CommandContext,
} from '../session.ts';
import { toFloatingRect } from '../floating-rect.ts';
import { focusedWindow, isOutcome } from './focused-window.ts';

/**
 * split-across (x) and split-down (y): the next window that opens here divides the focused one so; again drops it. In
 * another layout that is first taken over as it stands.
 */
function splitNext(context: CommandContext, axis: Axis): Outcome {
  const { session, profile } = context;
  const window = focusedWindow(context);
  if (isOutcome(window)) return window;
  const name = windowName(profile, window);
  if (!isTiled(window)) return noop(session, `${name} is not tiled`);
  const arranged = arrange(context, window.workspace, window.monitor);
  const { layout } = arranged.tiling;
  const former = arrangementOf(session, window.workspace, window.monitor).divides;
  if (layout.kind === 'split' && former?.window === window.id && former.axis === axis) {
    const without = withArrangement(
      session,
      window.workspace,
      window.monitor,
      ({ divides: _dropped, ...there }) => there,
    );
    return applied(without, {
      about: window.id,
      decided: `the next window opens without dividing ${name}`,
      because: 'the same key again drops it',
    });
  }
  const next = withArrangement(session, window.workspace, window.monitor, (there) => ({
    ...there,
    ...(layout.kind !== 'split' && { layout: { kind: 'split' as const } }),
    ...handOf(there, arranged, layout.kind !== 'split'),
    divides: { window: window.id, axis },
  }));
  return applied(
    next,
    ...(layout.kind === 'split'
      ? []
      : [
          {
            about: window.workspace,
            decided: `${LAYOUTS.split.title} on workspace ${window.workspace}`,
            because: `${LAYOUTS[layout.kind].title} taken over as it stands`,
          },
        ]),
    {
      about: window.id,
      decided: `the next window opens ${axis === 'x' ? 'right of' : 'below'} ${name}`,
      because: `${axis === 'x' ? 'split-across' : 'split-down'} by key`,
    },
  );
}

/** The hand-made tree of an arrangement, whole; where it is to be taken over anew, the layout's as it stands. */
export function handOf(
  arrangement: Arrangement,
  { tiled, solved, area, tiling }: ArrangedWorkspace,
  isAnew = false,
): Pick<Arrangement, 'hand'> {
  const ids = tiled.map(({ id }) => id);
  if (isAnew && solved && isDividing(tiling.layout)) {
    return { hand: takenOver(solved.flat.splits[0] ?? 0, ids) };
  }
  const hand = handTree(arrangement, ids, area);
  return hand === undefined ? {} : { hand };
}

/**
 * What another kind of layout takes along from the one before it: hand-split begins with its tree,
 * unless there is one; in free every window floats where it is.
 *
 * @param before what was in force, as it was arranged
 */
export function carriedOver(session: Session, before: ArrangedWorkspace, to: string): Session {
  const { workspace, monitor, tiled, tiles, tiling } = before;
  if (to === tiling.layout.kind) return session;
  if (to === 'split') {
    return withArrangement(session, workspace, monitor.id, (there) => ({
      ...there,
      ...handOf(there, before, there.hand === undefined),
    }));
  }
  if (to !== 'free' || !tiles) return session;
  const stands = new Map(tiled.map((window, i) => [window.id, tiles[i]!]));
  return {
    ...session,
    windows: session.windows.map((window) => {
      const standing = stands.get(window.id);
      return standing ? { ...window, standing: toFloatingRect(standing, monitor) } : window;
    }),
  };
}

export const splitFunctions = {
  'split-across': (context) => splitNext(context, 'x'),
  'split-down': (context) => splitNext(context, 'y'),
} satisfies Partial<CommandFunctions>;
