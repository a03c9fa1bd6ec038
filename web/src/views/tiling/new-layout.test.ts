import { openSession, computePlacements, reduce } from '@sorn/core/engine';
import { profileSchema, sessionSchema } from '@sorn/core/model';
import { LAYOUTS, sampleTiles, type Abilities } from '@sorn/core/tiling';
import { LAYOUT_KINDS, parametersOf, type LayoutKind } from '@sorn/core/values';
import { expect, it, vi } from 'vitest';

vi.mock('../../../../core/src/values/layout-parameters.ts', async (original) => {
  const former = await original<{ LAYOUT_PARAMETERS: { lead: object } }>();
  const { lead } = former.LAYOUT_PARAMETERS;
  return { ...former, LAYOUT_PARAMETERS: { ...former.LAYOUT_PARAMETERS, bands: lead } };
});
vi.mock('../../../../core/src/tiling/layouts/registry.ts', async (original) => {
  const former = await original<{ DEFINITIONS: { lead: object } }>();
  const { lead } = former.DEFINITIONS;
  const defaults = { kind: 'bands', side: 'top', leadCount: 1, leadShare: 0.25 };
  const bands = { ...lead, title: 'Bands', defaults };
  return { DEFINITIONS: { ...former.DEFINITIONS, bands } };
});

it('a layout that is defined is read, drawn, turned, offered and set by that alone', () => {
  const kind = 'bands' as LayoutKind;
  expect(LAYOUT_KINDS).toContain(kind);
  const profile = profileSchema.parse({
    monitors: [{ id: 'm', width: 1000, height: 800 }],
    tiling: { layout: { kind } },
  });
  const windows = ['a', 'b'].map((id) => ({ id }));
  const { session } = openSession(sessionSchema.parse({ windows, focus: 'a' }), profile);
  const heights = computePlacements(session, profile).placements.map(({ height }) => height);
  expect(heights).toEqual([200, 600]);
  const turn = { type: 'command', command: { command: 'turn-layout' } } as const;
  const turned = reduce(session, turn, profile).session;
  expect(computePlacements(turned, profile).placements.map(({ width }) => width)).toEqual([
    250, 750,
  ]);
  expect(LAYOUTS[kind].can).toMatchObject({
    turn: true,
    grow: true,
    lead: true,
  } satisfies Partial<Abilities>);
  const drawn = sampleTiles(
    LAYOUTS[kind].defaults,
    3,
    { width: 100, height: 50 },
    { x: 0, y: 0, width: 100, height: 50 },
    { x: 0, y: 0 },
    1,
  );
  expect(drawn).toHaveLength(3);
  expect(Object.keys(parametersOf(kind))).toEqual(['side', 'leadCount', 'leadShare']);
});
