import { parentPort } from 'node:worker_threads';
import { tried, TWELVE } from './trials.ts';

const ROUNDS = 4;

// The first one only warms up; then both threads begin together.
tried(TWELVE);
parentPort!.on('message', () => {
  let tries = 0;
  for (let round = 0; round < ROUNDS; round++) tries += tried(TWELVE).tries;
  parentPort!.postMessage(tries);
});
parentPort!.postMessage('ready');
