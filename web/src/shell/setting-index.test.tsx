// @vitest-environment jsdom
import { screen } from '@testing-library/react';
import type { ReactNode } from 'react';
import { describe, expect, it } from 'vitest';
import { describedSchema } from '../../../core/src/files/published-schema.ts';
import type { JsonSchema } from '../../../core/src/files/schema-json.ts';
import { EVERY_VIEW, ONE_OF_EACH } from '../testing/every-view.tsx';
import { drawView } from '../testing/view.tsx';
import { presentValue, settingOf, SETTINGS } from './setting-index.ts';
import { Settings } from './Settings.tsx';

/** Every field of a profile's file, `[]` for an entry of a list. What a command says is no setting of its own. */
function fieldsOf(schema: JsonSchema, path = ''): string[] {
  const alternatives = schema.anyOf ?? schema.oneOf;
  if (alternatives) return alternatives.flatMap((each) => fieldsOf(each, path));
  if (schema.items) return fieldsOf(schema.items, `${path}[]`);
  return Object.entries(schema.properties ?? {}).flatMap(([name, part]) => {
    const at = path === '' ? name : `${path}.${name}`;
    return [at, ...(['command', 'commands', 'release'].includes(name) ? [] : fieldsOf(part, at))];
  });
}

const FIELDS = [...new Set(fieldsOf(describedSchema()))];

describe('every field of a profile', () => {
  it('belongs to a setting, which has a name of its own and other words for it', () => {
    expect(FIELDS.length).toBeGreaterThan(300);
    expect(FIELDS.filter((path) => settingOf(path) === null)).toEqual([]);
    expect(new Set(SETTINGS.map(({ text }) => text)).size).toBe(SETTINGS.length);
    for (const { text, also } of SETTINGS) {
      expect(text.length, text).toBeGreaterThan(3);
      expect(also.split(' ').filter((word) => word !== '').length, text).toBeGreaterThan(0);
    }
  });

  it('is what a setting stands for: none is about a field that is not there', () => {
    expect(SETTINGS.filter(({ path }) => !FIELDS.includes(path)).map(({ path }) => path)).toEqual(
      [],
    );
  });
});

it('a value is told as a person has it', () => {
  const profile = { tiling: { gaps: { inner: 4, dropWhenAlone: true }, cycle: ['lead', 'rows'] } };
  const valueAt = (path: string) => presentValue(profile, path);
  expect(['tiling.gaps.inner', 'tiling.gaps.dropWhenAlone', 'tiling.cycle'].map(valueAt)).toEqual([
    '4',
    'on',
    'lead, rows',
  ]);
  const sides = { top: 6, right: 6, bottom: 6, left: 6 };
  const apart = {
    tiling: { layout: { kind: 'lead' }, gaps: { inner: { x: 4, y: 8 }, outer: sides } },
  };
  expect(
    ['tiling.gaps.inner', 'tiling.gaps.outer', 'tiling.layout'].map((path) =>
      presentValue(apart, path),
    ),
  ).toEqual(['4, 8', '6', 'lead']);
  expect(['tiling.gaps', 'tiling.growStep', 'rules[].name'].map(valueAt)).toEqual(['', '', '']);
});

const NOTHING = () => undefined;
const VIEWS: Record<string, ReactNode> = {
  ...EVERY_VIEW,
  settings: <Settings isOpen onClose={NOTHING} />,
};
/** The keys that go to a page of a view. */
const PAGE_KEYS: Record<string, string> = {
  apps: 'p',
  workspaces: 'w',
  layers: 'l',
  starters: 'p',
  devices: 'd',
  suggest: 's',
  chains: 'j',
};

const PLACES = [
  ...new Set(SETTINGS.filter(({ controls }) => controls.length > 0).map(placeOf)),
].map((place) => place.split(' '));

function placeOf({ view, page, panel }: (typeof SETTINGS)[number]): string {
  return `${panel ?? view} ${page ?? ''}`;
}

describe('each setting has its control where it says', () => {
  it.each(PLACES)('%s %s', async (view, page) => {
    const { user } = drawView(VIEWS[view!], {
      profile: ONE_OF_EACH,
      session: { windows: [{ id: 'a' }] },
    });
    if (PAGE_KEYS[page!]) await user.keyboard(PAGE_KEYS[page!]!);
    const isThere = (name: string) =>
      screen.queryAllByLabelText(name.endsWith('*') ? new RegExp(`^${name.slice(0, -1)}`) : name, {
        exact: true,
      }).length > 0;
    const missing = SETTINGS.filter(
      (setting) =>
        placeOf(setting) === `${view} ${page}` &&
        setting.controls.length > 0 &&
        !setting.controls.some(isThere),
    );
    expect(missing.map(({ controls }) => controls)).toEqual([]);
  });
});
