import type { Axis } from '../values/direction.ts';
/** A length to draw a dimension line for, in physical pixels of the joint desktop. */
export interface Measure {
  axis: Axis;
  from: number;
  to: number;
}
