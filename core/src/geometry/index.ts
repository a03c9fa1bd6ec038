export { type Measure } from './measure.ts';
export { type Edges, type Rect, type Size, boundsOf, intersection, meet } from './rect.ts';
