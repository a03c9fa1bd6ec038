import type { KeyCommand } from '../commands/registry.ts';
import { deskInForce } from '../desk/desk.ts';
import { arrange } from '../engine/arrange.ts';
import { openSession } from '../engine/open.ts';
import type { Rect } from '../geometry/rect.ts';
import { KEYBOARDS, type Keyboard } from '../keys/keyboards.ts';
import { STARTER_MAPS } from '../keys/starters/starters.ts';
import type { KeyboardForm, KeyStarterId } from '../model/keys.ts';
import { profileSchema } from '../model/profile.ts';
import { sessionSchema } from '../model/session.ts';
import { sampleTiles } from '../tiling/layouts.ts';
import { DIRECTIONS, type Direction } from '../values/direction.ts';
import { triggerOf } from '../values/trigger.ts';
import { beginProfile, type Answers } from './begin.ts';
import { firstMonitors } from './choices.ts';

/** Windows on the monitors beside the first. */
const BESIDE = 2;

/**
 * The monitors of the answers as they are seen, and the tiles that the layout gives to some windows on the first of
 * them and to two on each other, all in millimetres.
 */
export function beginningDrawing(
  answers: Pick<Answers, 'monitors' | 'screens' | 'layout'>,
  count: number,
): { monitors: Rect[]; tiles: Rect[] } {
  const profile = beginProfile({ ...answers, apps: [], hand: 'whole' }, 'Drawn');
  const firsts = firstMonitors(answers.monitors, answers.screens);
  const desk = deskInForce(profile, openSession(sessionSchema.parse({}), profile).session);
  const windows = profile.workspaces.slice(0, desk.monitors.length).flatMap(({ id }, at) =>
    Array.from({ length: at === 0 ? count : BESIDE }, (_, i) => ({
      id: `${id}${i}`,
      workspace: id,
    })),
  );
  const { session } = openSession(sessionSchema.parse({ windows }), profile);
  const tiles = desk.monitors.flatMap(({ id }, at) => {
    const workspace = session.shown[id]!;
    const { tiles: given, area, gap, tiling } = arrange({ session, profile, desk }, workspace, id);
    const many = at === 0 ? count : BESIDE;
    // What gives no tiles leaves windows where they opened: some places to draw.
    const on = desk.monitors[at]!;
    const { seen } = firsts.find((first) => first.id === id)!;
    return (given ?? sampleTiles(tiling.layout, many, area, area, gap, on.scale)).map((tile) =>
      asSeen(tile, on, seen),
    );
  });
  return { monitors: firsts.map(({ seen }) => seen), tiles };
}

/** A rectangle on a monitor, as it is seen. */
function asSeen(rect: Rect, on: Rect, seen: Rect): Rect {
  const [across, down] = [seen.width / on.width, seen.height / on.height];
  return {
    x: seen.x + (rect.x - on.x) * across,
    y: seen.y + (rect.y - on.y) * down,
    width: rect.width * across,
    height: rect.height * down,
  };
}

const ARROWS: Record<Direction, string> = { left: '←', right: '→', up: '↑', down: '↓' };

/** The smallest board that has a hand's keys, and what is written on those. */
export function handKeys(hand: KeyStarterId): {
  board: Keyboard;
  codes: ReadonlyMap<string, string>;
} {
  const plain = profileSchema.parse({ monitors: [{ id: 'm', width: 1, height: 1 }] });
  const codes = new Map<string, string>();
  for (const { keys, command } of STARTER_MAPS[hand].bindings(plain)) {
    const { modifiers, code } = triggerOf(keys).steps[0]!;
    const text = command && markOf(command);
    if (modifiers.length === 1 && code !== undefined && text) codes.set(code, text);
  }
  const forms: readonly KeyboardForm[] = ['ansi-60', 'ansi-80', 'ansi-100'];
  const has = (form: KeyboardForm) =>
    [...codes.keys()].every((code) => KEYBOARDS[form].keys.some((key) => key.code === code));
  return { board: KEYBOARDS[forms.find(has) ?? 'ansi-100'], codes };
}

/** The arrow of a direction, or the number of a zone. */
function markOf(command: KeyCommand): string | undefined {
  if (command.command === 'place-in-zone') return command.zone;
  const direction = DIRECTIONS.find((each) => command.command === `focus-${each}`);
  return direction && ARROWS[direction];
}
