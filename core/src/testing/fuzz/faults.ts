// Faults planted into the engine, one at a time, in a copy of core: the made-up runs are to catch each.
import { spawnSync } from 'node:child_process';
import { cpSync, mkdtempSync, readFileSync, rmSync, symlinkSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { dirname, join } from 'node:path';
import { fileURLToPath } from 'node:url';

const root = join(dirname(fileURLToPath(import.meta.url)), '../../../..');

/** What is changed, in which file of core, and which made-up run is to catch it. */
export interface Planted {
  name: string;
  file: string;
  from: string;
  to: string;
  run: 'fuzz' | 'returns';
}

export const FAULTS: readonly Planted[] = [
  {
    name: 'a pixel is lost at the end of a shared length',
    file: 'tiling/solve.ts',
    from: 'const next = to === last ? available :',
    to: 'const next = to === last ? available - 1 :',
    run: 'returns',
  },
  {
    name: 'undo forgets the focus',
    file: 'engine/history.ts',
    from: '...(before.focus !== undefined && { focus: before.focus }),',
    to: '',
    run: 'fuzz',
  },
  {
    name: 'an empty workspace is forgotten when a monitor goes',
    file: 'engine/relocation.ts',
    from: 'if (madeUp.length === 0) return session;',
    to: 'return session;',
    run: 'returns',
  },
  {
    name: 'what is in the pocket is forgotten when a session is opened again',
    file: 'engine/open.ts',
    from: '...(pocketed.length > 0 && { pocket: pocketed }),',
    to: '',
    run: 'returns',
  },
  {
    name: 'float forgets what it leaves',
    file: 'engine/commands/lift.ts',
    from: '...((standing || Object.keys(beside).length > 0) && {',
    to: '...(false && {',
    run: 'returns',
  },
  {
    name: 'the focus does not come back with its monitor',
    file: 'engine/relocation.ts',
    from: 'if (back >= 0) {',
    to: 'if (back > 90) {',
    run: 'returns',
  },
  {
    name: 'how a workspace was on a monitor that goes is forgotten',
    file: 'engine/relocation.ts',
    from: '? { ...from, detached: true }',
    to: '? { order: from.order, detached: true }',
    run: 'returns',
  },
  {
    name: 'restore-last brings the one that was minimised first',
    file: 'engine/commands/size.ts',
    from: '.findLast((each)',
    to: '.find((each)',
    run: 'returns',
  },
  {
    name: 'the gap is left out of the second axis',
    file: 'tiling/solve.ts',
    from: 'const gap = start === 0 ? gapX : gapY;',
    to: 'const gap = start === 0 ? gapX : gapY + 1;',
    run: 'returns',
  },
  {
    name: 'redo goes back once more',
    file: 'engine/history.ts',
    from: "return travel(context, 'future', 'past');",
    to: "return travel(context, 'past', 'future');",
    run: 'fuzz',
  },
];

/**
 * Runs the made-up events on core with a fault in it.
 * @returns whether it was caught, and after how many events
 */
export function caught(
  { file, from, to, run }: Planted,
  seconds: number,
  seed: number,
): { isCaught: boolean; events: number } {
  const folder = mkdtempSync(join(tmpdir(), 'sorn-fault-'));
  try {
    cpSync(join(root, 'core/src'), join(folder, 'core/src'), { recursive: true });
    for (const name of [
      'vitest.config.ts',
      'package.json',
      'tsconfig.base.json',
      'core/package.json',
    ])
      cpSync(join(root, name), join(folder, name));
    symlinkSync(join(root, 'node_modules'), join(folder, 'node_modules'));
    const path = join(folder, 'core/src', file);
    const text = readFileSync(path, 'utf8');
    if (text.split(from).length !== 2) throw new Error(`${file} has not once: ${from}`);
    writeFileSync(
      path,
      text.replace(from, () => to),
    );
    const { stdout, stderr } = spawnSync(
      process.execPath,
      [
        join(root, 'node_modules/vitest/vitest.mjs'),
        ...['run', '--root', folder, '--bail', '1', `core/src/testing/fuzz/${run}.test.ts`],
      ],
      {
        encoding: 'utf8',
        env: { ...process.env, FUZZ_SECONDS: String(seconds), FUZZ_SEED: String(seed) },
        maxBuffer: 1 << 28,
      },
    );
    const events = Number(/fuzz: seed \d+, (\d+) events/.exec(stdout)?.[1]);
    return { isCaught: `${stdout}${stderr}`.includes('Property failed after'), events };
  } finally {
    rmSync(folder, { recursive: true, force: true });
  }
}
