import { readdirSync, readFileSync } from 'node:fs';
import { describe, expect, it } from 'vitest';

const ROOT = new URL('../../../', import.meta.url);
const FOLDERS = [
  'core/src',
  'api/src',
  'cli/src',
  'server/src',
  'web/src',
  'e2e/tests',
  'e2e/desk',
  'docs',
];
/** Former names are read in files of former versions, and this file has them all. */
const MAY_NAME_THEM = ['core/src/model/migrate.ts', 'core/src/testing/names.test.ts'];

/** Names and words that had several meanings, or none that a newcomer knew, and what is said now. */
const FORMER: readonly (readonly [former: RegExp, now: string])[] = [
  [/\b(placedDesk|PlacedDesk|usePlacedDesk)\b/, 'deskLayout, DeskLayout, useDeskLayout'],
  [/\bplaceKey\b/, 'arrangementKey'],
  [/\b(useBench|createBench|BenchLayout|BenchContext)\b/, 'useProfileStore …, ViewLayout'],
  [/\bSituation\b/, 'CommandContext'],
  [/\b(reasked|ruledAgain)\b/, 'reapplyRules'],
  [/\b(firstStanding|standsAt|standingNow|stoodAsGiven)\b/, 'floatingRect …'],
  [/\b(settledOn|reconnected)\b/, 'relocateWindows, afterReconnection'],
  [/\b(isCalledSo|wishesOf)\b/, 'isMnemonic, bindingCandidates'],
  [/\bmendsFor\b/, 'quickFixesFor'],
  [/\b(takeIn|cameIn)\b/, 'mergeRemote, remoteChanges'],
  [/\b[Tt]hinning\b/, 'retention'],
  [/\bclash(es|ing)?\b/i, 'conflict'],
  [/\bkeys? of two roles\b/, 'tap-hold key'],
  [/\bright would be\b/, 'expected'],
  [/\bin hand\b(?!-split)/, 'selected'],
  [/\b[Ll]it area\b/, 'screen size'],
  [/\bWould then be found\b/, 'Problems this would cause'],
  [/\bspared by KLM\b/i, 'time saved (estimate)'],
];

const files = FOLDERS.flatMap((folder) =>
  readdirSync(new URL(folder, ROOT), { recursive: true })
    .map((file) => `${folder}/${String(file)}`)
    .filter((file) => /\.(tsx?|md)$/.test(file) && !MAY_NAME_THEM.includes(file)),
).map((file) => ({ file, text: readFileSync(new URL(file, ROOT), 'utf8') }));

describe('former names and words do not come back', () => {
  it.each(FORMER)('%s, which is %s now', (former) => {
    expect(files.length).toBeGreaterThan(500);
    expect(files.filter(({ text }) => former.test(text)).map(({ file }) => file)).toEqual([]);
  });
});
