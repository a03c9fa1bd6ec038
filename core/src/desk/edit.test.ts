import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { profileSchema } from '../model/profile.ts';
import { OFFICE } from '../testing/desk.ts';
import { deskInForce } from './desk.ts';
import {
  freeId,
  turnedBy90,
  withDeskWritten,
  withEntry,
  withMonitorOnDesk,
  withNewDesk,
  withoutDesk,
  withoutMonitorOnDesk,
} from './edit.ts';
import { besideMonitor, crossings, reservedMeasures, positionMeasures } from './measures.ts';

const bare = profileSchema.parse(OFFICE);
const written = withDeskWritten(bare, deskInForce(bare, {}));
const on = (profile: typeof bare, connection: object = { desk: 'desk' }) =>
  deskInForce(profile, connection).monitors;
const named = (profile: typeof bare, id: string) => on(profile).find((each) => each.id === id)!;

describe('a desk', () => {
  it('that was made up is written down as it stands, once', () => {
    expect(written.desk).toBe('desk');
    expect(on(written.profile)).toEqual(on(bare, {}));
    const again = withDeskWritten(written.profile, deskInForce(written.profile, {}));
    expect(again).toEqual(written);
  });

  it('gets one more edge to edge with one that stands there, over none', () => {
    const size = fc.integer({ min: 200, max: 4000 });
    const rects = fc.array(
      fc.record({ x: fc.nat(6000), y: fc.nat(6000), width: size, height: size }),
      { minLength: 1, maxLength: 5 },
    );
    fc.assert(
      fc.property(rects, size, size, (stand, width, height) => {
        const monitors = stand.map((rect, i) => ({ id: `m${i}`, ...rect }));
        const entries = stand.map(({ x, y }, i) => ({ monitor: `m${i}`, x, y }));
        const profile = profileSchema.parse({
          monitors,
          desks: [{ id: 'd', monitors: entries }],
          workspaces: [{ id: '1' }, { id: 'B' }],
        });
        const fresh = profileSchema.parse({ monitors: [{ id: 'new', width, height }] })
          .monitors[0]!;
        const more = withMonitorOnDesk(profile, 'd', fresh, on(profile));
        const { x, y } = more.desks[0]!.monitors.at(-1)!;
        const overlaps = stand.some(
          (other) =>
            x < other.x + other.width &&
            other.x < x + width &&
            y < other.y + other.height &&
            other.y < y + height,
        );
        const touches = stand.some(
          (other) =>
            x === other.x + other.width && y < other.y + other.height && other.y < y + height,
        );
        expect([overlaps, touches]).toEqual([false, true]);
        expect(more.workspaces.at(-1)).toEqual({ id: '2', monitor: 'new' });
      }),
    );
  });

  it('changes a monitor there alone, and gets one more or one less', () => {
    const moved = withEntry(written.profile, 'desk', 'lap', { x: 0, scale: 1 });
    expect(named(moved, 'lap')).toMatchObject({ x: 0, y: 1440, scale: 1 });
    expect(moved.monitors).toBe(written.profile.monitors);

    const wall = profileSchema.parse({ monitors: [{ id: 'wall', width: 1920, height: 1080 }] });
    const more = withMonitorOnDesk(written.profile, 'desk', wall.monitors[0]!, on(written.profile));
    // Right of the tall one, which ends at 4880, level with its upper edge.
    expect(named(more, 'wall')).toMatchObject({ x: 4880, y: -560, width: 1920 });
    const primary = { ...more, desks: more.desks.map((desk) => ({ ...desk, primary: 'wall' })) };
    expect(on(primary)[0]!.id).toBe('wall');
    const less = withoutMonitorOnDesk(primary, 'desk', 'wall');
    expect(less.desks).toEqual(written.profile.desks);
    expect(less.monitors.map(({ id }) => id)).toContain('wall');
    const alone = ['wide', 'tall', 'lap'].reduce(
      (profile, id) => withoutMonitorOnDesk(profile, 'desk', id),
      written.profile,
    );
    expect(on(alone).map(({ id }) => id)).toEqual(['lap']);
  });

  it('is copied with what stands there, and let go of', () => {
    const turned = withEntry(
      written.profile,
      'desk',
      'wide',
      turnedBy90(named(written.profile, 'wide')),
    );
    expect(named(turned, 'wide')).toMatchObject({ width: 1440, height: 3440, turn: 90 });
    const copy = withNewDesk(turned, 'Desk 2', on(turned));
    expect(copy.desk).toBe('desk-2');
    expect(on(copy.profile, { desk: 'desk-2' })).toEqual(on(turned));
    expect(withoutDesk(copy.profile, 'desk-2')).toEqual(turned);
  });

  it('turned four times is as before', () => {
    let profile = written.profile;
    for (let i = 0; i < 4; i++) {
      profile = withEntry(profile, 'desk', 'tall', turnedBy90(named(profile, 'tall')));
    }
    expect(on(profile)).toEqual(on(written.profile));
  });
});

it('ids are made of names, and are nobody else’s', () => {
  expect(freeId('Korvane Wide 34', [])).toBe('korvane-wide-34');
  expect(freeId('Korvane Wide 34', ['korvane-wide-34', 'korvane-wide-34-2'])).toBe(
    'korvane-wide-34-3',
  );
  expect(freeId('…', [])).toBe('monitor');
});

describe('measures of a desk', () => {
  const monitors = on(bare, {});
  const [wide, tall, lap] = ['wide', 'tall', 'lap'].map((id) => named(written.profile, id));

  it('lead over the edges where directions go', () => {
    const ways = crossings({ monitors });
    expect(ways.map(({ from, direction, to }) => `${from.id} ${direction} ${to.id}`)).toEqual([
      'wide right tall',
      'wide down lap',
      'tall left wide',
      'lap right tall',
      'lap up wide',
    ]);
    for (const { from, to, leaves, enters, direction } of ways) {
      const isIn = (rect: typeof from, x: number, y: number) =>
        x >= rect.x && x <= rect.x + rect.width && y >= rect.y && y <= rect.y + rect.height;
      expect(isIn(from, leaves.x, leaves.y), `${from.id} ${direction}`).toBe(true);
      expect(isIn(to, enters.x, enters.y), `${from.id} ${direction}`).toBe(true);
    }
  });

  it('say how one stands off the one beside it, and what is reserved', () => {
    expect(besideMonitor(tall!, monitors)?.id).toBe('wide');
    expect(positionMeasures(tall!, monitors)).toMatchObject([
      { kind: 'off', axis: 'y', from: -560, to: 0 },
    ]);
    expect(positionMeasures(lap!, monitors)).toMatchObject([
      { kind: 'off', axis: 'x', from: 0, to: 280 },
    ]);
    const apart = { ...tall!, x: 3600, y: 0 };
    expect(positionMeasures(apart, [wide!, apart])).toMatchObject([
      { kind: 'gap', axis: 'x', from: 3440, to: 3600 },
    ]);
    // Logical pixels at scale 2.
    expect(reservedMeasures(lap!)).toEqual([
      { edge: 'top', axis: 'y', from: 1440, to: 1488, logical: 24 },
      { edge: 'bottom', axis: 'y', from: 3160, to: 3240, logical: 40 },
    ]);
  });
});

describe('a desk more', () => {
  it('says of each monitor where it stands, and only what is otherwise than its own', () => {
    const [wide, tall, lap] = on(written.profile);
    const present = [
      { ...wide!, x: 7, y: 9 },
      { ...tall!, turn: 90, width: tall!.height, height: tall!.width },
      { ...lap!, scale: 1.5, reserved: { ...lap!.reserved, top: 99 } },
    ];
    const { profile, desk } = withNewDesk(written.profile, 'Hut', present);
    const stands = ({ x, y }: { x: number; y: number }) => ({ x, y });
    expect(profile.desks.at(-1)).toEqual({
      id: desk,
      name: 'Hut',
      mode: 'extend',
      monitors: [
        { monitor: 'wide', x: 7, y: 9 },
        { monitor: 'tall', ...stands(tall!), width: 2560, height: 1440, turn: 90 },
        {
          monitor: 'lap',
          ...stands(lap!),
          scale: 1.5,
          reserved: { top: 99, right: 0, bottom: 40, left: 0 },
        },
      ],
    });
    expect(profileSchema.parse(profile)).toEqual(profile);
  });

  it('without a monitor yet gets its first one in the corner', () => {
    const [monitor] = written.profile.monitors;
    const empty = { ...written.profile, desks: [{ ...written.profile.desks[0]!, monitors: [] }] };
    const { desks } = withMonitorOnDesk(empty, 'desk', monitor!, []);
    expect(desks[0]!.monitors).toEqual([{ monitor: 'wide', x: 0, y: 0 }]);
  });
});
