import { chmodSync, mkdtempSync, rmSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { delimiter, join } from 'node:path';
import { CHECKS, checkAgent, type Checked } from '@sorn/link/checks';
import { expect, it } from 'vitest';
import { AGENT } from './testing/live.ts';
import { XServer } from './testing/server.ts';

it('the agent for X passes every check that an agent is held to', async () => {
  const server = await XServer.start();
  const folder = mkdtempSync(join(tmpdir(), 'sorn-x11-check-'));
  // What the checks launch.
  const notes = join(folder, 'notes');
  const app = JSON.stringify({ app: 'notes', title: 'Notes', mark: 'N', hue: 40 });
  writeFileSync(notes, `#!/bin/sh\nexec '${process.execPath}' '${AGENT}' demo-app '${app}'\n`);
  chmodSync(notes, 0o755);
  const path = process.env['PATH'];
  process.env['PATH'] = `${folder}${delimiter}${path}`;
  try {
    const program = (name: string) => [process.execPath, AGENT, name, '--display', server.display];
    const all: Checked[] = [];
    for await (const each of checkAgent(program('agent'), program('stimulus'), { patience: 5 }))
      all.push(each);
    expect(all.filter(({ came }) => came !== null)).toEqual([]);
    expect(all).toHaveLength(CHECKS.length);
  } finally {
    process.env['PATH'] = path;
    await server.end();
    rmSync(folder, { recursive: true });
  }
}, 240_000);
