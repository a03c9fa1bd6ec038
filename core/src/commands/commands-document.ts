import { markdownTable } from '../values/markdown-table.ts';
import type { Argument } from './argument.ts';
import { definitionOf, KEY_COMMANDS, type KeyCommandId } from './registry.ts';
import { TASKS, TASK_TITLES } from './tasks.ts';

const HEAD = ['command', 'with', 'leads back', 'undo'];

/**
 * Every command as Markdown, a table for each task, made of their definitions: what is said with it, the command that
 * leads back, and whether undo takes it back. One that runs while the engine is paused has a mark.
 */
export function commandsDocument(): string {
  return TASKS.map((task) => {
    const ids = KEY_COMMANDS.filter((id) => definitionOf(id).task === task);
    return `#### ${TASK_TITLES[task]}\n\n${markdownTable(HEAD, ids.map(row))}`;
  }).join('\n\n');
}

function row(id: KeyCommandId): string[] {
  const { said, inverse, undoable, whilePaused } = definitionOf(id);
  const args = Object.entries(said).map(([name, argument]) => argumentText(name, argument));
  const undone = typeof undoable === 'function' ? 'sometimes' : undoable ? 'yes' : '';
  return [
    `\`${id}\`${whilePaused ? ' *' : ''}`,
    args.join(', '),
    inverse === undefined ? '' : `\`${inverse}\``,
    undone,
  ];
}

function argumentText(name: string, { of, options, range, isAsked }: Argument): string {
  const values = options
    ? options.map((option) => `\`${option}\``).join(' or ')
    : range
      ? `${range[0]} to ${range[1]}`
      : of.replaceAll('-', ' ');
  return `\`${name}\`: ${values}${isAsked ? ', typed where left out' : ''}`;
}
