import { commandText } from '../commands/command.ts';
import { quickFixesFor } from '../checkup/quick-fixes.ts';
import { checkKeys } from '../checkup/keys.ts';
import { checkProfile } from '../checkup/profile.ts';
import { SECTIONS, withSection, type SectionId } from '../files/sections.ts';
import { asOwn, withBinding, withMerged } from '../keys/edit.ts';
import { freeKeys, nearestFree } from '../keys/free-keys.ts';
import { keyMap, type KeyBinding } from '../keys/map.ts';
import { behindSpace } from '../keys/starters/whole-map.ts';
import { BASE, type KeyStarterId } from '../model/keys.ts';
import { profileSchema, type Profile } from '../model/profile.ts';
import { zoneBoardName } from '../tiling/zone-board.ts';
import type { LayoutKind } from '../values/layout.ts';
import { STARTER_ZONE_BOARDS } from './zone-boards.ts';
import { APP_CHOICES, readyMadeApps, readyMadeRules, type AppChoice } from './apps.ts';
import { firstMonitors, type MonitorChoice, type Screens } from './choices.ts';
import { STARTER_RULES } from './rules.ts';

/** The answers to the questions of a first start. */
export interface Answers {
  monitors: MonitorChoice;
  screens: Screens;
  apps: readonly AppChoice[];
  layout: LayoutKind;
  hand: KeyStarterId;
}

/** One workspace a monitor, by letter, and spare ones by digit. */
const LETTERS = ['A', 'B', 'C', 'D'];
const SPARE = ['1', '2', '3'];
const ALL_APPS = readyMadeApps(APP_CHOICES.map(({ id }) => id));
const GAPS = { inner: 10, outer: 6 };

/**
 * A profile made of starters by the answers: its monitors on a desk, a workspace for each and three spare ones, the
 * apps with what is expected of them, the layout everywhere, the rules and boards people expect, and every command on
 * a key, with directions where the hand is that moves.
 */
export function beginProfile(answers: Answers, name: string): Profile {
  const { apps, layout, hand } = answers;
  const monitors = firstMonitors(answers.monitors, answers.screens);
  const plain = profileSchema.parse({
    name,
    monitors: monitors.map(({ id, name: called, screen, turn, width, height, seen }) => ({
      id,
      name: called,
      width,
      height,
      scale: screen.scale,
      ...(turn !== 0 && { turn }),
      millimetres: { width: seen.width, height: seen.height },
    })),
    desks: [
      {
        id: 'desk',
        name: 'Desk',
        monitors: monitors.map(({ id, x, y }) => ({ monitor: id, x, y })),
      },
    ],
    workspaces: [
      ...monitors.map(({ id }, i) => ({ id: LETTERS[i], monitor: id })),
      ...SPARE.map((id) => ({ id })),
    ],
    apps: readyMadeApps(apps),
    rules: [
      ...readyMadeRules(apps, monitors.length > 1 ? LETTERS[1] : undefined),
      ...STARTER_RULES,
    ],
    boards: STARTER_ZONE_BOARDS,
    tiling: { layout: { kind: layout }, gaps: GAPS },
  });
  const fitting = withBoardsThatFit(plain);
  return hand === 'whole' ? fitting : withHand(fitting, hand);
}

/** With the keys of a hand; a command that was on one of them goes behind Main Space, or to the nearest that is free. */
function withHand(profile: Profile, hand: KeyStarterId): Profile {
  const merged = withMerged(profile, hand);
  const does = ({ command }: KeyBinding) => (command ? commandText(command) : '');
  const kept = new Set(keyMap(merged).map(does));
  const displaced = keyMap(profile).filter((binding) => !kept.has(does(binding)));
  const whole = displaced.reduce((made, binding) => {
    const isFree = freeKeys(made, BASE);
    const keys = behindSpace(binding.keys).find(isFree) ?? nearestFree(made, binding);
    return keys === null ? made : withBinding(made, { ...asOwn(binding), keys });
  }, merged);
  // Keys that come to stand on the wrong side of each other change places.
  return checkKeys(whole).reduce(
    (made, finding) => quickFixesFor(made, finding)[0]?.profile ?? made,
    whole,
  );
}

/** Without the boards that no monitor here has the shape for. */
function withBoardsThatFit(profile: Profile): Profile {
  const nowhere = checkProfile(profile).flatMap((finding) =>
    finding.kind === 'board-nowhere' ? [finding.board] : [],
  );
  return {
    ...profile,
    boards: profile.boards.filter((board) => !nowhere.includes(zoneBoardName(board))),
  };
}

/**
 * A profile in which a section begins anew, out of the starters. Desks keep the monitors, which are what
 * stands on the table, and lose where they stand and what they show.
 */
export function startedOver(profile: Profile, section: SectionId): Profile {
  const { monitors } = profile;
  const fresh = withBoardsThatFit(
    profileSchema.parse({
      monitors,
      apps: ALL_APPS,
      rules: STARTER_RULES,
      boards: STARTER_ZONE_BOARDS,
      tiling: { gaps: GAPS },
    }),
  );
  return withSection(profile, section, fresh);
}

/** A profile in which all sections begin anew. */
export function allStartedOver(profile: Profile): Profile {
  return SECTIONS.reduce(startedOver, profile);
}
