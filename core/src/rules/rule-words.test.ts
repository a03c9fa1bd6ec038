import { describe, expect, it } from 'vitest';
import { ruleSchema } from '../model/rule.ts';
import { rangeText, settingsWords, textOf, whenWords } from './rule-words.ts';
import { ruleSentence } from './sentence.ts';

const said = (rule: object) => textOf(ruleSentence(ruleSchema.parse({ id: 'r', ...rule })));
const short = (rule: object) => {
  const { when, then } = ruleSchema.parse({ id: 'r', ...rule });
  return `${textOf(whenWords(when))} → ${textOf(settingsWords(then))}`;
};

describe('a rule in words', () => {
  it.each([
    [{}, 'When any window opens, do nothing yet.', 'any window → nothing yet'],
    [
      {
        when: { all: [{ of: 'app', is: 'areamap' }] },
        then: { workspace: 'M', zone: 'Middle', monitor: 'widest' },
      },
      'When a window’s app is areamap, put it on workspace M on the widest monitor in zone “Middle”.',
      'app is areamap → workspace M, the widest monitor, zone “Middle”',
    ],
    [
      {
        when: {
          all: [
            { of: 'resizable', is: false },
            { of: 'width', from: 300, to: 800 },
          ],
          any: [
            { of: 'title', has: 'draft' },
            { of: 'title', matches: '^x+' },
          ],
          none: [
            { of: 'desk', fits: 'h*' },
            { of: 'height', to: 90 },
            { of: 'resizable', is: true },
          ],
        },
        then: {
          held: 'floating',
          size: { width: 420, height: 120 },
          corner: 'upper-right',
          stayAbove: true,
          focus: false,
        },
        again: { title: true, desk: true },
      },
      'When a window is not resizable and its width is 300 to 800 and its desk does not fit “h*” and its height is not at most 90 and it is not resizable, and either its title has “draft” or its title matches ^x+, float it, put it in the upper right corner at 420 × 120, keep it above the others and give it no focus; and again when its title changes or the desk or its mode changes.',
      'not resizable, width is 300 to 800, (title has “draft” or title matches ^x+), not desk fits “h*”, not height is at most 90, not resizable → float it, 420 × 120, in the upper right corner, stay above, no focus',
    ],
    [
      {
        when: {
          any: [
            { of: 'kind', is: 'dialog' },
            { of: 'parent', is: 'bulletin' },
          ],
        },
        then: { held: 'left-alone' },
      },
      'When a window’s kind is dialog or its parent is bulletin, leave it alone.',
      'kind is dialog or parent is bulletin → leave it alone',
    ],
    [
      {
        when: {
          none: [
            { of: 'title', is: 'Inbox' },
            { of: 'monitor', is: 'lap' },
          ],
        },
        then: {
          placing: { x: { start: '1/2' }, y: 'full' },
          join: 'lead',
          remember: false,
          everywhere: false,
        },
      },
      'When a window’s title is not “Inbox” and its monitor is not lap, put it left 1/2, show it on one workspace, let it join as lead and forget where it was moved.',
      'not title is “Inbox”, not monitor is lap → placed left 1/2, on one workspace, join as lead, forget where it was moved',
    ],
  ])('%j', (rule, sentence, words) => {
    expect(said(rule)).toBe(sentence);
    expect(short(rule)).toBe(words);
  });
});

it('a range of sizes is told by what limits it', () => {
  expect(rangeText({ from: 300 })).toBe('at least 300');
  expect(rangeText({ to: 900 })).toBe('at most 900');
  expect(rangeText({ from: 300, to: 900 })).toBe('300 to 900');
  expect(rangeText({ from: 300, to: 300 })).toBe('300');
});
