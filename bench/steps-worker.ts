import { parentPort } from 'node:worker_threads';
import { yoga } from './contenders.ts';
import { interleaved } from './measure.ts';
import { keyPresses } from './steps.ts';
import { nestedSplit } from './trees.ts';

const WINDOWS = 30;
const PASSES = 600;
const ROUNDS = 15;

const press = keyPresses(WINDOWS, 3);
const minimums = Array.from({ length: WINDOWS }, () => ({ width: 40, height: 20 }));
const relayout = yoga(nestedSplit(WINDOWS), 1440, minimums);
let width = 3000;

parentPort!.postMessage(
  await interleaved(
    {
      sorn() {
        for (let i = 0; i < PASSES; i++) press();
      },
      yoga() {
        for (let i = 0; i < PASSES; i++) relayout((width = width > 3400 ? 3000 : width + 1));
      },
    },
    PASSES,
    ROUNDS,
  ),
);
