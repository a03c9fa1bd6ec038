import { expect, test } from 'vitest';
import { readFileText } from './read-text.ts';

const linesOf = (name: string, text: string) => {
  const result = readFileText(name, text);
  return result.ok ? [] : result.lines;
};

test('a fault of a file is told with the line that it stands on', () => {
  const yaml = 'monitors:\n  - id: m\n    width: 0\n    height: 10\ntiling:\n  growStep: -1\n';
  expect(linesOf('desk.yaml', yaml)).toEqual([
    'desk.yaml: line 3: monitors[0].width: 0; expected a whole number from 1 to 100000',
    expect.stringMatching(/^desk\.yaml: line 6: tiling\.growStep: -1; expected /),
  ]);
  const toml = '[tiling]\n\ngrowStep = -1\n';
  expect(linesOf('a.toml', toml)[0]).toMatch(/^a\.toml: line 3: tiling\.growStep: -1; /);
});

test('of many faults the first twenty have a line', () => {
  const monitors = Array.from({ length: 25 }, (_, i) => `  - { id: m${i}, width: 0, height: 9 }`);
  const lines = linesOf('a.yaml', `monitors:\n${monitors.join('\n')}\n`);
  expect(lines).toHaveLength(25);
  lines.forEach((line, i) => {
    const place = i < 20 ? `line ${i + 2}: ` : '';
    expect(line).toMatch(new RegExp(`^a\\.yaml: ${place}monitors\\[${i}\\]\\.width: 0; `));
  });
});

test('a fault of the whole has no line', () => {
  expect(linesOf('a.json', '[]')).toEqual([expect.stringMatching(/^a\.json: [^l]/)]);
});
