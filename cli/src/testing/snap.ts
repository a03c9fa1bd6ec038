import { mkdtempSync, rmSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { afterAll } from 'vitest';
import type { Played } from '@sorn/core/simulate';
import { playFiles } from '../play.ts';

const folder = mkdtempSync(join(tmpdir(), 'sorn-placing-'));
afterAll(() => rmSync(folder, { recursive: true }));

function file(name: string, value: unknown): string {
  const path = join(folder, name);
  writeFileSync(path, JSON.stringify(value));
  return path;
}

/** The wide monitor of the demo, with gaps: its placing area is 6,34 3428×1400. */
export const WIDE = { id: 'wide', width: 3440, height: 1440, reserved: { top: 28 } };
export const PROFILE = {
  monitors: [WIDE],
  tiling: { gaps: { inner: 10, outer: 6 }, layout: { kind: 'lead', leadShare: 0.58 } },
};

/** Plays a script on a profile by the command line, both as files. */
export function played(profile: unknown, script: unknown) {
  const result = playFiles(file('profile.json', profile), file('script.json', script));
  return { ...result, steps: (JSON.parse(result.text) as { steps: Played[] }).steps };
}

/** Where a window is after a step, as "x,y w×h". */
export function shapeOf({ placements }: Played, id: string): string {
  const { x, y, width, height } = placements.find((placement) => placement.id === id)!;
  return `${x},${y} ${width}×${height}`;
}
