import { commandText } from '../../commands/command.ts';
import { KEY_STARTERS, type KeyStarterId } from '../../model/keys.ts';
import { profileSchema } from '../../model/profile.ts';
import { markdownTable } from '../../values/markdown-table.ts';
import { keysCaps } from '../../values/trigger.ts';
import type { KeyStarterBinding } from './binding.ts';
import { bindingOf, REGIONS } from './regions.ts';
import { STARTER_MAPS } from './starters.ts';

/** A profile in which one thing of each kind is named: a workspace, an app with a letter, a desk. */
function named() {
  return profileSchema.parse({
    monitors: [{ id: 'm', width: 1920, height: 1080 }],
    desks: [{ id: 'desk', monitors: [{ monitor: 'm', x: 0, y: 0 }] }],
    workspaces: [{ id: '1' }],
    apps: ['p', 'q', 'r', 's'].map((id) => ({ id, ...(id === 'p' && { letter: 'P' }) })),
  });
}

/** The keys of every starter as Markdown: one part a starter, its regions in their order. */
export function startersDocument(): string {
  return KEY_STARTERS.filter((id) => id !== 'none')
    .map((id) => [`### ${STARTER_MAPS[id].title} (\`${id}\`)`, STARTER_MAPS[id].says, ...parts(id)])
    .flat()
    .join('\n\n');
}

function parts(id: KeyStarterId): string[] {
  const all = STARTER_MAPS[id].bindings(named());
  if (id !== 'whole') return [table(all)];
  const regions = REGIONS.map(({ title, keys }) => ({
    title,
    bindings: keys.map((key) => bindingOf(key).keys),
  }));
  const placed = new Set(regions.flatMap(({ bindings }) => bindings));
  const isLayout = ({ command }: KeyStarterBinding) => command.command === 'use-layout';
  const rest = all.filter((binding) => !placed.has(binding.keys));
  return [
    'What has your name: here a workspace, an app with the letter P, and a desk. Every digit has the keys of a workspace',
    table(rest.filter((binding) => !isLayout(binding))),
    ...regions.flatMap(({ title, bindings }) => [
      title,
      table(all.filter(({ keys }) => bindings.includes(keys))),
    ]),
    'After `Meta` `\\`: a layout by its letter',
    table(rest.filter(isLayout)),
  ];
}

function table(bindings: readonly KeyStarterBinding[]): string {
  const rows = bindings.map(({ keys, command }) => [
    keysCaps(keys, { main: 'Meta' })
      .map((cap) => (cap === '`' ? '`` ` ``' : `\`${cap}\``))
      .join(' ')
      .replace('`then`', 'then'),
    commandText(command),
  ]);
  return markdownTable(['keys', 'command'], rows);
}
