import {
  COMMANDS,
  commandText,
  keyCommandSchema,
  RUNNABLE,
  type CommandId,
} from '@sorn/core/commands';
import { chartRows, withEffort, NO_EFFORT } from '@sorn/core/keys';
import { profileSchema } from '@sorn/core/model';
import { expect, it, vi } from 'vitest';
import { commandsToBind, fieldsOf } from './command-fields.ts';

vi.mock('../../../../core/src/commands/window-state.ts', async (original) => {
  const { holdingCommands } = await original<{ holdingCommands: object }>();
  const { define, UNDOABLE, BY_ONE_TARGET } =
    await import('../../../../core/src/commands/definition.ts');
  const { app } = await import('../../../../core/src/commands/argument.ts');
  const own = { task: 'holding', ...UNDOABLE, ...BY_ONE_TARGET, guessedUses: 3 } as const;
  return {
    holdingCommands: {
      ...holdingCommands,
      'sit-down': define({ said: {}, ...own }),
      'sit-by': define({ said: { app: app() }, ...own }),
    },
  };
});

/** What it did to a window. */
const DONE = { before: null, after: null, isSame: true, scale: 1 };

it('a command that is defined is in forms, find-anything, the chart and the effort by that alone', () => {
  const [sit, sitBy] = ['sit-down', 'sit-by'] as unknown as CommandId[];
  expect(COMMANDS).toContain(sit);
  expect(RUNNABLE).toContain(sit);
  expect(keyCommandSchema.parse({ command: sit })).toEqual({ command: sit });
  const profile = profileSchema.parse({
    monitors: [{ id: 'm', width: 1920, height: 1080 }],
    apps: [{ id: 'notes' }],
    keys: { bindings: [{ keys: 'Main+KeyX', command: { command: sitBy, app: 'notes' } }] },
  });
  expect(fieldsOf(sitBy!, profile)).toMatchObject([{ of: 'choice', label: 'App' }]);
  expect(commandsToBind(profile).map(commandText)).toEqual(
    expect.arrayContaining(['sit-down', 'sit-by notes']),
  );
  const row = chartRows(profile).find(({ command }) => command === 'sit-by notes');
  expect(row).toMatchObject({ task: 'holding', pressed: 'Meta X' });
  expect(withEffort(NO_EFFORT, 2, sit!, DONE)).toMatchObject({ presses: 2, trips: 1 });
});
