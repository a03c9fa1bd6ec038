#!/usr/bin/env node
import { Command } from 'commander';
import { arrangeFiles } from './arrange.ts';
import { BadInput } from './input.ts';

const program = new Command('sorn')
  .description('Computes where windows go, by a profile, without a desktop.')
  .configureOutput({ writeErr: (text) => process.stderr.write(text) })
  .exitOverride((error) => process.exit(error.exitCode === 0 ? 0 : 2));

program
  .command('arrange')
  .description('print the placement of every window, and the findings, as JSON')
  .argument('<profile>', 'profile file (JSON, YAML or TOML); - reads standard input')
  .argument('<session>', 'session file, likewise')
  .action((profile: string, session: string) => {
    try {
      process.stdout.write(arrangeFiles(profile, session));
    } catch (error) {
      if (!(error instanceof BadInput)) throw error;
      for (const line of error.lines) process.stderr.write(`${line}\n`);
      process.exitCode = 2;
    }
  });

program.parse();
