// @vitest-environment jsdom
import { useEffect } from 'react';
import { beforeAll, describe, expect, it } from 'vitest';
import profile from '../../../demo/bulletin-desk.profile.json' with { type: 'json' };
import session from '../../../demo/bulletin-desk.session.json' with { type: 'json' };
import { drawView } from '../testing/view.tsx';
import { best, useEverything, type Found } from './everything.ts';

let all: readonly Found[] = [];
/** Hands over what is gathered once it is drawn. */
function Gathering() {
  const gathered = useEverything(nowhere);
  useEffect(() => {
    all = gathered;
  }, [gathered]);
  return null;
}
const nowhere = () => undefined;
// The demo, with everything that a profile of some size has.
beforeAll(() => {
  drawView(<Gathering />, { profile, session });
});

/** What has to be found by its own name and by other words: everything that is not named by the person. */
const OF_SORN = [
  ...['Views', 'Panels', 'Pages', 'Settings', 'Actions'],
  ...['Commands', 'Layouts here', 'Place the window'],
];
const named = () => all.filter(({ group }) => OF_SORN.includes(group));

describe('find-anything, in a profile of some size', () => {
  it('lists an entry first when its very name is typed', () => {
    const missed = named().filter(({ text }) => best(all, text)[0]?.text !== text);
    expect(named().length).toBeGreaterThan(300);
    expect(missed.map(({ group, text }) => `${group}: ${text}`)).toEqual([]);
  });

  it('lists it when one of its other words is typed, among those that are shown', () => {
    const missed = named().filter((found) => {
      const words = (found.also ?? '').split(' ').filter((word) => !word.includes('.'));
      const isOther = (word: string) =>
        word !== '' && !found.text.toLowerCase().includes(word.toLowerCase());
      return !words.filter(isOther).some((word) => best(all, word).includes(found));
    });
    expect(missed.map(({ group, text }) => `${group}: ${text}`)).toEqual([]);
  });

  it.each([
    ['left third', 'left third'],
    ['middle third', 'middle third'],
    ['send maps', 'Window to M Maps'],
    ['call post', 'Call Post'],
    ['rename workspace', 'rename-workspace'],
    ['always on top', 'stay-above'],
    ['percent', 'Lead share'],
    ['unplug', 'Cables, desks and modes'],
    ['pull cable', 'Cables, desks and modes'],
    ['connect', 'Cables, desks and modes'],
    ['print', 'Keys: key chart'],
    ['dark', 'Day and night'],
    ['grid', 'Even grid'],
    ['tabs', 'Layout'],
    ['lock', 'Keys stay, or may move'],
  ])('%s leads to %s', (typed, text) => {
    expect(best(all, typed).map((found) => found.text)).toContain(text);
  });
});
