#!/usr/bin/env node
import { Command } from 'commander';
import { SECTIONS } from '@sorn/core/files';
import { arrangeFiles } from './arrange.ts';
import { chartFile } from './chart.ts';
import { checkFile } from './check.ts';
import {
  diffFiles,
  exportFile,
  importFile,
  type ExportOptions,
  type ImportOptions,
} from './files.ts';
import { BadInput } from './input.ts';
import { playFiles } from './play.ts';
import type { RunOptions } from './run.ts';
import { tryFile, type TryOptions } from './try.ts';

const MACHINE = [
  '--machine <host>',
  'as on the machine of this host name; this one where left out',
] as const;

const program = new Command('sorn')
  .description('Computes where windows go, by a profile, without a desktop.')
  .configureOutput({ writeErr: (text) => process.stderr.write(text) })
  .exitOverride((error) => process.exit(error.exitCode === 0 ? 0 : 2));

program
  .command('arrange')
  .description('print the placement of every window, and the findings, as JSON')
  .argument('<profile>', 'profile file (JSON, YAML or TOML); - reads standard input')
  .argument('<session>', 'session file, likewise')
  .option(...MACHINE)
  .action((profile: string, session: string, { machine }: { machine?: string }) =>
    answering(() => print(arrangeFiles(profile, session, machine))),
  );

program
  .command('play')
  .description('run a script of commands and events; print placements and reasons after each step')
  .argument('<profile>', 'profile file (JSON, YAML or TOML); - reads standard input')
  .argument('<script>', 'script file, likewise: a list of steps, or {session, steps}')
  .option('--text', 'for people instead of programs')
  .option(...MACHINE)
  .action((profile: string, script: string, options: { text?: boolean; machine?: string }) =>
    answering(() => {
      const played = playFiles(profile, script, options.text, options.machine);
      print(played.text);
      if (!played.isSame) process.exitCode = 1;
    }),
  );

program
  .command('try')
  .description(
    'try the trials of a profile with all their variations; exit code 1 where one of them fails',
  )
  .argument('<profile>', 'profile file (JSON, YAML or TOML); - reads standard input')
  .argument('[names...]', 'only these trials, by id or name')
  .option('--orders <count>', 'of more than 7 steps in any order, so many orders', '200')
  .option('--seed <number>', 'which of them', '1')
  .option('--trials <file>', 'further trials, in a file beside it')
  .option('--as <form>', 'text, json, or junit for continuous integration', 'text')
  .option(...MACHINE)
  .action((profile: string, names: string[], options: TryOptions) =>
    answering(async () => {
      const tried = await tryFile(profile, names, options);
      print(tried.text);
      if (!tried.hasHeld) process.exitCode = 1;
    }),
  );

program
  .command('check')
  .description(
    'print what is wrong with the desks of a profile and the names in it, as JSON; exit code 1 where something is',
  )
  .argument('<profile>', 'profile file (JSON, YAML or TOML); - reads standard input')
  .option('--text', 'for people instead of programs')
  .option(...MACHINE)
  .action((profile: string, options: { text?: boolean; machine?: string }) =>
    answering(() => {
      const checked = checkFile(profile, options.text, options.machine);
      print(checked.text);
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
  .option(...MACHINE)
  .action((profile: string, options: Parameters<typeof chartFile>[1]) =>
    answering(() => print(chartFile(profile, options))),
  );

program
  .command('export')
  .description('print a profile, or sections of it, in another form')
  .argument('<profile>', 'profile file (JSON, YAML or TOML); - reads standard input')
  .option(
    '--as <form>',
    'yaml, toml, json, csv (rules or keys alone) or svg (a layout or a board)',
    'yaml',
  )
  .option('--sections <list>', `only these, of ${SECTIONS.join(',')}`)
  .option('--monitor <id>', 'draw it on this monitor (svg)')
  .option('--board <id>', 'draw this zone board rather than the layout in force (svg)')
  .option('--windows <count>', 'how many windows the layout arranges (svg)', '4')
  .action((profile: string, options: ExportOptions) =>
    answering(() => print(exportFile(profile, options))),
  );

program
  .command('import')
  .description(
    'print a profile with what a file brings: a profile, sections of one, or a table of rules or keys',
  )
  .argument('<profile>', 'profile file (JSON, YAML or TOML); - reads standard input')
  .argument('<file>', 'the file that is brought in (JSON, YAML, TOML or CSV)')
  .option('--sections <list>', `only these, of ${SECTIONS.join(',')}`)
  .option('--conflicts <how>', 'keep (what is here), take (what the file has) or both', 'keep')
  .option('--as <form>', 'yaml, toml or json; that of the profile file where left out')
  .option('--plan', 'only tell what it would bring')
  .action((profile: string, file: string, options: ImportOptions) =>
    answering(() => print(importFile(profile, file, options))),
  );

program
  .command('diff')
  .description(
    'print what makes the second profile of the first, in words; exit code 1 where anything does',
  )
  .argument('<before>', 'profile file (JSON, YAML or TOML); - reads standard input')
  .argument('<after>', 'profile file, likewise')
  .option('--text', 'for people instead of programs')
  .action((before: string, after: string, { text = false }: { text?: boolean }) =>
    answering(() => {
      const told = diffFiles(before, after, text);
      print(told.text);
      if (!told.isSame) process.exitCode = 1;
    }),
  );

const DATA = 'the database; your own where left out';

program
  .command('backup')
  .description(
    'write every profile with all its revisions into one file; the server may run meanwhile',
  )
  .argument('[file]', 'where to; sorn-DATE.zip here where left out')
  .option('--data <file>', DATA)
  .action((file: string | undefined, { data }: { data?: string }) =>
    answering(async () => {
      const { backupTo } = await import('./backup.ts');
      print(await backupTo(file, data));
    }),
  );

program
  .command('restore')
  .description('tell what a backup would replace, and replace it where --yes is said')
  .argument('<file>', 'the backup')
  .option('--data <file>', DATA)
  .option('--yes', 'do it; what was there is kept as a backup beside the database')
  .action((file: string, { data, yes = false }: { data?: string; yes?: boolean }) =>
    answering(async () => {
      const { restoreFrom } = await import('./backup.ts');
      print(await restoreFrom(file, data, yes));
    }),
  );

const AGENT =
  'stand-in, x11 (an X display), or the command line of an agent; docs/link.md tells how one is written';

program
  .command('run')
  .description('arrange a real desktop by a profile, through an agent, until it is ended')
  .argument(
    '<profile>',
    'profile file (JSON, YAML or TOML); it is watched, and edits apply at once',
  )
  .requiredOption('--agent <agent>', AGENT)
  .option('--keep <file>', 'where the desk is kept; PROFILE.live where left out')
  .option('--allow-launch', 'apps may be started by the command lines of the profile')
  .option('--text', 'print what happens, and why')
  .option(...MACHINE)
  .action((profile: string, options: RunOptions) =>
    answering(async () => {
      const { runDesk } = await import('./run.ts');
      await runDesk(profile, options, print);
    }),
  );

program
  .command('do')
  .description(
    'give a command to the running desk, as a word or as YAML: {command: go-workspace, which: M}',
  )
  .argument('<command...>', 'the command')
  .action((words: string[]) =>
    answering(async () => {
      const { giveCommand } = await import('./live.ts');
      print(await giveCommand(words.join(' ')));
    }),
  );

program
  .command('watch')
  .description('print how the running desk stands, a line of JSON whenever that changes')
  .action(() =>
    answering(async () => {
      const { watchDesk } = await import('./live.ts');
      await watchDesk(print);
    }),
  );

program
  .command('agent-check')
  .description('hold an agent to the protocol, check by check; exit code 1 where one fails')
  .argument('<agent>', AGENT)
  .requiredOption(
    '--stimulus <command>',
    'a program that opens windows and presses keys where the agent is; docs/link.md tells what it must understand',
  )
  .option('--only <names...>', 'only these checks')
  .option('--patience <times>', 'wait so many times as long as usual: for slow machines', '1')
  .action((agent: string, options: { stimulus: string; only?: string[]; patience: string }) =>
    answering(async () => {
      const { checkAgentText } = await import('./agent-check.ts');
      if (!(await checkAgentText(agent, options, print))) process.exitCode = 1;
    }),
  );

function print(text: string): void {
  process.stdout.write(text);
}

/** Runs a command; input that cannot be used is told line by line, with exit code 2. */
async function answering(run: () => void | Promise<void>): Promise<void> {
  try {
    await run();
  } catch (error) {
    if (!(error instanceof BadInput)) throw error;
    for (const line of error.lines) process.stderr.write(`${line}\n`);
    process.exitCode = 2;
  }
}

// Who reads what is printed has had enough (`| head`): that is no fault.
process.stdout.on('error', (error: NodeJS.ErrnoException) => {
  if (error.code === 'EPIPE') process.exit();
  throw error;
});

await program.parseAsync();
