#!/usr/bin/env node
import { Command } from 'commander';
import { arrangeFiles } from './arrange.ts';
import { chartFile } from './chart.ts';
import { checkFile } from './check.ts';
import { BadInput } from './input.ts';
import { playFiles } from './play.ts';

const program = new Command('sorn')
  .description('Computes where windows go, by a profile, without a desktop.')
  .configureOutput({ writeErr: (text) => process.stderr.write(text) })
  .exitOverride((error) => process.exit(error.exitCode === 0 ? 0 : 2));

program
  .command('arrange')
  .description('print the placement of every window, and the findings, as JSON')
  .argument('<profile>', 'profile file (JSON, YAML or TOML); - reads standard input')
  .argument('<session>', 'session file, likewise')
  .action((profile: string, session: string) =>
    answering(() => process.stdout.write(arrangeFiles(profile, session))),
  );

program
  .command('play')
  .description('run a script of commands and events; print placements and reasons after each step')
  .argument('<profile>', 'profile file (JSON, YAML or TOML); - reads standard input')
  .argument('<script>', 'script file, likewise: a list of steps, or {session, steps}')
  .option('--text', 'for people instead of programs')
  .action((profile: string, script: string, { text = false }: { text?: boolean }) =>
    answering(() => {
      const played = playFiles(profile, script, text);
      process.stdout.write(played.text);
      if (!played.isSame) process.exitCode = 1;
    }),
  );

program
  .command('check')
  .description(
    'print what is wrong with the desks of a profile and the names in it, as JSON; exit code 1 where something is',
  )
  .argument('<profile>', 'profile file (JSON, YAML or TOML); - reads standard input')
  .option('--text', 'for people instead of programs')
  .action((profile: string, { text = false }: { text?: boolean }) =>
    answering(() => {
      const checked = checkFile(profile, text);
      process.stdout.write(checked.text);
      if (!checked.isSound) process.exitCode = 1;
    }),
  );

program
  .command('chart')
  .description('print the key chart of a profile: every binding on one page')
  .argument('<profile>', 'profile file (JSON, YAML or TOML); - reads standard input')
  .option('--as <form>', 'markdown, csv, html or svg', 'markdown')
  .option('--monitor <id>', 'draw it in the pixels of this monitor (svg)')
  .option('--night', 'in the colours of the night (svg)')
  .action((profile: string, options: { as: string; monitor?: string; night?: boolean }) =>
    answering(() => process.stdout.write(chartFile(profile, options))),
  );

/** Runs a command; input that cannot be used is told line by line, with exit code 2. */
function answering(run: () => void): void {
  try {
    run();
  } catch (error) {
    if (!(error instanceof BadInput)) throw error;
    for (const line of error.lines) process.stderr.write(`${line}\n`);
    process.exitCode = 2;
  }
}

program.parse();
