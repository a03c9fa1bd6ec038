#!/usr/bin/env node
import { Command } from 'commander';
import { runAgent } from './agent.ts';
import { Stimulus } from './stimulus.ts';
import { showDemoApp, type DemoApp } from './drawing/demo-app.ts';

const program = new Command('sorn-x11').description(
  'The agent for an X display: arranges its windows as the host says.',
);

program
  .command('agent', { isDefault: true })
  .description('speaks on standard input and output')
  .option('--display <name>', 'the display; that of the environment where left out')
  .option('--replace', 'whoever arranges its windows now is asked to go')
  .action(async ({ display, replace }: { display?: string; replace?: boolean }) => {
    process.exit(
      await runAgent({
        ...(display !== undefined && { display }),
        replaces: replace ?? false,
        input: process.stdin,
        output: process.stdout,
      }),
    );
  });

program
  .command('stimulus')
  .description(
    'does what a person and programs do, by lines, for who judges an agent (docs/link.md)',
  )
  .option('--display <name>', 'the display; that of the environment where left out')
  .action(async ({ display }: { display?: string }) => {
    const stimulus = await Stimulus.on(display);
    await stimulus.run(process.stdin, process.stdout);
    process.exit(0);
  });

program
  .command('demo-app')
  .description('a window that stands for an app of the demo')
  .argument('<app>', 'what it is like, as JSON: app, title, mark, hue, min, increment, kind')
  .option('--display <name>', 'the display; that of the environment where left out')
  .action(async (app: string, { display }: { display?: string }) => {
    await showDemoApp(JSON.parse(app) as DemoApp, display);
    process.exit(0);
  });

await program.parseAsync();
