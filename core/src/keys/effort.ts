import type { Definition } from '../commands/definition.ts';
import { definitionOf, type CommandId } from '../commands/registry.ts';
import type { Rect } from '../geometry/rect.ts';

/**
 * Times of operators of the keystroke-level model, in seconds. Card, Moran and Newell, "The keystroke-level model for
 * user performance time with interactive systems", Communications of the ACM 23 (7), 1980: K for an average skilled
 * typist, H to move the hand between keyboard and pointing device, P to point at a target whose distance is not known.
 * A press of the pointer's button counts as a K. To prepare mentally is the same by key and by pointer, so it cancels
 * out of what is saved.
 */
const KLM = { K: 0.2, P: 1.1, H: 0.4 } as const;

/**
 * Fitts's law for the pointer, in seconds: a + b · log2(D / W + 1), by the distance to the target and its width.
 * MacKenzie, Sellen and Buxton, "A comparison of input devices in elemental pointing and dragging tasks", CHI 1991,
 * for the mouse.
 */
const FITTS = { pointing: { a: -0.107, b: 0.223 }, dragging: { a: 0.135, b: 0.249 } } as const;
/** No movement is taken to be quicker than this, in seconds. */
const QUICKEST = 0.1;

/** What there is to take hold of, in logical pixels: an edge, a title or a button, an entry of a menu. */
const EDGE = 8;
const TITLE = 24;
const MENU = 200;

/** Seconds to move the pointer over a distance to a target of a width, both in one unit. */
export function pointerSeconds(how: keyof typeof FITTS, distance: number, width: number): number {
  const { a, b } = FITTS[how];
  return Math.max(QUICKEST, a + b * Math.log2(distance / width + 1));
}

/** What a command did to windows, for what a pointer would have done instead. */
export interface Done {
  /** The focused window before it and after it, in physical pixels; null where none had the focus. */
  before: Rect | null;
  after: Rect | null;
  /** The window of both is the same one. */
  isSame: boolean;
  /** Physical pixels for each logical one. */
  scale: number;
}

/** The effort so far: key presses, and the trips to the pointing device that they took the place of. */
export interface Effort {
  presses: number;
  trips: number;
  /** What the trips would have taken, in seconds. */
  byPointer: number;
  /** The gesture that the next press of the same kind goes on with, where its window was, and its seconds so far. */
  run: { kind: string; before: Rect | null; seconds: number } | null;
}

export const NO_EFFORT: Effort = { presses: 0, trips: 0, byPointer: 0, run: null };

/** Seconds that the keys took. */
export const byKeys = ({ presses }: Effort): number => presses * KLM.K;

/** The effort with some key presses more that did nothing a pointer would have done. */
export function withPresses(effort: Effort, presses: number): Effort {
  return { ...effort, presses: effort.presses + presses, run: null };
}

/**
 * The effort after a command by key. Presses of one kind that move an edge or a window bit by bit are one drag,
 * however many they are. Undo, redo and a key that repeats by itself save nothing.
 *
 * @param presses key presses it took, modifiers counted
 * @param done what it did, or null where it did nothing
 */
export function withEffort(
  effort: Effort,
  presses: number,
  command: CommandId | null,
  done: Done | null,
): Effort {
  const all = effort.presses + presses;
  if (command === null || !done) return withPresses(effort, presses);
  const { byPointer, travels } = definitionOf(command);
  if (byPointer === 'nothing' || travels) return withPresses(effort, presses);
  const kind = dragKind(command);
  const isOn = kind !== null && effort.run?.kind === kind;
  const before = isOn ? effort.run!.before : done.before;
  const seconds = gestureSeconds(byPointer, { ...done, before });
  return {
    presses: all,
    trips: effort.trips + (isOn ? 0 : 1),
    byPointer: effort.byPointer - (isOn ? effort.run!.seconds : 0) + seconds,
    run: kind === null ? null : { kind, before, seconds },
  };
}

/** Of commands that move something bit by bit: what is moved, whichever way. */
function dragKind(command: CommandId): string | null {
  if (/^(grow|shrink|widen)-|^move-edge$/.test(command)) return 'edge';
  if (/^lead-share-(more|less)$/.test(command)) return 'share';
  if (/^nudge-/.test(command)) return 'window';
  if (/^(bigger|smaller)$/.test(command)) return 'corner';
  return null;
}

/** A pointer's way for the same: to the device, to one target with a press or between two with a press at each, and back. */
function gestureSeconds(
  byPointer: Exclude<Definition['byPointer'], 'nothing'>,
  { before, after, isSame, scale }: Done,
): number {
  const hands = 2 * KLM.H;
  const button = TITLE * scale;
  if (byPointer === 'one-target') {
    if (!after) return hands + KLM.P + KLM.K;
    // A window that gets the focus is clicked anywhere; else something at its corner is.
    const [distance, width] =
      isSame || !before
        ? [Math.hypot(after.width, after.height) / 2, button]
        : [between(before, after), Math.min(after.width, after.height)];
    return hands + pointerSeconds('pointing', distance, width) + KLM.K;
  }
  const from = before ?? after;
  if (!from) return hands + 2 * (KLM.P + KLM.K);
  const moved = isSame && after ? movement(from, after) : null;
  if (!moved || moved.distance === 0) {
    // Nothing was moved: an entry of a menu at the window's corner.
    const toMenu = pointerSeconds('pointing', Math.hypot(from.width, from.height) / 2, button);
    const toEntry = pointerSeconds('pointing', MENU * scale, button);
    return hands + toMenu + toEntry + 2 * KLM.K;
  }
  const width = (moved.isEdge ? EDGE : TITLE) * scale;
  const landing = moved.isEdge ? EDGE * scale : Math.min(after!.width, after!.height) / 2;
  return (
    hands +
    pointerSeconds('pointing', moved.reach, width) +
    pointerSeconds('dragging', moved.distance, landing) +
    2 * KLM.K
  );
}

const middle = ({ x, y, width, height }: Rect) => ({ x: x + width / 2, y: y + height / 2 });

function between(a: Rect, b: Rect): number {
  const [from, to] = [middle(a), middle(b)];
  return Math.hypot(to.x - from.x, to.y - from.y);
}

/** How far the edge that moved most, or else the whole window, has gone, and how far it is from the window's middle. */
function movement(before: Rect, after: Rect) {
  const edges = [
    [after.x - before.x, before.width / 2],
    [after.x + after.width - before.x - before.width, before.width / 2],
    [after.y - before.y, before.height / 2],
    [after.y + after.height - before.y - before.height, before.height / 2],
  ] as const;
  const [left, right, top, bottom] = edges.map(([by]) => by !== 0);
  // One that is moved and gets another size by that is moved: of one that is sized, opposite edges stay.
  const isEdge = !(left && right) && !(top && bottom);
  if (!isEdge) return { isEdge, distance: between(before, after), reach: before.height / 2 };
  const [distance, reach] = edges.reduce((most, edge) =>
    Math.abs(edge[0]) > Math.abs(most[0]) ? edge : most,
  );
  return { isEdge, distance: Math.abs(distance), reach };
}
