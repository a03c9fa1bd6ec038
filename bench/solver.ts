import { minimumsCanBeMet, flatten } from '@sorn/core/tiling';
import { d3, GAP, sorn, yoga, type Relayout } from './contenders.ts';
import { interleaved, timingText } from './measure.ts';
import { chance, nestedSplit } from './trees.ts';

const ROUNDS = 21;
/** Side of the mean tile. */
const TILE = 120;

/** Prints how fast the same nested split is laid out again when its width changes every pass. */
export async function benchSolver(): Promise<void> {
  process.stdout.write(
    '\nLaying out again, the width changed every pass (median, 10th – 90th percentile)\n',
  );
  for (const windows of [10, 100, 1000, 10_000]) {
    const tree = nestedSplit(windows);
    const side = Math.round(TILE * Math.sqrt(windows));
    const next = chance(windows);
    const minimums = Array.from({ length: windows }, () => ({
      width: 1 + Math.floor(next() * 50),
      height: 1 + Math.floor(next() * 50),
    }));
    const flat = flatten(tree, minimums, { x: GAP, y: GAP });
    const met = minimumsCanBeMet(flat, { width: side, height: side });
    const passes = Math.max(1, Math.round(4000 / windows));
    const turn = (relayout: Relayout) => {
      let width = side;
      let sum = 0;
      return () => {
        for (let i = 0; i < passes; i++) {
          width = width >= side + 200 ? side : width + 1;
          sum += relayout(width);
        }
        if (Number.isNaN(sum)) throw new Error('a size is no number');
      };
    };
    const times = await interleaved(
      {
        sorn: turn(sorn(tree, side, minimums)),
        yoga: turn(yoga(tree, side, minimums)),
        d3: turn(d3(tree, side)),
      },
      passes,
      ROUNDS,
    );
    const { sorn: own, yoga: byYoga, d3: byD3 } = times;
    process.stdout.write(
      `${String(windows).padStart(6)} windows${met ? '' : ' (minimums cannot all be met)'}\n` +
        `        sorn, minimums and gaps   ${timingText(own!)}\n` +
        `        yoga-layout, the same     ${timingText(byYoga!)}   ${(byYoga!.median / own!.median).toFixed(1)} × sorn\n` +
        `        d3 treemap, gaps only     ${timingText(byD3!)}   ${(byD3!.median / own!.median).toFixed(1)} × sorn\n`,
    );
  }
}
