export const DIRECTIONS = ['left', 'right', 'up', 'down'] as const;
export type Direction = (typeof DIRECTIONS)[number];

export function axisOf(direction: Direction): Axis {
  return direction === 'left' || direction === 'right' ? 'x' : 'y';
}

/** True for right and down, where coordinates grow. */
export function isForward(direction: Direction): boolean {
  return direction === 'right' || direction === 'down';
}

export type Axis = 'x' | 'y';
