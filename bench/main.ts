import { benchKeys } from './keys.ts';
import { benchSolver } from './solver.ts';

process.stdout.write(`Node ${process.versions.node}, ${process.arch}\n`);
await benchSolver();
benchKeys();
