import type { z } from 'zod';
import { between, fields, idField, listOf, oneOf, rectField, textField } from '../values/fields.ts';
import { alongField } from '../values/snap.ts';
import { HELD } from '../values/window.ts';

/**
 * Where a window stands, in physical pixels of the joint desktop, and the work area in which it was put
 * there: in another one it keeps its share of it.
 */
export const floatingRectField = fields({
  ...rectField.shape,
  area: fields({ ...rectField.shape, scale: between(0.25, 8, 'a scale') }).exactOptional(),
});
export type FloatingRect = z.output<typeof floatingRectField>;

/** Names of zones that a window spans. */
const zonesField = listOf(textField, 'zones', 1_000).min(1, { error: 'at least one zone' });

/** The zones a window of a board layout is in. */
export const inZonesField = fields({
  zones: zonesField,
  /** What it was in before it was widened. */
  before: zonesField.exactOptional(),
});

/** Where a window was placed by key, out of the layout. Of what is there, `moved` counts first, then `at`, `zone`, x and y. */
export const snapField = fields({
  x: alongField.default('full'),
  y: alongField.default('full'),
  /** Zones of a board, without the board being the layout. */
  zone: fields({ board: idField, zones: zonesField }).exactOptional(),
  /** A rectangle of its own. */
  at: floatingRectField.exactOptional(),
  /** Edges shared with neighbours were moved by key: even-out sets them back. */
  moved: floatingRectField.exactOptional(),
});
export type Snap = z.output<typeof snapField>;

/** A window of a lineup, and the place it had. */
const lineupWindowField = fields({
  app: idField.exactOptional(),
  title: textField.exactOptional(),
  /** Its id when the lineup was saved: leaves of a tree made by hand are called so. */
  id: idField,
  held: oneOf(HELD),
  placing: snapField.exactOptional(),
  standing: floatingRectField.exactOptional(),
  /** The zones of the board that gave it its tile. */
  inZones: inZonesField.exactOptional(),
  /** Where it was seen: its share of the work area is its place where nothing else is known. */
  seen: floatingRectField,
});
export type LineupWindow = z.output<typeof lineupWindowField>;

/** Windows and places, recalled together. The arrangement's other fields are added where it is known. */
export const lineupFields = {
  workspace: idField,
  monitor: idField,
  /** The board that arranged them. */
  board: idField.exactOptional(),
  windows: listOf(lineupWindowField, 'windows', 1_000),
  focus: idField.exactOptional(),
};
