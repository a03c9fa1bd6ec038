import { describe, expect, it } from 'vitest';
import { deskInForce } from '../desk/desk.ts';
import type { Setting } from '../model/rule.ts';
import type { Mode } from '../values/window.ts';
import { profile, TABLE } from '../testing/rule-table.ts';
import { decide } from './decide.ts';
import type { WindowFacts } from './facts.ts';
import { settingWords, textOf } from './rule-words.ts';
import { traceRules } from './trace.ts';

/** What each rule gives, written down once more. */
const GIVES: Record<number, Partial<Record<Setting, string>>> = {
  1: { held: 'float it', corner: 'centred over its parent' },
  2: { held: 'float it', stayAbove: 'stay above', focus: 'no focus' },
  3: { held: 'leave it alone' },
  4: { workspace: 'workspace M', zone: 'zone “Middle”' },
  5: { workspace: 'workspace R', join: 'join after the focused' },
  6: { join: 'join as lead', focus: 'take the focus' },
  7: { monitor: 'monitor wall' },
  8: { held: 'float it', size: '600 × 400' },
  9: { workspace: 'workspace B', everywhere: 'everywhere' },
  10: { held: 'float it', focus: 'no focus' },
  11: { remember: 'forget where it was moved' },
};

interface Line {
  facts: WindowFacts;
  letters: string[];
  cells: string[];
}

/** A desk as a line has it: its id, and its mode where that is not extend. */
function deskOf(cell: string) {
  const [desk, mode = 'extend'] = cell.split(' ');
  return { desk: desk!, mode: mode as Mode };
}

const LINES = TABLE.trim()
  .split('\n')
  .map((line): Line => {
    const cells = line.split('|').map((cell) => cell.trim());
    const [app, title, kind, parent, size, desk, monitor, workspace, letters] = cells as [
      string,
      ...string[],
    ];
    const [width, height] = size!.replace(/[f-]/g, '').split('×');
    const facts: WindowFacts = {
      ...(app !== '-' && { app }),
      ...(title !== '-' && { title: title! }),
      kind: kind as WindowFacts['kind'],
      ...(parent !== '-' && { parent: parent! }),
      resizable: !size!.endsWith('f'),
      ...(width && { width: Number(width), height: Number(height) }),
      desk: deskInForce(profile, deskOf(desk!)),
      monitor: monitor!,
      workspace: workspace!,
    };
    return { facts, letters: [...letters!], cells };
  });

/** Why a rule does not match, in the words a person reads, from the window alone. */
function failure(rule: number, letter: string, { cells }: Line): string {
  const [app, title, kind, parent, size, , monitor, workspace] = cells as [string, ...string[]];
  const [width, height] = size!.replace('f', '').split('×');
  const kinds: Record<number, string> = { 1: 'dialog', 2: 'utility' };
  const deskName = { office: 'Office', hut: 'Hut', briefing: 'Briefing' }[deskOf(cells[5]!).desk];
  switch (
    `${letter}${letter === 't' || letter === 'a' || letter === 'x' || letter === 'o' ? rule : ''}`
  ) {
    case 'k':
      return `kind is ${kind}, not ${kinds[rule]}`;
    case 'r':
      return 'it is resizable';
    case 'w':
      return width && width !== '-'
        ? `width is ${width}, not at least 1024`
        : 'it asks for no width';
    case 'h':
      return `height is ${height}, not 720 to 2000`;
    case 'm':
      return `monitor is ${monitor}, not primary`;
    case 'e':
      return `desk mode is ${deskOf(cells[5]!).mode}, not mirror`;
    case 'd':
      return `desk “${deskName}” does not fit “brief*”`;
    case 'p':
      return parent === '-' ? 'it stands over no window' : `parent is ${parent}, not bulletin`;
    case 'a4':
      return app === '-' ? 'it has no app' : `app is ${app}, not areamap`;
    case 'a8':
      return app === '-' ? 'it has no app' : `app “${app}” does not fit “*log”`;
    case 't4':
      return title === '-' ? 'it has no title' : `title “${title}” lacks “ZONES”`;
    case 't6':
      return title === '-' ? 'it has no title' : `title “${title}” does not match ^Profile \\d+`;
    case 'o5':
      return app === '-'
        ? 'it has no app, and it has no app'
        : `app is ${app}, not shell, and app is ${app}, not notes`;
    case 'o6':
      return `desk is ${deskName}, not Office, and desk is ${deskName}, not hut`;
    case 'x2':
      return 'app is picker, which it must not';
    case 'x8':
      return 'title has “archived”, which it must not';
    case 'x10':
      return kind === 'normal'
        ? 'kind is normal, which it must not'
        : `workspace is Maps, which it must not`;
    default:
      throw new Error(`no such cell: rule ${rule}, ${letter}, on ${workspace}`);
  }
}

describe('rules against a table of windows', () => {
  it('has as many windows as it should, and a letter for each rule', () => {
    expect(LINES.length).toBeGreaterThanOrEqual(60);
    for (const { letters, cells } of LINES) expect(letters, cells.join(' | ')).toHaveLength(11);
  });

  it.each(LINES.map((line) => [line.cells.slice(0, 8).join(' | '), line] as const))(
    '%s',
    (_name, line) => {
      const { facts, letters } = line;
      // The first rule to give a setting, by the table alone.
      const expected: Record<string, string> = {};
      letters.forEach((letter, i) => {
        if (letter !== '+') return;
        for (const [setting, words] of Object.entries(GIVES[i + 1]!)) {
          expected[setting] ??= `${words} by rule ${i + 1}`;
        }
      });
      const decision = decide(profile.rules, facts);
      const decided = Object.entries(decision).map(([setting, given]) => [
        setting,
        `${textOf(settingWords(given.rule.then, setting as Setting)!)} by rule ${given.at + 1}`,
      ]);
      expect(Object.fromEntries(decided)).toEqual(expected);

      const trace = traceRules(profile.rules, facts);
      expect(trace.map(({ applies }) => (applies ? '+' : '-'))).toEqual(
        letters.map((letter) => (letter === '+' ? '+' : '-')),
      );
      trace.forEach(({ at, applies, because, gave }) => {
        if (!applies) expect(because).toBe(failure(at + 1, letters[at]!, line));
        const own = Object.entries(expected).filter(([, by]) => by.endsWith(` by rule ${at + 1}`));
        expect([...gave].sort()).toEqual(own.map(([setting]) => setting).sort());
      });
    },
  );

  it('tells of a rule that matches the conditions that did', () => {
    const line = (app: string, kind: string) =>
      LINES.find(({ cells }) => cells[0] === app && cells[2] === kind)!;
    const because = (of: Line, rule: number) =>
      traceRules(profile.rules, of.facts)[rule - 1]!.because;
    expect(because(line('wxguest', 'normal'), 3)).toBe(
      'not resizable, width is at least 1024, height is 720 to 2000',
    );
    expect(because(line('notes', 'normal'), 5)).toBe('app is notes');
    expect(because(line('dutyline', 'utility'), 2)).toBe('kind is utility, not app is picker');
    expect(because(line('radiolog', 'normal'), 8)).toBe(
      'app fits “*log”, not title has “archived”',
    );
  });
});
