import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { withNewWorkspace, withWorkspaceId } from '../desk/workspaces.ts';
import { profileSchema } from '../model/profile.ts';
import { OFFICE, testDesk, windows, type TestDesk } from '../testing/desk.ts';
import type { Command } from '../commands/registry.ts';

/** The office with the workspace B called a word that nothing else has. */
const NAMED = profileSchema.parse({
  ...OFFICE,
  workspaces: OFFICE.workspaces.map((each) => (each.id === 'B' ? { ...each, id: 'front' } : each)),
});
const go = (which: string): Command => ({ command: 'go-workspace', which });
const COMMANDS: readonly Command[] = [
  go('front'),
  go('1'),
  go('last'),
  { command: 'put-on-workspace', which: 'front' },
  { command: 'put-on-workspace', which: '1' },
  { command: 'open-app', app: 'shell' },
  { command: 'new-workspace' },
  { command: 'close-workspace' },
  { command: 'pocket' },
  { command: 'call-back' },
  { command: 'split-across' },
  { command: 'place-left' },
  { command: 'save-lineup', text: 'all' },
  { command: 'put-workspace-on-monitor', which: 'next' },
  { command: 'undo' },
];

/** An edit of the workspaces ends what is under way, and keeps the names of those that only fill a monitor. */
function textOf({ session: { interaction: _ended, ...rest } }: TestDesk): string {
  const made = (rest.workspacesMade ?? []).filter(({ byItself }) => !byItself);
  return JSON.stringify({ ...rest, workspacesMade: made });
}

describe('a workspace that is called otherwise', () => {
  it('is the same workspace wherever the session names it', () => {
    fc.assert(
      fc.property(fc.array(fc.constantFrom(...COMMANDS), { maxLength: 25 }), (commands) => {
        const before = testDesk(NAMED, { ...windows('p', 'b'), focus: 'p' }).run(...commands);
        const after = before.edited(withWorkspaceId(before.profile, 'front', 'F'));
        // The same text with the one word replaced, up to the order of keys.
        const written = textOf(before).replaceAll('"front"', '"F"').replaceAll('"front/', '"F/');
        expect(JSON.parse(textOf(after))).toEqual(JSON.parse(written));
        const back = after.edited(before.profile);
        expect(JSON.parse(textOf(back))).toEqual(JSON.parse(textOf(before)));
      }),
      { numRuns: 150 },
    );
  });

  it('is in the session no more once the profile names it', () => {
    const made = testDesk(NAMED, windows('p')).run(go('K'), { command: 'open-app', app: 'shell' });
    const named = made.edited(withNewWorkspace(made.profile, { id: 'K', monitor: 'wide' }));
    expect(named.session.workspacesMade).toBeUndefined();
    expect(named.at('shell-1')).toMatchObject({ workspace: 'K', shown: true });
  });
});

it('two that are called otherwise at once are two others: nothing goes along', () => {
  const desk = testDesk(OFFICE, { windows: [{ id: 'p', workspace: '1' }] });
  const one = withWorkspaceId(desk.profile, '1', 'O');
  expect(desk.edited(one).at('p').workspace).toBe('O');
  expect(desk.edited(withWorkspaceId(one, 'S', 'T')).at('p').workspace).toBe('B');
});
