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
import { OFFICE, testDesk } from '../testing/desk.ts';
import { allStartedOver, beginProfile, startedOver, type Answers } from './begin.ts';
import { APP_CHOICES, USUAL_APPS } from './apps.ts';
import { ARRANGEMENT_CHOICES, firstMonitors, HAND_CHOICES, MONITOR_CHOICES } from './choices.ts';
import { COMMON_SCREENS, otherScreen, USUAL_SCREENS } from './screens.ts';
import { beginningDrawing, handKeys } from './drawings.ts';

const USUAL: Answers = {
  monitors: 'one',
  screens: USUAL_SCREENS,
  apps: USUAL_APPS,
  layout: 'lead',
  hand: 'whole',
};
const ALL_APPS = APP_CHOICES.map(({ id }) => id);
const begun = (answers: Partial<Answers>) => beginProfile({ ...USUAL, ...answers }, 'Mine');

describe('a profile made of the answers', () => {
  const all = MONITOR_CHOICES.flatMap(({ id: monitors }) =>
    HAND_CHOICES.map(({ id: hand }, i) => ({
      monitors,
      hand,
      layout: ARRANGEMENT_CHOICES[i]!.kind,
      apps: [[], USUAL_APPS, ALL_APPS, ['call' as const]][i]!,
    })),
  );
  test.each(all)('has nothing for the checkup: $monitors, $layout, $hand', (answers) => {
    const profile = begun(answers);
    expect(checkProfile(profile)).toEqual([]);
    expect(profileSchema.parse(profile)).toEqual(profile);
    const { session } = openSession(sessionSchema.parse({}), profile);
    const desk = deskInForce(profile, session);
    const monitors = firstMonitors(answers.monitors, USUAL_SCREENS);
    expect(desk.monitors.map(({ id, x, y }) => ({ id, x, y }))).toEqual(
      monitors.map(({ id, x, y }) => ({ id, x, y })),
    );
    expect(profile.tiling.layout).toEqual({ kind: answers.layout });
    expect(profile.apps.map(({ id }) => id)).toEqual(answers.apps);
  });

  test('the hand that moves has the directions', () => {
    const map = keyMap(begun({ hand: 'inverted-t-left' }));
    const focusLeft = map.filter(({ command }) => command?.command === 'focus-left');
    expect(focusLeft.map(({ keys }) => keys)).toContain('Main+KeyS');
  });

  test.each(all)('keeps a key for every command: $monitors, $hand', ({ monitors, hand }) => {
    const textsOf = (id: (typeof all)[number]['hand']) => {
      const map = keyMap(begun({ monitors, hand: id, apps: ALL_APPS }));
      return new Set(map.flatMap(({ command }) => (command ? [commandText(command)] : [])));
    };
    const kept = textsOf(hand);
    expect([...textsOf('whole')].filter((text) => !kept.has(text))).toEqual([]);
  });
});

describe('the monitors of a first desk', () => {
  test('meet in the middle of their sides, in pixels and on the table', () => {
    const [main, laptop] = firstMonitors('laptop-below', USUAL_SCREENS);
    expect([main!.width, main!.height, laptop!.width, laptop!.height]).toEqual([
      2560, 1440, 1920, 1200,
    ]);
    expect([laptop!.x, laptop!.y]).toEqual([320, 1440]);
    // 27 inches of 2560 × 1440 are 598 × 336 mm, 14 inches of 1920 × 1200 are 302 × 188.
    expect(main!.seen).toEqual({ x: 0, y: 0, width: 598, height: 336 });
    expect(laptop!.seen).toEqual({ x: 148, y: 336, width: 302, height: 188 });
  });

  test('are as wide as high once turned, with the millimetres', () => {
    const turned = begun({ monitors: 'three' }).monitors.find(({ id }) => id === 'turned');
    expect(turned).toMatchObject({
      width: 1440,
      height: 2560,
      turn: 90,
      millimetres: { width: 336, height: 598 },
    });
  });

  test('are of any size that is sold: each is reached from the usual one by larger and smaller', () => {
    for (const screen of COMMON_SCREENS) {
      const reached = new Set([USUAL_SCREENS[screen.form]]);
      for (const each of reached)
        for (const by of [1, -1] as const) reached.add(otherScreen(each, by));
      expect([...reached]).toContain(screen);
      expect(otherScreen(screen, 1).inches).toBeGreaterThanOrEqual(screen.inches);
    }
  });
});

describe('what is ready-made for apps', () => {
  const opened = (app: string, title: string | undefined, answers: Partial<Answers> = {}) => {
    const desk = testDesk(begun({ apps: ALL_APPS, ...answers })).run({
      command: 'open-app',
      app: 'browser',
    });
    return desk.run({ command: 'open-app', app, ...(title !== undefined && { window: title }) });
  };

  test('the small picture of a call floats above, on every workspace, and leaves the focus', () => {
    const desk = opened('call', 'Small picture');
    const { x, y, width, held, stayAbove, everywhere } = desk.at('call-1');
    expect([held, stayAbove, everywhere, desk.session.focus]).toEqual([
      'floating',
      true,
      true,
      'browser-1',
    ]);
    expect(x + width).toBeGreaterThan(2500);
    expect(y).toBeLessThan(20);
    expect(opened('call', undefined).at('call-1').held).toBe('tiled');
  });

  test('mail and chat go to the second monitor where there is one, music to the pocket', () => {
    const two = { monitors: 'laptop-below' } as const;
    expect(opened('mail', undefined, two).at('mail-1').monitor).toBe('panel');
    expect(opened('mail', undefined).at('mail-1').monitor).toBe('main');
    const chat = opened('chat', undefined, two);
    expect([chat.at('chat-1').monitor, chat.session.focus]).toEqual(['panel', 'browser-1']);
    expect(opened('music', undefined).session.pocket).toEqual(['music-1']);
  });
});

describe('starting over', () => {
  const profile = profileSchema.parse(OFFICE);
  test.each(SECTIONS)('changes %s, and no other part', (section) => {
    const fresh = startedOver(profile, section);
    const others = SECTIONS.filter((other) => other !== section);
    const back = others.reduce((made, other) => startedOver(made, other), fresh);
    expect(back).toEqual(allStartedOver(profile));
    expect(fresh.monitors).toEqual(profile.monitors);
    expect(profileSchema.parse(fresh)).toEqual(fresh);
  });

  test('leaves the name and what stands on the table', () => {
    const fresh = allStartedOver(profile);
    expect(fresh.name).toBe(profile.name);
    expect(changeTexts(allStartedOver(fresh), fresh)).toEqual([]);
    expect(checkProfile(fresh)).toEqual([]);
  });
});

describe('what the questions are drawn with', () => {
  test.each(ARRANGEMENT_CHOICES)('tiles of $kind lie on the monitors', ({ kind }) => {
    for (const { id } of MONITOR_CHOICES) {
      const { monitors, tiles } = beginningDrawing({ ...USUAL, monitors: id, layout: kind }, 4);
      expect(tiles.length).toBeGreaterThanOrEqual(monitors.length);
      for (const tile of tiles) {
        const isOn = monitors.some(
          ({ x, y, width, height }) =>
            tile.x >= x &&
            tile.y >= y &&
            tile.x + tile.width <= x + width + 0.001 &&
            tile.y + tile.height <= y + height + 0.001,
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
