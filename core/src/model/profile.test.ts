import { describe, expect, it } from 'vitest';
import { levelsFor, resolveGaps, resolveLayout } from '../tiling/settings.ts';
import { faultText, read } from '../values/faults.ts';
import { editDistance, nearestName } from '../values/nearest-name.ts';
import { profileSchema } from './profile.ts';

const MONITORS = [{ id: 'm', width: 1920, height: 1080 }];

function faults(input: unknown): string[] {
  const result = read(profileSchema, input);
  return result.ok ? [] : result.faults.map(faultText);
}

describe('faults of a profile', () => {
  it('are none where every field has its default', () => {
    expect(faults({ monitors: MONITORS })).toEqual([]);
  });

  it('tell the path, what is there and what was expected', () => {
    const bad = {
      monitors: [
        { id: 'a b', width: 0, height: 1080 },
        { ...MONITORS[0], scale: 'two' },
      ],
      tiling: {
        layout: { kind: 'lead', leadShare: 1.2 },
        gaps: { inner: -3 },
        places: [{ gaps: {} }],
      },
      keys: { main: 'Super' },
    };
    expect(faults(bad)).toEqual([
      'monitors[0].id: "a b"; expected a name of 1 to 80 characters without spaces or slashes',
      'monitors[0].width: 0; expected a whole number from 1 to 100000',
      'monitors[1].scale: "two"; expected a scale from 0.25 to 8',
      'tiling.layout.leadShare: 1.2; expected a share from 0 to 1',
      'tiling.gaps.inner: -3; expected logical pixels from 0 to 10000',
      'tiling.places[0]: {"gaps":{}}; expected a place that names a workspace, a monitor or both',
      'keys.main: "Super"; expected one of Ctrl, Alt, Shift, Meta',
    ]);
  });

  it('tell a mistyped field with the nearest that exists', () => {
    expect(faults({ monitors: MONITORS, tilng: {} })).toEqual([
      'tilng: {}; expected a known field; the nearest is tiling',
    ]);
    expect(
      faults({ monitors: MONITORS, tiling: { layout: { kind: 'lead', leadshare: 0.4 } } })[0],
    ).toContain('the nearest is leadShare');
  });

  it('tell missing things, wrong kinds of thing, and ids given twice', () => {
    expect(faults([])).toEqual([
      expect.stringMatching(
        /^the whole input: \[\]; expected an object with version, name, monitors/,
      ),
    ]);
    expect(faults({})).toEqual(['monitors: nothing; expected a list of at most 32 monitors']);
    expect(faults({ monitors: [] })).toEqual(['monitors: []; expected at least one monitor']);
    expect(faults({ monitors: [...MONITORS, ...MONITORS] })).toEqual([
      'monitors[1].id: "m"; expected an id that no other of the monitors has',
    ]);
    expect(faults({ monitors: MONITORS, tiling: { layout: { kind: 'spiral' } } })[0]).toContain(
      'a layout whose kind is one of lead, middle, columns',
    );
    expect(faults({ version: 0, monitors: MONITORS })[0]).toContain(
      'the version of this file format',
    );
  });

  it('tell numbers that are none', () => {
    for (const leadShare of [NaN, Infinity, null, '0.5']) {
      expect(
        faults({ monitors: MONITORS, tiling: { layout: { kind: 'lead', leadShare } } }),
      ).toHaveLength(1);
    }
  });
});

describe('settings by place', () => {
  const profile = profileSchema.parse({
    monitors: MONITORS,
    tiling: {
      layout: { kind: 'lead', leadShare: 0.4, leadCount: 2 },
      gaps: { inner: 4, outer: { left: 1, top: 2, right: 3, bottom: 4 } },
      places: [
        { workspace: 'B', monitor: 'm', gaps: { inner: { x: 1, y: 2 } } },
        { workspace: 'B', layout: { kind: 'lead', leadShare: 0.6 } },
        { monitor: 'm', layout: { kind: 'columns' }, gaps: { dropWhenAlone: true } },
      ],
    },
  });

  it('are decided field by field by the closest place', () => {
    const levels = levelsFor(profile, 'B', 'm');
    expect(levels.map(({ from }) => from)).toEqual([
      'workspace-on-monitor',
      'workspace',
      'monitor',
      'profile',
    ]);
    expect(resolveGaps(levels)).toEqual({
      gaps: {
        inner: { x: 1, y: 2 },
        outer: { left: 1, top: 2, right: 3, bottom: 4 },
        dropWhenAlone: true,
      },
      from: { inner: 'workspace-on-monitor', outer: 'profile', dropWhenAlone: 'monitor' },
    });
  });

  it('merge a layout’s parameters only under the same kind', () => {
    const { layout, from } = resolveLayout(levelsFor(profile, 'B', 'm'));
    expect(layout).toEqual({ kind: 'lead', leadShare: 0.6, leadCount: 2, side: 'left' });
    expect(from()).toEqual({
      kind: 'workspace',
      leadShare: 'workspace',
      leadCount: 'profile',
      side: 'default',
    });
    expect(resolveLayout(levelsFor(profile, 'X', 'm')).layout).toEqual({
      kind: 'columns',
      weights: [],
    });
  });
});

describe('a layer of keys', () => {
  it('is called otherwise than the base layer', () => {
    const read = (id: string) =>
      profileSchema.safeParse({
        monitors: [{ id: 'm', width: 1920, height: 1080 }],
        keys: { layers: [{ id }] },
      });
    expect(read('far').success).toBe(true);
    const { error } = read('base');
    expect(error?.issues.map(({ path, message }) => [path.join('.'), message])).toEqual([
      ['keys.layers.0.id', 'a name other than base'],
    ]);
  });
});

describe('the nearest name', () => {
  it('counts letters put in, left out, changed and swapped', () => {
    expect(editDistance('wdie', 'wide')).toBe(1);
    expect(editDistance('wide', 'wides')).toBe(1);
    expect(editDistance('', 'abc')).toBe(3);
  });

  it('is none when nothing is near', () => {
    expect(nearestName('tal', ['wide', 'tall', 'lap'])).toBe('tall');
    expect(nearestName('projector', ['wide', 'tall', 'lap'])).toBeNull();
  });
});

it('a version that cannot be read says why', () => {
  const said = (version: unknown) => {
    const read = profileSchema.safeParse({
      version,
      monitors: [{ id: 'm', width: 900, height: 600 }],
    });
    return read.success ? null : read.error.issues[0]!.message;
  };
  expect(said(4)).toBeNull();
  expect(said(5)).toMatch(/^at most 4: the file is from a newer Sorn/);
  expect(said(4.5)).toMatch(/^at most 4/);
  expect(said('4')).toBe('4, the version of this file format');
  expect(said(-1)).toBe('4, the version of this file format');
});
