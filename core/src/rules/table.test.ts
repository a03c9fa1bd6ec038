import { describe, expect, it } from 'vitest';
import { deskInForce } from '../desk/desk.ts';
import type { Setting } from '../profile/rule.ts';
import { profileSchema } from '../profile/schema.ts';
import { decide } from './decide.ts';
import type { WindowFacts } from './facts.ts';
import { settingWords, textOf } from './say.ts';
import { traceRules } from './trace.ts';

const profile = profileSchema.parse({
  monitors: [
    { id: 'wide', width: 3440, height: 1440 },
    { id: 'lap', width: 2880, height: 1800, scale: 2 },
    { id: 'wall', width: 1920, height: 1080 },
  ],
  desks: [
    {
      id: 'office',
      name: 'Office',
      monitors: [
        { monitor: 'wide', x: 0, y: 0 },
        { monitor: 'lap', x: 280, y: 1440 },
      ],
    },
    { id: 'hut', name: 'Hut', monitors: [{ monitor: 'lap', x: 0, y: 0 }] },
    {
      id: 'briefing',
      name: 'Briefing',
      monitors: [
        { monitor: 'lap', x: 0, y: 0 },
        { monitor: 'wall', x: 0, y: -1080 },
      ],
    },
  ],
  workspaces: [
    { id: 'B', name: 'Bulletin', monitor: 'wide' },
    { id: 'M', name: 'Maps', monitor: 'wide' },
    { id: 'R', name: 'Radio', monitor: 'lap' },
  ],
  rules: [
    {
      id: '1',
      when: { all: [{ of: 'kind', is: 'dialog' }] },
      then: { held: 'floating', corner: 'over-parent' },
    },
    {
      id: '2',
      when: { all: [{ of: 'kind', is: 'utility' }], none: [{ of: 'app', is: 'picker' }] },
      then: { held: 'floating', stayAbove: true, focus: false },
    },
    {
      id: '3',
      when: {
        all: [
          { of: 'resizable', is: false },
          { of: 'width', from: 1024 },
          { of: 'height', from: 720, to: 2000 },
        ],
      },
      then: { held: 'left-alone' },
    },
    {
      id: '4',
      when: {
        all: [
          { of: 'app', is: 'areamap' },
          { of: 'title', has: 'ZONES' },
        ],
      },
      then: { workspace: 'M', zone: 'Middle' },
    },
    {
      id: '5',
      when: {
        any: [
          { of: 'app', is: 'shell' },
          { of: 'app', is: 'notes' },
        ],
      },
      then: { workspace: 'R', join: 'after-focused' },
    },
    {
      id: '6',
      when: {
        all: [{ of: 'title', matches: '^Profile \\d+' }],
        any: [
          { of: 'desk', is: 'Office' },
          { of: 'desk', is: 'hut' },
        ],
      },
      then: { join: 'lead', focus: true },
    },
    {
      id: '7',
      when: {
        all: [
          { of: 'desk', fits: 'brief*' },
          { of: 'monitor', is: 'primary' },
        ],
      },
      then: { monitor: 'wall' },
    },
    {
      id: '8',
      when: { all: [{ of: 'app', fits: '*log' }], none: [{ of: 'title', has: 'archived' }] },
      then: { held: 'floating', size: { width: 600, height: 400 } },
    },
    {
      id: '9',
      when: { all: [{ of: 'parent', is: 'bulletin' }] },
      then: { workspace: 'B', everywhere: true },
    },
    {
      id: '10',
      when: {
        none: [
          { of: 'kind', is: 'normal' },
          { of: 'workspace', is: 'Maps' },
        ],
      },
      then: { held: 'floating', focus: false },
    },
  ],
});

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
};

/**
 * A window in each line: app, title, kind, parent, size (f: fixed), desk, monitor, workspace. Then a letter for each of
 * the ten rules: + it matches; else what of the window is the first to keep it from matching: kind, app, title,
 * resizable, width, height, desk, monitor, parent, an excluded condition (x), or that none of several holds (o).
 */
const TABLE = `
pitreader | Profile 07 | normal | - | 1300×700 | office | wide | B | kkrao+dapx
pitreader | Profile 07 | normal | - | - | office | wide | B | kkrao+dapx
pitreader | profile 07 | normal | - | - | office | wide | B | kkraotdapx
pitreader | Profile x | normal | - | - | office | wide | B | kkraotdapx
pitreader | Profile 7 | normal | - | - | hut | lap | B | kkrao+dapx
pitreader | Profile 7 | normal | - | - | briefing | lap | B | kkraoo+apx
pitreader | Profile 7 | normal | - | - | briefing | wall | M | kkraoomapx
pitreader | My Profile 7 | normal | - | - | hut | lap | R | kkraotdapx
bulletin | Morning bulletin | normal | - | 720×500 | office | wide | B | kkraotdapx
bulletin | Morning bulletin | normal | - | 720×500f | office | wide | B | kkwaotdapx
bulletin | Morning bulletin | normal | - | 1024×719f | office | wide | B | kkhaotdapx
bulletin | Morning bulletin | normal | - | 1024×720f | office | wide | B | kk+aotdapx
bulletin | Morning bulletin | normal | - | 1024×2001f | office | wide | B | kkhaotdapx
bulletin | Morning bulletin | normal | - | -f | office | wide | B | kkwaotdapx
bulletin | - | normal | - | - | office | wide | B | kkraotdapx
hazarddial | Level 3 | dialog | bulletin | 560×440 | office | wide | B | +kraotda++
hazarddial | Level 3 | dialog | - | 560×440 | office | wide | B | +kraotdap+
hazarddial | Level 3 | dialog | areamap | 560×440 | office | wide | M | +kraotdapx
hazarddial | Level 3 | dialog | bulletin | 560×440f | hut | lap | R | +kwaotda++
hazarddial | Level 3 | dialog | bulletin | 560×440 | briefing | lap | M | +kraot+a+x
hazarddial | Profile 3 | dialog | bulletin | 560×440 | office | lap | R | +krao+da++
dutyline | On call | utility | - | 420×120f | office | lap | R | k+waotdap+
dutyline | On call | utility | - | 420×120f | office | wide | M | k+waotdapx
dutyline | On call | utility | bulletin | 420×120f | hut | lap | R | k+waotda++
dutyline | On call | utility | - | 420×120f | briefing | lap | R | k+waot+ap+
dutyline | On call | utility | - | 420×120f | briefing | wall | B | k+waotmap+
dutyline | Profile 1 | utility | - | 420×120 | office | wide | B | k+rao+dap+
picker | Map colours | utility | - | 300×360f | office | wide | B | kxwaotdap+
picker | Map colours | utility | - | 300×360f | office | wide | M | kxwaotdapx
picker | Map colours | normal | - | 300×360f | office | wide | B | kkwaotdapx
picker | Map colours | dialog | - | 300×360f | office | wide | B | +kwaotdap+
picker | Hazard zones | utility | areamap | 300×360 | hut | lap | B | kxraotdap+
wxguest | Guest screen | normal | - | 1280×1024f | office | wide | B | kk+aotdapx
wxguest | Guest screen | normal | - | 1280×1024 | office | wide | B | kkraotdapx
wxguest | Guest screen | normal | - | 800×1024f | office | wide | B | kkwaotdapx
wxguest | Guest screen | normal | - | 1280×700f | office | wide | B | kkhaotdapx
wxguest | Guest screen | normal | - | 1280×1024f | briefing | lap | R | kk+aot+apx
wxguest | Guest screen | utility | - | 1280×1024f | office | wide | B | k++aotdap+
wxguest | Guest screen | dialog | bulletin | 1280×1024f | office | wide | B | +k+aotda++
areamap | Hazard zones | normal | - | 1100×760 | office | wide | B | kkr+otdapx
areamap | hazard ZoneS | normal | - | 1100×760 | office | wide | B | kkr+otdapx
areamap | Hazard zone | normal | - | 1100×760 | office | wide | B | kkrtotdapx
areamap | - | normal | - | 1100×760 | office | wide | B | kkrtotdapx
areamap | Hazard zones | normal | - | 1100×760f | office | wide | B | kk++otdapx
areamap | Hazard zones | normal | - | 1100×760 | briefing | lap | M | kkr+ot+apx
areamap | Hazard zones | normal | - | 1100×760 | briefing | wall | M | kkr+otmapx
areamap | Profile 2 zones | normal | - | - | hut | lap | M | kkr+o+dapx
areamap | Zones | dialog | bulletin | - | office | wide | B | +kr+otda++
Areamap | Hazard zones | normal | - | - | office | wide | B | kkraotdapx
shell | pull-obs | normal | - | 724×400 | office | lap | R | kkra+tdapx
shell | pull-obs | normal | - | 724×400 | briefing | lap | R | kkra+t+apx
shell | Profile 12 | normal | - | 724×400 | office | lap | R | kkra++dapx
shell | Profile 12 | utility | - | 724×400 | hut | lap | R | k+ra++dap+
notes | Ridge tour | normal | - | 360×300 | office | wide | B | kkra+tdapx
notes | Ridge tour | dialog | bulletin | 360×300f | office | wide | B | +kwa+tda++
shells | pull-obs | normal | - | - | office | lap | R | kkraotdapx
radiolog | Today | normal | - | 480×320 | office | lap | R | kkraotd+px
radiolog | Today, ARCHIVED | normal | - | 480×320 | office | lap | R | kkraotdxpx
radiolog | - | normal | - | 480×320 | office | lap | R | kkraotd+px
radiolog | Today | dialog | - | 480×320 | office | lap | R | +kraotd+p+
radiolog | Today | utility | - | 480×320 | office | wide | M | k+raotd+px
log | Today | normal | - | - | hut | lap | R | kkraotd+px
LOG | Today | normal | - | - | hut | lap | R | kkraotd+px
logs | Today | normal | - | - | hut | lap | R | kkraotdapx
- | Profile 9 | normal | - | - | office | wide | B | kkrao+dapx
- | - | normal | - | - | office | wide | B | kkraotdapx
- | - | dialog | bulletin | - | hut | lap | B | +kraotda++
- | - | utility | - | 2000×2000f | briefing | lap | R | k++aot+ap+
`;

interface Line {
  facts: WindowFacts;
  letters: string[];
  cells: string[];
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
      desk: deskInForce(profile, { desk: desk! }),
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
  const deskName = { office: 'Office', hut: 'Hut', briefing: 'Briefing' }[cells[5]!];
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
    for (const { letters, cells } of LINES) expect(letters, cells.join(' | ')).toHaveLength(10);
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
