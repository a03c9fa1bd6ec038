import { describe, expect, test } from 'vitest';
import { DEMO } from '../testing/profiles.ts';
import { compactProfile } from './compact.ts';
import { FORMATS, type Format } from './format.ts';
import { readProfileText } from './text-faults.ts';
import { writeText } from './write.ts';

/** The line of every fault, and what stands where it is. */
const faultsOf = (text: string, format: Format) =>
  readProfileText(text, format).faults.map(({ line, from, to, message }) => ({
    line,
    at: text.slice(from, to),
    message,
  }));

describe.each(FORMATS)('faults of a text in %s', (format) => {
  const text = writeText(compactProfile(DEMO), format);

  test('none where there are none', () => {
    expect(readProfileText(text, format)).toEqual({ profile: DEMO, faults: [] });
  });

  test('stand at the field they are about, on its line', () => {
    const right = /growStep|scale"?\s?[:=] 2/;
    const broken = text.replace(/("?scale"?\s?[:=] )2/, '$190');
    expect(broken).not.toBe(text);
    expect(text).toMatch(right);
    const line = broken.split('\n').findIndex((each) => /scale"?\s?[:=] 90/.test(each)) + 1;
    expect(faultsOf(broken, format)).toEqual([
      {
        line,
        at: expect.stringMatching(/^"?scale"?$/),
        message: 'monitors[2].scale is 90; expected a scale from 0.25 to 8',
      },
    ]);
  });

  test('of the format itself stand where it breaks', () => {
    const lines = text.split('\n');
    const broken = [
      ...lines.slice(0, 3),
      { json: '}', yaml: '\t: [', toml: '= 3' }[format],
      ...lines.slice(3),
    ];
    const [fault] = faultsOf(broken.join('\n'), format);
    expect(fault!.line).toBeGreaterThanOrEqual(3);
    expect(fault!.line).toBeLessThanOrEqual(6);
  });
});

test('a mistyped field is told with the nearest, and every other fault beside it', () => {
  const text = 'monitors:\n  - id: m\n    widht: 10\n    height: 0\n';
  expect(faultsOf(text, 'yaml').map(({ line, message }) => [line, message])).toEqual([
    [2, 'monitors[0].width is nothing; expected a whole number from 1 to 100000'],
    [4, 'monitors[0].height is 0; expected a whole number from 1 to 100000'],
    [3, 'monitors[0].widht is 10; expected a known field; the nearest is width'],
  ]);
});
