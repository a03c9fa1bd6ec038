// In a file of its own, which is fetched after the page: few visits copy or paste anything.
export { slipText } from '@sorn/core/files';
export { readNamedText } from './chosen-file.ts';
