// What the command line reads profiles by.
export { gatherFiles, type Gathered } from './gather.ts';
