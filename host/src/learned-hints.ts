import type { LinkHints } from '@sorn/link';
import { LARGEST } from './real-window.ts';

interface Size {
  width: number;
  height: number;
}
/** What a window was told and what it took, in physical pixels. */
export interface Observation {
  told: Size;
  took: Size;
}

const AXES = ['width', 'height'] as const;
type Axis = (typeof AXES)[number];

/** So much may an aspect be off by rounding to whole pixels. */
const ASPECT_ERROR = 0.01;

/**
 * What can be said of a window's size by what it took: a minimum where it took more than it was told, an aspect or
 * steps where it took less. Says what explains every observation, the simplest first; what nothing explains is a
 * largest size.
 */
export function learnedHints(observations: readonly Observation[]): LinkHints {
  const latest = observations.at(-1);
  if (!latest) return {};
  const min = least(observations);
  const smaller = observations.filter(({ told, took }) =>
    AXES.some((axis) => took[axis] < told[axis]),
  );
  const hints: LinkHints = min ? { min } : {};
  if (smaller.length === 0) return hints;
  const aspect = aspectOf(smaller);
  if (aspect) return { ...hints, aspect };
  const width = stepsOf(observations, 'width');
  const height = stepsOf(observations, 'height');
  if (width && height)
    return {
      ...hints,
      increment: { width: width.step, height: height.step },
      base: { width: width.base, height: height.base },
    };
  const most = (axis: Axis) => {
    const limited = smaller.filter(({ told, took }) => took[axis] < told[axis]);
    return limited.length > 0 ? Math.max(...limited.map(({ took }) => took[axis])) : LARGEST;
  };
  return { ...hints, max: { width: most('width'), height: most('height') } };
}

/** The least size that was taken where less was told; 1 on an axis on which that never was. */
function least(observations: readonly Observation[]): Size | null {
  const along = (axis: Axis) => {
    const larger = observations.filter(({ told, took }) => took[axis] > told[axis]);
    return larger.length > 0 ? Math.min(...larger.map(({ took }) => took[axis])) : 1;
  };
  const size = { width: along('width'), height: along('height') };
  return size.width > 1 || size.height > 1 ? size : null;
}

/** The proportion that every observation has, where each takes the whole of one axis and there are two of them. */
function aspectOf(observations: readonly Observation[]): Size | null {
  const fills = observations.every(({ told, took }) =>
    AXES.some((axis) => took[axis] === told[axis]),
  );
  const ratios = observations.map(({ took }) => took.width / took.height);
  const [first] = ratios;
  const isOne = ratios.every((ratio) => Math.abs(ratio / first! - 1) <= ASPECT_ERROR);
  const sizes = new Set(observations.map(({ took }) => `${took.width} ${took.height}`));
  if (!fills || !isOne || sizes.size < 2) return null;
  // The largest of them is the least rounded.
  const [largest] = [...observations].sort((a, b) => b.took.width - a.took.width);
  return largest!.took;
}

/** The steps along an axis that explain every observation: nothing, or the whole of differences. */
function stepsOf(
  observations: readonly Observation[],
  axis: Axis,
): { step: number; base: number } | null {
  const off = observations.filter(({ told, took }) => took[axis] !== told[axis]);
  if (off.length === 0) return { step: 1, base: 0 };
  const taken = [...new Set(observations.map(({ took }) => took[axis]))];
  if (taken.length < 2) return null;
  const step = taken
    .slice(1)
    .reduce((sofar, each) => divisor(sofar, Math.abs(each - taken[0]!)), 0);
  const isExplained = observations.every(
    ({ told, took }) => took[axis] > told[axis] || told[axis] - took[axis] < step,
  );
  return isExplained && step > 1 ? { step, base: taken[0]! % step } : null;
}

function divisor(a: number, b: number): number {
  return b === 0 ? a : divisor(b, a % b);
}
