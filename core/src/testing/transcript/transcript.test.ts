import {
  COMMANDS_WITHOUT_ARGUMENTS,
  type Command,
  type CommandId,
  COMMANDS,
} from '../../commands/registry.ts';
import { readFileSync } from 'node:fs';
import { describe, expect, it } from 'vitest';
import { groupedFindings } from '../../checkup/findings.ts';
import { checkPlacements } from '../../checkup/placements.ts';
import { commandText } from '../../commands/command.ts';
import { openSession } from '../../engine/open.ts';
import { computePlacements } from '../../engine/placements.ts';
import { reduce, type SessionEvent } from '../../engine/reduce.ts';
import { whyHere } from '../../engine/explain.ts';
import { deskInForce } from '../../desk/desk.ts';
import { profileSchema, type Profile } from '../../model/profile.ts';
import { LAYOUT_KINDS } from '../../values/layout.ts';
import { sessionSchema, type Session } from '../../model/session.ts';

// What every command does from a number of desks, with all reasons, as text. A change of what the engine does or says
// changes a line of these files, to be read before it is kept: npx vitest run core/src/testing/transcript -u

const demo = (name: string): unknown =>
  JSON.parse(readFileSync(new URL(`../../../../demo/${name}`, import.meta.url), 'utf8'));

/** What is said with each command that needs something said. */
const SAID: Partial<Record<CommandId, readonly object[]>> = {
  chain: [{ chain: 'bulletin-out' }, { chain: 'none' }],
  menu: [{ menu: 'instruments' }, { menu: 'none' }],
  'use-layout': [
    ...LAYOUT_KINDS.map((kind) => ({ layout: { kind } })),
    { layout: { kind: 'lead', side: 'right' } },
  ],
  'open-app': [{ app: 'notes' }, { app: 'hazarddial' }],
  'call-app': [{ app: 'pitreader' }, { app: 'notes' }, { app: 'dutyline' }],
  'find-window': [{ text: 'shell' }, { text: 'nowhere' }],
  launch: [{ text: 'area' }],
  'exchange-with': [{ text: 'stations' }, { text: 'radiolog' }, { text: 'nowhere' }],
  'go-workspace': [
    { which: 'M' },
    { which: 'next' },
    { which: 'last' },
    { which: 'Mup' },
    { which: 'k' },
  ],
  'put-on-workspace': [{ which: 'S' }, { which: '1', follow: true }],
  'new-workspace': [{}, { called: 'k' }, { called: 'Mail' }, { called: 'B' }],
  'rename-workspace': [{}, { name: 'Front' }],
  'go-monitor': [{ which: 'right' }, { which: 'next' }, { which: 'left' }],
  'put-on-monitor': [{ which: 'down' }, { which: 'tall', follow: false }],
  'put-workspace-on-monitor': [{ which: 'lap' }, { which: 'next' }],
  'use-desk': [{ desk: 'hut' }, { desk: 'briefing' }, { desk: 'hat' }],
  'desk-mode': [{}, { mode: 'mirror' }, { mode: 'one' }],
  'place-at': [
    { x: { start: '1/3' }, ladder: ['1/2', '2/3'] },
    { x: { end: 0.5 }, y: { middle: '1/3' } },
    { long: { from: 2, to: 4, of: 6 } },
  ],
  'place-in-zone': [{ zone: '2' }, { zone: 'side' }],
  'bind-block': [{}, { keys: 'Main+Ctrl+KeyB' }, { keys: 'Main+KeyT' }],
  pick: [{ keys: '2' }, { keys: 'b' }, { keys: 'bd13' }],
  'save-lineup': [{}, { text: 'morning' }],
  'recall-lineup': [{}, { which: 'mourning' }],
  'forget-lineup': [{ text: 'morning' }],
  'move-edge': [
    { direction: 'right', by: 40 },
    { direction: 'left', by: -30 },
    { direction: 'down', by: 9_000 },
  ],
  'shape-as': [{ by: 'grow' }, { by: 'exchange' }],
  'shape-step': [{ direction: 'right' }, { direction: 'up', inward: true }],
};
const plain = new Set<CommandId>(COMMANDS_WITHOUT_ARGUMENTS);
const EVERY: readonly Command[] = [...COMMANDS]
  .sort()
  .flatMap((command): Command[] =>
    plain.has(command)
      ? [{ command } as Command]
      : SAID[command]!.map((said) => ({ command, ...said }) as Command),
  );

const run = (command: Command): SessionEvent => ({ type: 'command', command });
const plainly = (...ids: CommandId[]) => ids.map((command) => run({ command } as Command));
const plugged = (...connected: string[]): SessionEvent => ({ type: 'monitors-changed', connected });

/** Desks that commands are tried from: the demo's, after some events. */
const DESKS: Record<string, readonly SessionEvent[]> = {
  demo: [],
  floating: [run({ command: 'go-monitor', which: 'lap' }), ...plainly('float', 'nudge-left')],
  board: [run({ command: 'use-layout', layout: { kind: 'board' } })],
  'hand-split': [
    run({ command: 'use-layout', layout: { kind: 'split' } }),
    ...plainly('split-down', 'focus-next', 'grow-right'),
  ],
  placed: [
    run({ command: 'place-at', x: { start: '1/3' } }),
    run({ command: 'call-app', app: 'shell' }),
    run({ command: 'place-at', x: { end: '1/2' }, y: { start: '1/2' } }),
  ],
  offer: [run({ command: 'place-at', x: { start: '1/2' } }), ...plainly('offer-places')],
  'picking-a-block': [...plainly('corner-pick'), run({ command: 'pick', keys: 'b' })],
  'picking-a-board': plainly('pick-board'),
  shaping: plainly('shape'),
  switching: [{ type: 'key-pressed', command: { command: 'switch-window' } }],
  'choosing-an-app': plainly('choose-app'),
  previewing: [
    { type: 'key-pressed', command: { command: 'place-at', x: { start: '1/2' } } as Command },
  ],
  'put-away': plainly('minimise', 'pocket', 'show-desktop'),
  lifted: plainly('stay-above', 'focus-right', 'everywhere', 'focus-right', 'float-all'),
  'one-at-a-time': [
    run({ command: 'use-layout', layout: { kind: 'single', strip: 'tabs' } }),
    ...plainly('full-screen', 'focus-next'),
  ],
  paused: plainly('maximise', 'pause'),
  'one-cable-less': [
    run({ command: 'go-monitor', which: 'tall' }),
    ...plainly('lead-share-more', 'float'),
    plugged('wide', 'lap'),
  ],
};

interface Desk {
  session: Session;
  profile: Profile;
}

function rectText({
  x,
  y,
  width,
  height,
}: ReturnType<typeof computePlacements>['placements'][number]) {
  return `${x},${y} ${width}×${height}`;
}

/** What is different of each window, those that stay as they are left out. */
function changesText(before: Desk, after: Desk): string[] {
  const was = new Map(
    computePlacements(before.session, before.profile).placements.map((p) => [p.id, p]),
  );
  const now = computePlacements(after.session, after.profile).placements;
  const lines = now.flatMap((is) => {
    const former = was.get(is.id);
    if (JSON.stringify(former) === JSON.stringify(is)) return [];
    was.delete(is.id);
    const tags = [
      `${is.monitor}/${is.workspace}`,
      is.held,
      ...(is.shown ? [] : ['not shown']),
      ...(is.state ? [is.state] : []),
      ...(is.zones ?? []).map((zone) => `zone ${zone}`),
      ...(is.stayAbove ? ['above'] : []),
      ...(is.everywhere ? ['everywhere'] : []),
    ];
    return [`    ${is.id}: ${rectText(is)} ${tags.join(', ')}`];
  });
  const ids = new Set(now.map(({ id }) => id));
  for (const id of was.keys()) if (!ids.has(id)) lines.push(`    ${id}: closed`);
  const { focus: f1 } = before.session;
  const { focus: f2, focusMonitor } = after.session;
  if (f1 !== f2) lines.push(`    focus: ${f2 ?? 'none'} on ${focusMonitor}`);
  return lines;
}

function stepText(before: Desk, event: SessionEvent, title: string): { text: string; desk: Desk } {
  const { session, trace } = reduce(before.session, event, before.profile);
  const desk = { ...before, session };
  const reasons = trace.map(
    ({ about, decided, because, pixels }) =>
      `  ${about ? `${about}: ` : ''}${decided}${pixels === undefined ? '' : ` (${pixels})`}; ${because}`,
  );
  return { text: [title, ...reasons, ...changesText(before, desk)].join('\n'), desk };
}

describe('what every command does and says', () => {
  const profile = profileSchema.parse(demo('bulletin-desk.profile.json'));
  const input = sessionSchema.parse(demo('bulletin-desk.session.json'));
  const opened = { profile, session: openSession(input, profile).session };

  it.each(Object.entries(DESKS))('%s', async (name, events) => {
    const steps: string[] = [];
    let desk: Desk = opened;
    for (const event of events) {
      const title = 'command' in event ? commandText(event.command) : event.type;
      const step = stepText(
        desk,
        event,
        `${event.type === 'command' ? '' : `${event.type}: `}${title}`,
      );
      steps.push(step.text);
      desk = step.desk;
    }
    const { findings } = checkPlacements(desk.session, profile);
    const found = groupedFindings(findings, (id) => id).map(({ text }) => `  ${text}`);
    const tried = EVERY.map(
      (command) => stepText(desk, run(command), `> ${commandText(command)}`).text,
    );
    const around = { ...desk, desk: deskInForce(profile, desk.session) };
    const why = desk.session.windows.flatMap(({ id }) =>
      whyHere(around, id).map(({ decided, because }) => `  ${id}: ${decided}; ${because}`),
    );
    const released = stepText(desk, { type: 'key-released', taken: true }, '> the key is released');
    const text = [...steps, 'findings', ...found, 'why', ...why, '', ...tried, released.text].join(
      '\n',
    );
    await expect(`${text}\n`).toMatchFileSnapshot(`./${name}.txt`);
  });
});
