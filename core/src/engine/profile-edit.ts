import isEqual from 'fast-deep-equal';
import { deskInForce } from '../desk/desk.ts';
import type { Profile } from '../model/profile.ts';
import { without } from '../model/object-fields.ts';
import type { Arrangement, Session } from '../model/session.ts';
import { levelsFor, resolveGaps, resolveLayout, type Level } from '../tiling/settings.ts';
import { arrange } from './arrange.ts';
import { parametersOf } from '../values/layout.ts';
import { onWorkspacesEdited } from './workspace-edit.ts';
import { onZoneBoardsEdited } from './zone-board-edit.ts';
import { carriedOver } from './commands/split.ts';
import { openSession } from './open.ts';
import { applied, withAdjusted, type Outcome, type CommandContext } from './session.ts';
import { withNamesKept } from './relocation.ts';

/**
 * The profile was edited. A session's own choice gives way where its very field was edited; windows and
 * workspaces find a place on what monitors there are now.
 *
 * @param before the profile before the edit; the context has the one after
 */
export function onProfileEdited({ session, profile }: CommandContext, before: Profile): Outcome {
  const former: CommandContext = { session, profile: before, desk: deskInForce(before, session) };
  let next: Session =
    before.boards === profile.boards
      ? session
      : onZoneBoardsEdited(session, before.boards, profile.boards);
  if (before.workspaces !== profile.workspaces)
    next = onWorkspacesEdited(next, before.workspaces, profile.workspaces);
  for (const [key, present] of Object.entries(next.arrangements)) {
    const [workspace = '', monitor = ''] = key.split('/');
    const [levelsBefore, levels] = [before, profile].map((each) =>
      levelsFor(each, workspace, monitor),
    ) as [Level[], Level[]];
    const arrangement = withGapsAfter(present, levelsBefore, levels);
    if (arrangement !== present)
      next = { ...next, arrangements: { ...next.arrangements, [key]: arrangement } };
    const was = resolveLayout(levelsBefore).layout;
    const is = resolveLayout(levels).layout;
    if (isEqual(was, is)) continue;
    let kept = arrangement;
    if (was.kind !== is.kind) {
      const { layout: _chosen, ...rest } = kept;
      kept = rest;
    }
    const adjusted = kept.adjusted?.[is.kind];
    if (adjusted) {
      const isEdited = (field: string) => !isEqual(valueOf(was, field), valueOf(is, field));
      // Weights that are typed take the place of sizes moved by key.
      const weights = Object.entries(parametersOf(is.kind)).flatMap(([field, { of }]) =>
        of === 'weights' ? [field] : [],
      );
      const remaining = Object.fromEntries(
        Object.entries(adjusted).filter(([field]) =>
          field === 'moved' ? !weights.some(isEdited) : !isEdited(field),
        ),
      );
      kept = withAdjusted(kept, is.kind, remaining);
    }
    if (kept !== arrangement) {
      next = { ...next, arrangements: { ...next.arrangements, [key]: kept } };
    }
    if (was.kind !== is.kind)
      next = carriedOver(next, arrange(former, workspace, monitor), is.kind);
  }
  const placed =
    before.monitors === profile.monitors &&
    before.desks === profile.desks &&
    before.workspaces === profile.workspaces &&
    before.tiling.workspacesAre === profile.tiling.workspacesAre;
  if (!placed) {
    const windows = [...next.windows];
    next = openSession({ ...withNamesKept(next, former.desk), windows }, profile).session;
  }
  return applied(next);
}

/** What keys made of the gaps gives way where those very gaps were edited. */
function withGapsAfter(
  arrangement: Arrangement,
  before: readonly Level[],
  after: readonly Level[],
): Arrangement {
  if (!arrangement.gaps) return arrangement;
  const [was, is] = [resolveGaps(before).gaps, resolveGaps(after).gaps];
  const edited = (['inner', 'outer'] as const).filter((which) => !isEqual(was[which], is[which]));
  if (edited.length === 0) return arrangement;
  const { gaps, ...rest } = arrangement;
  const kept = without(gaps, [...edited, 'off']);
  return { ...rest, ...(Object.keys(kept).length > 0 && { gaps: kept }) };
}

function valueOf(layout: object, field: string): unknown {
  return (layout as Record<string, unknown>)[field];
}
