import { execFileSync } from 'node:child_process';
import { mkdtempSync, readFileSync, rmSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import fc from 'fast-check';
import { afterAll, expect, test } from 'vitest';
import { profileSchema } from '../model/profile.ts';
import { DEMO } from '../testing/profiles.ts';
import { compactProfile } from './compact.ts';
import { unifiedDifference } from './unified-difference.ts';
import { writeText } from './write.ts';

const folder = mkdtempSync(join(tmpdir(), 'sorn-unified-'));
afterAll(() => rmSync(folder, { recursive: true }));

/** What another program makes of a text by a difference: version control, or `patch`. */
function patched(text: string, difference: string): string {
  writeFileSync(join(folder, 'desk.yaml'), text);
  writeFileSync(join(folder, 'change.diff'), difference);
  const options = { cwd: folder, stdio: 'pipe' } as const;
  try {
    execFileSync('git', ['apply', 'change.diff'], options);
  } catch (error) {
    if ((error as NodeJS.ErrnoException).code !== 'ENOENT') throw error;
    execFileSync('patch', ['-p1', '-i', 'change.diff'], options);
  }
  return readFileSync(join(folder, 'desk.yaml'), 'utf8');
}

test('another program makes the second text of the first by it', () => {
  const yaml = (profile: typeof DEMO) => writeText(compactProfile(profile), 'yaml');
  fc.assert(
    fc.property(
      fc.subarray(DEMO.rules),
      fc.subarray(DEMO.boards),
      fc.integer({ min: 1, max: 90 }),
      fc.string({ maxLength: 12 }),
      (rules, boards, growStep, name) => {
        const after = profileSchema.parse({
          ...DEMO,
          rules,
          boards,
          name: name || 'x',
          tiling: { ...DEMO.tiling, growStep },
        });
        const told = unifiedDifference(
          { name: 'a/desk.yaml', profile: DEMO },
          { name: 'b/desk.yaml', profile: after },
        );
        expect(patched(yaml(DEMO), told)).toBe(yaml(after));
      },
    ),
    { numRuns: 25 },
  );
}, 60_000);

test('a text of one’s own is told with its comments, and what is the same is nothing', () => {
  const text = {
    format: 'yaml' as const,
    content: '# mine\nname: Hut # old\nmonitors: [{ id: a, width: 9, height: 9 }]\n',
  };
  const before = profileSchema.parse({ name: 'Hut', monitors: [{ id: 'a', width: 9, height: 9 }] });
  const after = { ...before, name: 'Den' };
  expect(
    unifiedDifference({ name: '1', profile: before, text }, { name: '2', profile: after, text }),
  ).toBe(
    '--- 1\n+++ 2\n@@ -1,3 +1,3 @@\n # mine\n-name: Hut # old\n+name: Den # old\n monitors: [{ id: a, width: 9, height: 9 }]\n',
  );
  expect(
    unifiedDifference({ name: '1', profile: before }, { name: '2', profile: before, text }),
  ).toBe('');
});
