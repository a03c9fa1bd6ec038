export { type BestShare, type Rating, type Search, searchBestShare } from './best-share.ts';
export { type Landing, landings } from './landing.ts';
export { type Lever, leverOf } from './lever.ts';
export { type Played, play, scriptSchema } from './script.ts';
export { type Band, SWEEP, type Sweep, sweep } from './sweep.ts';
