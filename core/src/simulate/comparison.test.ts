import { readFileSync } from 'node:fs';
import fc from 'fast-check';
import Papa from 'papaparse';
import { describe, expect, test } from 'vitest';
import { computePlacements } from '../engine/placements.ts';
import { profileSchema, type Profile } from '../model/profile.ts';
import { trialSchema } from '../model/trial.ts';
import { changeShares, measuredRun } from './comparison.ts';
import { comparisonCsv, comparisonHtml, comparisonSvg } from './comparison-files.ts';
import { MEASURE_NAMES } from './step-measures.ts';

const demo = profileSchema.parse(
  JSON.parse(
    readFileSync(new URL('../../../demo/bulletin-desk.profile.json', import.meta.url), 'utf8'),
  ),
);
const trial = demo.trials.find(({ id }) => id === 'data-pull')!;

/** A small desk of one monitor, on which every pixel can be looked at. */
const SMALL = profileSchema.parse({
  monitors: [
    { id: 'm', width: 90, height: 60, reserved: { top: 4, right: 0, bottom: 0, left: 0 } },
  ],
  workspaces: [{ id: '1' }],
  tiling: { layout: { kind: 'columns' }, gaps: { inner: 3, outer: 2 } },
  keys: {
    bindings: [{ keys: 'Main+KeyF', command: { command: 'float' } }],
  },
});
const small = trialSchema.parse({
  id: 't',
  steps: [
    { open: { id: 'a', min: { width: 60, height: 10 }, wanted: { width: 50, height: 80 } } },
    { open: { id: 'b' } },
    { command: 'float' },
    { press: 'Main+KeyF' },
    { expect: { findings: [] } },
  ],
});

describe('what a step costs, and how the desk is after it', () => {
  test('pixels without windows are those that no window lies on, counted one by one', () => {
    const { steps } = measuredRun(SMALL, small);
    expect(steps).toHaveLength(5);
    for (const { session, profile, measures } of steps.slice(1)) {
      const { placements } = computePlacements(session, profile);
      let empty = 0;
      for (let x = 0; x < 90; x++)
        for (let y = 4; y < 60; y++)
          if (
            !placements.some(
              (rect) =>
                rect.shown &&
                x >= rect.x &&
                x < rect.x + rect.width &&
                y >= rect.y &&
                y < rect.y + rect.height,
            )
          )
            empty += 1;
      expect(measures.wasted * 1e6).toBeCloseTo(empty, 3);
    }
  });

  test('sizes that windows lack, by their figures', () => {
    const { steps } = measuredRun(SMALL, small);
    // Alone it is 86 × 52; beside the other it gets what it needs.
    expect(steps[1]!.measures).toMatchObject({ underMinimum: 0, underWanted: 80 - 52 });
    const { placements } = computePlacements(steps[2]!.session, SMALL);
    const a = placements.find(({ id }) => id === 'a')!;
    expect(steps[2]!.measures.underMinimum).toBe(Math.max(0, 60 - a.width));
  });

  test('a command is counted by the keys that it has, a press as it is; what has no key costs nothing', () => {
    const { steps } = measuredRun(SMALL, small);
    const costs = steps.map(({ measures: { presses, seconds } }) => [presses, seconds]);
    // By the keystroke-level model 0.2 s a press, the modifier counted.
    expect(costs).toEqual([
      [0, 0],
      [0, 0],
      [0, 0],
      [1, 0.4],
      [1, 0.4],
    ]);
  });
});

describe('what makes the difference', () => {
  const after: Profile = {
    ...demo,
    rules: demo.rules.slice(1),
    tiling: { ...demo.tiling, gaps: { inner: 40, outer: 30 } },
  };

  test('change by change, and together it is all of it', () => {
    const { changes, together } = changeShares(demo, after, trial);
    const [one, other] = [measuredRun(demo, trial).total, measuredRun(after, trial).total];
    expect(changes.length).toBeGreaterThanOrEqual(3);
    for (const name of MEASURE_NAMES) {
      const sum = changes.reduce((all, { shares }) => all + shares[name], together[name]);
      expect(sum).toBeCloseTo(other[name] - one[name], 6);
    }
    expect(changes.some(({ shares }) => shares.wasted > 0.1)).toBe(true);
  });

  test('each share is what that change alone makes, done by hand', () => {
    const { changes } = changeShares(demo, after, trial);
    const alone: Profile = { ...demo, rules: demo.rules.slice(1) };
    const base = measuredRun(demo, trial).total;
    const only = measuredRun(alone, trial).total;
    const told = changes.filter(({ text }) => text.startsWith('rule'));
    expect(told).toHaveLength(1);
    for (const name of MEASURE_NAMES)
      expect(told[0]!.shares[name]).toBeCloseTo(only[name] - base[name], 9);
  });

  test('nothing between equal profiles', () => {
    const { changes, together } = changeShares(demo, { ...demo, trials: [] }, trial);
    expect(changes).toEqual([]);
    expect(Object.values(together).every((value) => value === 0)).toBe(true);
  });
});

describe('a comparison that is saved', () => {
  const compared = {
    script: 'Morning, “first” & last',
    names: ['now', 'revision 3, <old>'],
    runs: [measuredRun(demo, trial), measuredRun({ ...demo, rules: [] }, trial)],
  } as const;

  test('as CSV has a line a step, and totals that are their sums', () => {
    const { data, errors } = Papa.parse<string[]>(comparisonCsv(compared).trim());
    expect(errors).toEqual([]);
    expect(data).toHaveLength(compared.runs[0].steps.length + 1);
    const presses = data[0]!.findIndex(
      (head) => head.startsWith('Key presses') && head.endsWith('now'),
    );
    const figures = data.slice(1).map((row) => Number(row[presses]));
    expect(figures.at(-1)).toBe(figures.slice(0, -1).reduce((sum, each) => sum + each, 0));
    expect(figures.at(-1)).toBe(8);
  });

  test('as SVG and HTML has its names, and nothing that is read as markup', () => {
    const svg = comparisonSvg(compared, 'moved');
    expect(svg).toContain('revision 3, &lt;old&gt;');
    expect(svg.match(/<path/g)).toHaveLength(5);
    const page = comparisonHtml(
      compared,
      'moved',
      changeShares(demo, { ...demo, rules: [] }, trial),
    );
    expect(page).toContain('What makes the difference');
    expect(page).not.toContain('<old>');
  });
});

test('pixels without windows, wherever windows lie over each other', () => {
  const rect = fc.record({
    x: fc.integer({ min: -20, max: 100 }),
    y: fc.integer({ min: -20, max: 70 }),
    width: fc.integer({ min: 1, max: 60 }),
    height: fc.integer({ min: 1, max: 40 }),
  });
  fc.assert(
    fc.property(fc.array(rect, { maxLength: 5 }), (rects) => {
      const windows = rects.map((standing, i) => ({ id: `w${i}`, held: 'left-alone', standing }));
      const alone = trialSchema.parse({
        id: 't',
        session: { windows },
        steps: [{ command: 'undo' }],
      });
      const seen = new Set<string>();
      for (const { x, y, width, height } of rects)
        for (let column = Math.max(0, x); column < Math.min(90, x + width); column++)
          for (let row = Math.max(4, y); row < Math.min(60, y + height); row++)
            seen.add(`${column} ${row}`);
      const { wasted } = measuredRun(SMALL, alone).steps[1]!.measures;
      expect(Math.round(wasted * 1e6)).toBe(90 * 56 - seen.size);
    }),
    { numRuns: 150 },
  );
});

test('a drawing of a measure has its steps evenly from edge to edge, and its lines over their numbers', () => {
  const run = measuredRun(demo, trial);
  const svg = comparisonSvg({ script: 's', names: ['one', 'other'], runs: [run, run] }, 'presses');
  const texts = [...svg.matchAll(/<text x="([\d.]+)" y="([\d.]+)" text-anchor="middle">(\d+)</g)];
  const numbers = texts.map(([, , , number]) => Number(number));
  expect(numbers).toEqual(run.steps.map((_, i) => i));
  const xs = texts.map(([, x]) => Number(x));
  // 720 wide, 56 left and 16 right of it.
  xs.forEach((x, i) => expect(x).toBeCloseTo(56 + (648 * i) / (run.steps.length - 1), 0));
  const [line] = [...svg.matchAll(/<path d="(M[^"]*)"[^>]*stroke-width="2" stroke="#0B6E6E"/g)];
  const points = [...line![1]!.matchAll(/[ML]([\d.]+) ([\d.]+)/g)].map(([, x, y]) => [
    Number(x),
    Number(y),
  ]);
  expect(points.map(([x]) => x)).toEqual(xs);
  const most = Math.max(...run.steps.map(({ measures }) => measures.presses));
  // 260 high, 40 above and 34 below it.
  points.forEach(([, y], i) =>
    expect(y).toBeCloseTo(226 - (186 * run.steps[i]!.measures.presses) / most, 0),
  );
  // Each name beside its line, none under another.
  const marks = [...svg.matchAll(/<path d="M(\d+) 29h24"/g)].map(([, x]) => Number(x));
  const names = [...svg.matchAll(/<text x="(\d+)" y="33">(\w+)</g)].map(([, x]) => Number(x));
  expect(marks).toHaveLength(2);
  names.forEach((x, i) => expect(x - marks[i]!).toBe(30));
  expect(marks[0]).toBe(56);
  expect(marks[1]! - names[0]!).toBeGreaterThan(150);
  expect(names[1]).toBeLessThan(720 - 150);
});
