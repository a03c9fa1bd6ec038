export { snappedRect } from '../snap/axis.ts';
export { type Block, blockOf, gridText } from '../snap/block.ts';
export { letterOf, numberLabels } from '../snap/labels.ts';
