import type { ZoneBoard, ZoneBoardShape, Profile } from '@sorn/core/model';
import { rangeOf } from '@sorn/core/tiling';
import type { Axis, Direction } from '@sorn/core/values';
import {
  withZoneBoardMoved,
  lineBeside,
  withZoneBoard,
  withZoneBoardAdded,
  withLineMoved,
  withNewZone,
  withoutZoneBoard,
  withoutTrack,
  withoutZone,
  withTrackAfter,
  withTrackWeight,
  withZoneRenamed,
  zoneMoved,
  zoneRenamed,
  zoneReordered,
  zonesMerged,
  zoneSplit,
  zoneStretched,
  zoneTowards,
  freeZoneName,
  type DrawnZoneBoard,
} from '@sorn/core/zones';
import { withAppInZone } from '@sorn/core/rules';
import { useProfileStore, useProfileStoreApi } from '../../state/profile-context.ts';

/** What the Zones view changes, on the board and the selected zone. */
export type ZoneEdits = ReturnType<typeof useZoneEdits>;

/** The board a person begins with who has none. */
const EMPTY: ZoneBoard = {
  id: 'board',
  name: 'Board',
  columns: [1, 1],
  rows: [1],
  zones: [],
  for: {},
};

export function useZoneEdits(props: {
  board: ZoneBoard | null;
  zone: string | null;
  /** The workspace that is shown there, and its monitor. */
  workspace: string;
  monitor: string;
  drawn: DrawnZoneBoard | null;
  onBoard: (id: string) => void;
  onZone: (name: string) => void;
}) {
  const { board, zone, drawn } = props;
  const store = useProfileStoreApi();
  const edit = (change: (profile: Profile) => Profile, merge = '') =>
    store.getState().edit(change, merge);
  const onBoard = (change: (board: ZoneBoard) => ZoneBoard, merge = '') => {
    if (board)
      edit((profile) => withZoneBoard(profile, board.id, change), merge && `${merge} ${board.id}`);
  };
  const onZone = (change: (board: ZoneBoard, zone: string) => ZoneBoard, merge = '') => {
    if (zone !== null) onBoard((there) => change(there, zone), merge && `${merge} ${zone}`);
  };

  function add(source: ZoneBoard) {
    const added = withZoneBoardAdded(store.getState().profile, source);
    edit(() => added.profile);
    props.onBoard(added.id);
    return added.id;
  }

  const where = useProfileStore(({ profile }) => profile.workspaces).some(
    ({ id }) => id === props.workspace,
  )
    ? { workspace: props.workspace }
    : { monitor: props.monitor };

  return {
    /** Where a rule for a zone holds. */
    where,
    /** Has an app always in the zone, by a rule, or no longer. */
    toggleApp(app: string) {
      if (zone !== null) edit((profile) => withAppInZone(profile, app, zone, where));
    },
    move: (direction: Direction) =>
      onZone((there, name) => zoneMoved(there, name, direction), 'move zone'),
    stretch: (direction: Direction) =>
      onZone((there, name) => zoneStretched(there, name, direction), 'stretch zone'),
    split: (axis: Axis) => onZone((there, name) => zoneSplit(there, name, axis)),
    /** With the zone that lies next: to the right, else below, left, above. */
    merge() {
      if (!board || zone === null || !drawn) return;
      const next = (['right', 'down', 'left', 'up'] as const)
        .map((direction) => zoneTowards(board, drawn.tracks, drawn.area, [zone], direction))
        .find((name) => name !== null);
      if (next) onZone((there, name) => zonesMerged(there, name, next));
    },
    reorder(by: 1 | -1) {
      onZone((there, name) => zoneReordered(there, name, by));
      // The one that was moved stays selected, also where it was merely the first.
      if (zone !== null) props.onZone(zone);
    },
    remove() {
      if (!board || zone === null) return;
      const at = board.zones.findIndex(({ name }) => name === zone);
      const next = board.zones[at + 1] ?? board.zones[at - 1];
      onZone(withoutZone);
      if (next) props.onZone(next.name);
    },
    renameFault(to: string): string | null {
      if (!board || zone === null) return null;
      if (to === '') return 'a zone needs a name';
      return zoneRenamed(board, zone, to) ? null : `another zone here is called ${to}`;
    },
    rename(to: string) {
      if (!board || zone === null || !zoneRenamed(board, zone, to)) return;
      edit((profile) => withZoneRenamed(profile, board.id, zone, to));
      props.onZone(to.trim());
    },
    addZone() {
      if (!board) {
        add({ ...EMPTY, zones: [{ name: 'Zone 1', columns: [1, 1], rows: [1, 1] }] });
        return;
      }
      const { zone: name } = withNewZone(board);
      onBoard((there) => withNewZone(there).board);
      props.onZone(name);
    },
    /** A zone drawn by pointer. */
    draw(range: { columns: [number, number]; rows: [number, number] }) {
      if (!board) return;
      const name = freeZoneName(board);
      onBoard((there) => ({ ...there, zones: [...there.zones, { name, ...range }] }));
      props.onZone(name);
    },
    /** A track more: the zone's last one cut in two. */
    cutTrack(axis: Axis) {
      onBoard((there) => withTrackAfter(there, axis, lastTrack(there, axis)));
    },
    dropTrack(axis: Axis) {
      onBoard((there) => withoutTrack(there, axis, lastTrack(there, axis)));
    },
    setWeight: (axis: Axis, track: number, weight: number) =>
      onBoard((there) => withTrackWeight(there, axis, track, weight), `weight ${axis} ${track}`),
    /** The line beside the selected zone, by physical pixels. */
    moveLine(axis: Axis, by: number) {
      const range = zone === null ? null : board && rangeOf(board, [zone]);
      const track = board && range && lineBeside(board, range, axis);
      if (track) moveLine(axis, track, by);
    },
    moveLineAt: moveLine,
    setName: (name: string) => onBoard((there) => ({ ...there, name })),
    setShape: (shape: ZoneBoardShape) => onBoard((there) => ({ ...there, for: shape }), 'shape'),
    add,
    addEmpty: () => add(EMPTY),
    drop() {
      if (board) edit((profile) => withoutZoneBoard(profile, board.id));
    },
    reorderBoard(by: 1 | -1) {
      if (!board) return;
      edit((profile) => withZoneBoardMoved(profile, board.id, by));
      props.onBoard(board.id);
    },
  };

  function lastTrack(there: ZoneBoard, axis: Axis): number {
    const across = axis === 'x' ? 'columns' : 'rows';
    const range = zone === null ? null : rangeOf(there, [zone]);
    return range ? range[across][1] : there[across].length;
  }

  function moveLine(axis: Axis, track: number, by: number) {
    if (!drawn) return;
    const { area, gap } = drawn;
    const length = axis === 'x' ? area.width : area.height;
    onBoard(
      (there) => withLineMoved(there, axis, track, by, { length, gap: gap[axis] }),
      `line ${axis} ${track}`,
    );
  }
}
