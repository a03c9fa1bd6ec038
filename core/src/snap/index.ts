export { snappedRect } from './axis.ts';
export { type Block, blockOf, gridText } from './block.ts';
export { letterOf, numberLabels } from './labels.ts';
