import { deskInForce, type DeskInForce } from '../desk/desk.ts';
import type { Profile } from '../model/profile.ts';
import { emptyZoneBoards, unusedZoneBoards } from './zone-boards.ts';
import { deskFindings, homelessWorkspaces } from './desk.ts';
import { keptByFields } from '../values/cache.ts';
import { checkKeys } from './keys.ts';
import { checkRules } from './rules.ts';
import { unknownNames } from './unknown-names.ts';

/** What every check works on. */
interface Checked {
  profile: Profile;
  /** The profile's desks with all their monitors connected. Without desks: one made of all monitors. */
  desks: readonly DeskInForce[];
  /**
   * True where a name at a path, or below it, matches nothing. That is a finding already, and explains the others.
   */
  isMistyped: (path: string) => boolean;
}

/**
 * The checks of a profile, in the order in which their findings are told. A new one is a function of what is checked
 * in a file of its domain here, and a line in this list; how its findings are told is in `findings.ts`.
 */
const CHECKS = [
  ({ profile }: Checked) =>
    unknownNames(profile).map((name) => ({ kind: 'unknown-name' as const, ...name })),
  ({ desks }: Checked) => desks.flatMap(deskFindings),
  ({ profile, isMistyped }: Checked) =>
    homelessWorkspaces(profile).filter(({ workspace }) => {
      const at = profile.workspaces.findIndex(({ id }) => id === workspace);
      return !isMistyped(`workspaces[${at}].monitor`);
    }),
  ({ profile, desks, isMistyped }: Checked) =>
    unusedZoneBoards(profile, desks).filter(({ board }) => {
      const at = profile.boards.findIndex(({ id, name = id }) => name === board);
      return !isMistyped(`boards[${at}].for.monitor`);
    }),
  ({ profile, desks }: Checked) => emptyZoneBoards(profile, desks),
  ({ profile, isMistyped }: Checked) => {
    const places = new Map(profile.rules.map(({ id }, at) => [id, at]));
    return checkRules(profile).filter((finding) => {
      if (finding.kind !== 'rule-unmatched' && finding.kind !== 'rule-nowhere') return true;
      const at = places.get(finding.rule);
      const part = finding.kind === 'rule-unmatched' ? 'when' : `then.${finding.setting}`;
      return !isMistyped(`rules[${at}].${part}`);
    });
  },
  ({ profile }: Checked) => checkKeys(profile),
] as const;

/** Something about a profile that a person should know, whatever is connected. */
export type ProfileFinding = ReturnType<(typeof CHECKS)[number]>[number];

/**
 * Everything about a profile that a person should know, whatever is connected. It is asked for with every drawing, while a
 * profile stays the same from step to step.
 */
export const checkProfile = keptByFields(2, foundIn);

function foundIn(profile: Profile): readonly ProfileFinding[] {
  const desks =
    profile.desks.length > 0
      ? profile.desks.map(({ id }) => deskInForce(profile, { desk: id, mode: 'extend' }))
      : [deskInForce(profile, { mode: 'extend' })];
  // Of "rules[3].then.zone" also "rules[3].then" and "rules": each part that something below is mistyped of.
  const mistyped = new Set(
    unknownNames(profile).flatMap(({ path }) => {
      const ends = [...path.matchAll(/[.[]|$/g)].map(({ index }) => index);
      return ends.map((end) => path.slice(0, end));
    }),
  );
  const isMistyped = (path: string) => mistyped.has(path);
  return CHECKS.flatMap((check): readonly ProfileFinding[] =>
    check({ profile, desks, isMistyped }),
  );
}
