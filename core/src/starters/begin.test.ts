import { commandText } from '../commands/command.ts';
import { describe, expect, test } from 'vitest';
import { checkProfile } from '../checkup/profile.ts';
import { deskInForce } from '../desk/desk.ts';
import { openSession } from '../engine/open.ts';
import { SECTIONS } from '../files/sections.ts';
import { changeTexts } from '../files/words.ts';
import { keyMap } from '../keys/map.ts';

import { profileSchema } from '../model/profile.ts';
import { sessionSchema } from '../model/session.ts';
import { OFFICE } from '../testing/desk.ts';
import { allStartedOver, beginProfile, startedOver } from './begin.ts';
import { ARRANGEMENT_CHOICES, HAND_CHOICES, MONITOR_CHOICES } from './choices.ts';
import { beginningDrawing, handKeys } from './drawings.ts';

const { apps } = profileSchema.parse(OFFICE);

describe('a profile made of three answers', () => {
  const all = MONITOR_CHOICES.flatMap(({ id: monitors }) =>
    HAND_CHOICES.map(({ id: hand }, i) => ({
      monitors,
      hand,
      layout: ARRANGEMENT_CHOICES[i]!.kind,
    })),
  );
  test.each(all)('has nothing for the checkup: $monitors, $layout, $hand', (answers) => {
    const profile = beginProfile(answers, 'Mine', apps);
    expect(checkProfile(profile)).toEqual([]);
    expect(profileSchema.parse(profile)).toEqual(profile);
    const { session } = openSession(sessionSchema.parse({}), profile);
    const desk = deskInForce(profile, session);
    const { monitors } = MONITOR_CHOICES.find(({ id }) => id === answers.monitors)!;
    expect(desk.monitors.map(({ id, x, y }) => ({ id, x, y }))).toEqual(
      monitors.map(({ id, x, y }) => ({ id, x, y })),
    );
    expect(profile.tiling.layout).toEqual({ kind: answers.layout });
  });

  test('the hand that moves has the directions', () => {
    const answers = { monitors: 'one', layout: 'lead', hand: 'inverted-t-left' } as const;
    const map = keyMap(beginProfile(answers, 'Mine', apps));
    const focusLeft = map.filter(({ command }) => command?.command === 'focus-left');
    expect(focusLeft.map(({ keys }) => keys)).toContain('Main+KeyS');
  });

  test.each(all)('keeps a key for every command: $monitors, $hand', ({ monitors, hand }) => {
    const textsOf = (id: (typeof all)[number]['hand']) => {
      const map = keyMap(beginProfile({ monitors, layout: 'lead', hand: id }, 'Mine', apps));
      return new Set(map.flatMap(({ command }) => (command ? [commandText(command)] : [])));
    };
    const kept = textsOf(hand);
    expect([...textsOf('whole')].filter((text) => !kept.has(text))).toEqual([]);
  });
});

describe('starting over', () => {
  const profile = profileSchema.parse(OFFICE);
  test.each(SECTIONS)('changes %s, and no other part', (section) => {
    const fresh = startedOver(profile, section, apps);
    const others = SECTIONS.filter((other) => other !== section);
    const back = others.reduce((made, other) => startedOver(made, other, apps), fresh);
    expect(back).toEqual(allStartedOver(profile, apps));
    expect(fresh.monitors).toEqual(profile.monitors);
    expect(profileSchema.parse(fresh)).toEqual(fresh);
  });

  test('leaves the name and what stands on the table', () => {
    const fresh = allStartedOver(profile, apps);
    expect(fresh.name).toBe(profile.name);
    expect(changeTexts(allStartedOver(fresh, apps), fresh)).toEqual([]);
    expect(checkProfile(fresh)).toEqual([]);
  });
});

describe('what the questions are drawn with', () => {
  test.each(ARRANGEMENT_CHOICES)('tiles of $kind lie on the monitors', ({ kind }) => {
    for (const { id } of MONITOR_CHOICES) {
      const { monitors, tiles } = beginningDrawing(id, kind, 4);
      expect(tiles.length).toBeGreaterThanOrEqual(monitors.length);
      for (const tile of tiles) {
        const isOn = monitors.some(
          ({ x, y, width, height }) =>
            tile.x >= x &&
            tile.y >= y &&
            tile.x + tile.width <= x + width &&
            tile.y + tile.height <= y + height,
        );
        expect(isOn).toBe(true);
      }
    }
  });

  test.each(HAND_CHOICES)('the keys of $id are on the board that is drawn', ({ id }) => {
    const { board, codes } = handKeys(id);
    expect(codes.size).toBe(id === 'number-pad' ? 9 : 4);
    for (const code of codes.keys()) expect(board.keys.map((key) => key.code)).toContain(code);
  });
});
