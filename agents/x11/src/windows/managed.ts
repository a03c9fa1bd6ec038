import type { FromAgent, LinkRect } from '@sorn/link';
import isEqual from 'fast-deep-equal';
import { outerBox, type Geometry } from './box.ts';
import { kindOf } from './kind.ts';
import { isUrgent, processOf, wantsOf, type Said } from './said.ts';
import { isFixed, linkHints } from './size-hints.ts';

type Opened = FromAgent<'opened'>;
type Changed = FromAgent<'changed'>;

/** A window of the display that is Sorn's to show. */
export interface Managed {
  /** The server's number of it. */
  readonly window: number;
  /** Its name in the link: as long as it lives, over restarts. */
  readonly id: string;
  said: Said;
  geometry: Geometry;
  /** The width of the border that it had when it came. */
  readonly ownBorder: number;
  readonly depth: number;
  isMapped: boolean;
  /** What its programs were told of that (WM_STATE); null before they were. */
  saidState: 'normal' | 'iconic' | null;
  /** Its programs did not unmap it so often: we did. */
  unmapsToCome: number;
  /** As it was told last: null before. */
  shown: boolean | null;
  isFullScreen: boolean;
  isAbove: boolean;
  /** Its request for a place waits for an answer. */
  isWaiting: boolean;
}

/** What is told of a window of its own accord. */
type Told = Pick<Opened, 'app' | 'title' | 'hints'> & {
  kind: Opened['kind'];
  parent: string | null;
  urgent: boolean;
};

/** What a window says, as the link has it. @param idOf the link's name of another window @param border in pixels */
export function toldOf(
  { said }: Pick<Managed, 'said'>,
  idOf: (window: number) => string | undefined,
  border: number,
): Told {
  const title = said.title ?? said.oldTitle;
  const parent = said.over ? idOf(said.over) : undefined;
  const hints = linkHints(said.size, border);
  return {
    ...(said.app !== undefined && { app: said.app.slice(0, 400) }),
    ...(title !== undefined && { title: title.slice(0, 20_000) }),
    kind: kindOf(said.types, said.over !== undefined),
    parent: parent ?? null,
    ...(Object.keys(hints).length > 0 && { hints }),
    urgent: isUrgent(said),
  };
}

/** How a window that comes is told of. */
export function openedOf(managed: Managed, told: Told, box: LinkRect): Opened {
  const { id, said } = managed;
  const { parent, urgent: _later, ...own } = told;
  const process = processOf(said);
  const wants = wantsOf(said);
  return {
    type: 'opened',
    window: id,
    ...own,
    ...(parent !== null && { parent }),
    rect: box,
    resizable: !isFixed(said.size),
    ...(Object.keys(wants).length > 0 && { wants }),
    ...(process !== undefined && { process }),
    ...(said.startupId !== undefined && { startupId: said.startupId.slice(0, 400) }),
  };
}

/** What is another one of what was told of a window; null where nothing is. */
export function changedOf(id: string, before: Told, now: Told): Changed | null {
  const differs = (field: keyof Told) => !isEqual(before[field], now[field]);
  const changes = {
    ...(differs('app') && now.app !== undefined && { app: now.app }),
    ...(differs('title') && { title: now.title ?? '' }),
    ...(differs('kind') && { kind: now.kind }),
    ...(differs('parent') && { parent: now.parent }),
    ...(differs('hints') && { hints: now.hints ?? {} }),
    ...(differs('urgent') && { urgent: now.urgent }),
  };
  return Object.keys(changes).length > 0 ? { type: 'changed', window: id, ...changes } : null;
}

/** The outer box of a window as it stands. */
export function boxOf({ geometry }: Managed): LinkRect {
  return outerBox(geometry);
}
