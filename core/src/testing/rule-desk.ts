import type { z } from 'zod';
import { rulesWhy } from '../engine/explain-rules.ts';
import type { ruleSchema, RuleSettings } from '../model/rule.ts';
import { OFFICE, testDesk, type TestDesk } from './desk.ts';

export type RuleInput = z.input<typeof ruleSchema>;

/** A rule that matches where all of some conditions hold. */
export const rule = (id: string, then: RuleSettings, ...all: object[]): RuleInput =>
  ({ id, when: { all }, then }) as RuleInput;
export const ofApp = (id: string) => ({ of: 'app', is: id });
export const APPS = [
  ...OFFICE.apps,
  { id: 'map', name: 'Map', title: 'Hazard zones', preferred: { width: 1000, height: 600 } },
  {
    id: 'dial',
    name: 'Dial',
    kind: 'dialog',
    parent: 'map',
    preferred: { width: 400, height: 300 },
  },
];
const DESKS = [
  {
    id: 'office',
    monitors: [
      { monitor: 'wide', x: 0, y: 0 },
      { monitor: 'tall', x: 3440, y: -560 },
      { monitor: 'lap', x: 280, y: 1440 },
    ],
  },
  { id: 'hut', monitors: [{ monitor: 'lap', x: 0, y: 0 }] },
];
/** The Office desk with rules, and a Hut to go to. */
export const desk = (rules: RuleInput[], session: object = {}, more: object = {}) =>
  testDesk({ ...OFFICE, desks: DESKS, apps: APPS, rules, ...more }, { desk: 'office', ...session });
export const open = (from: TestDesk, app: string) => from.run({ command: 'open-app', app });
/** Where a window is and how it is held, in a line. */
export const at = (from: TestDesk, id: string) => {
  const { x, y, width, height, monitor, workspace, held } = from.at(id);
  return `${x},${y} ${width}×${height} on ${monitor}/${workspace}, ${held}`;
};
/** Why a window is as it is, by the rules. */
export const why = (from: TestDesk, id: string) =>
  rulesWhy({ session: from.session, profile: from.profile, desk: from.desk }, id).map(
    ({ decided, because }) => `${decided}: ${because}`,
  );
export const orderOf = (from: TestDesk, key: string) => from.session.arrangements[key]?.order;
