import { shown, unless, type Check } from './check.ts';
import type { FromAgent } from '../messages.ts';
import { placed, type Trial } from './trial.ts';

/** A check of one field of a window that opens. */
function told(
  name: string,
  expects: string,
  opening: Record<string, unknown>,
  isRight: (opened: FromAgent<'opened'>) => boolean,
): Check {
  return {
    name,
    expects,
    async run(trial: Trial) {
      await trial.start();
      const opened = await trial.openTold(opening);
      return unless(isRight(opened), shown(opened));
    },
  };
}

/** What is told of windows and monitors. */
export const WINDOWS: Check[] = [
  told('tells a window that opens', 'opened', {}, () => true),
  told('tells its app', 'app of the window', { app: 'notes' }, ({ app }) => app === 'notes'),
  told('tells its title', 'its title', { title: 'Drâft 7' }, ({ title }) => title === 'Drâft 7'),
  told('tells its kind', 'kind dialog', { kind: 'dialog' }, ({ kind }) => kind === 'dialog'),
  {
    name: 'tells its parent',
    expects: 'the window that a dialog stands over',
    async run(trial) {
      await trial.start();
      const parent = await trial.openTold();
      const dialog = await trial.openTold({ kind: 'dialog', parent: parent.window });
      return unless(dialog.parent === parent.window, shown(dialog.parent));
    },
  },
  told(
    'tells its hints',
    'its least size and its steps',
    { min: { width: 210, height: 130 }, steps: { width: 9, height: 17 } },
    ({ hints }) => hints?.min?.width === 210 && hints.increment?.height === 17,
  ),
  told(
    'tells what cannot be resized',
    'resizable false',
    { isFixed: true },
    ({ resizable }) => !resizable,
  ),
  {
    name: 'tells a window once',
    expects: 'one opened for one window',
    async run(trial) {
      await trial.start();
      await trial.openTold();
      await trial.quiet();
      return unless(trial.all('opened').length === 1, `${trial.all('opened').length} of them`);
    },
  },
  {
    name: 'gives no window the id of another',
    expects: 'a new id for a window that opens after another closed',
    async run(trial) {
      await trial.start();
      const first = await trial.openTold();
      await trial.stimulus.do({ do: 'close', window: first.window });
      await trial.hears('closed');
      const second = await trial.openTold();
      return unless(second.window !== first.window, `${second.window} again`);
    },
  },
  {
    name: 'tells a new title',
    expects: 'changed, with the title',
    async run(trial) {
      await trial.start();
      const { window } = await trial.openTold();
      await trial.stimulus.do({ do: 'retitle', window, title: 'Another' });
      const changed = await trial.hears('changed', (each) => each.window === window);
      return unless(changed?.title === 'Another', shown(changed));
    },
  },
  {
    name: 'tells a window that closes',
    expects: 'closed',
    async run(trial) {
      await trial.start();
      const { window } = await trial.openTold();
      await trial.stimulus.do({ do: 'close', window });
      return unless(
        (await trial.hears('closed', (each) => each.window === window)) !== null,
        'nothing',
      );
    },
  },
  {
    name: 'tells no window closed that is open',
    expects: 'closed only of what was opened and is not there',
    async run(trial) {
      await trial.start();
      for (let i = 0; i < 4; i++) await trial.openTold();
      await trial.quiet();
      return unless(trial.all('closed').length === 0, shown(trial.all('closed')[0]));
    },
  },
  {
    name: 'tells what a window asks for',
    expects: 'asked, with the rectangle',
    async run(trial) {
      await trial.start();
      const { window } = await trial.openTold();
      const rect = { x: 70, y: 80, width: 410, height: 320 };
      await trial.stimulus.do({ do: 'ask', window, rect });
      const asked = await trial.hears('asked', (each) => each.window === window);
      const isSame = asked?.rect.width === 410 && asked.rect.height === 320;
      return unless(isSame, shown(asked));
    },
  },
  {
    name: 'tells which window a pointer chose',
    expects: 'focused, with the window',
    async run(trial) {
      await trial.start();
      const { window } = await trial.openTold();
      const { window: other } = await trial.openTold();
      // Only what is shown can be pointed at.
      trial.arrange({
        windows: [
          placed(window, { x: 40, y: 40, width: 400, height: 300 }),
          placed(other, { x: 500, y: 40, width: 400, height: 300 }),
        ],
        order: [window, other],
        focus: other,
      });
      await trial.hears('placed', (each) => each.window === other);
      await trial.stimulus.do({ do: 'point', window });
      const focused = await trial.hears('focused', (each) => each.window === window);
      return unless(focused !== null, shown(trial.all('focused').at(-1)));
    },
  },
  {
    name: 'tells that a monitor went',
    expects: 'monitors, with those that are left',
    async run(trial) {
      await trial.start();
      const all = (await trial.hears('monitors', ({ monitors }) => monitors.length > 0))?.monitors;
      const before = trial.all('monitors').length;
      try {
        await trial.stimulus.do({ do: 'monitors', monitors: all?.slice(0, 1) ?? [] });
        await trial.until(() => trial.all('monitors').length > before);
        const now = trial.all('monitors').slice(before).at(-1)?.monitors;
        return unless(now?.length === 1, shown(now));
      } finally {
        await trial.stimulus.do({ do: 'monitors', monitors: all ?? [] });
      }
    },
  },
  {
    name: 'passes requests on',
    expects: 'requested, when another program asks to activate a window',
    async run(trial) {
      await trial.start();
      const { window } = await trial.openTold();
      await trial.stimulus.do({ do: 'request', what: 'activate', window });
      const asked = await trial.hears('requested', (each) => each.window === window);
      return unless(asked?.what === 'activate', shown(asked));
    },
  },
  {
    name: 'closes a window when told',
    expects: 'the window is gone, and closed is told',
    async run(trial) {
      await trial.start();
      const { window } = await trial.openTold();
      trial.say({ type: 'close', window });
      return unless(
        (await trial.hears('closed', (each) => each.window === window)) !== null,
        'nothing',
      );
    },
  },
  {
    name: 'launches an app when told',
    expects: 'a window of the app opens, where the agent says that it can launch',
    async run(trial) {
      await trial.start();
      if (!trial.all('hello')[0]?.can.includes('launch')) return null;
      trial.say({ type: 'launch', app: 'notes', command: ['notes'] });
      const opened = await trial.hears('opened', ({ app }) => app === 'notes', 3_000);
      if (opened) await trial.stimulus.do({ do: 'close', window: opened.window });
      return unless(opened !== null, 'nothing');
    },
  },
  {
    name: 'makes pictures when asked',
    expects:
      'a PNG of a window after pictures are asked for and none before, where the agent says that it can',
    async run(trial) {
      await trial.start();
      if (!trial.all('hello')[0]?.can.includes('pictures')) return null;
      const window = await oneShown(trial);
      await trial.quiet();
      if (trial.all('picture').length > 0) return 'one that nobody asked for';
      trial.say({ type: 'pictures', on: true, every: 100 });
      const picture = await trial.hears('picture', (each) => each.window === window);
      return unless(picture?.png.startsWith(PNG_BEGINS) === true, shown(picture?.png.slice(0, 40)));
    },
  },
  {
    name: 'stops making pictures',
    expects: 'no picture once they are not asked for any more',
    async run(trial) {
      await trial.start();
      if (!trial.all('hello')[0]?.can.includes('pictures')) return null;
      const window = await oneShown(trial);
      trial.say({ type: 'pictures', on: true, every: 100 });
      await trial.hears('picture', (each) => each.window === window);
      trial.say({ type: 'pictures', on: false, every: 100 });
      await trial.quiet(300);
      const before = trial.all('picture').length;
      await trial.quiet(500);
      return unless(trial.all('picture').length === before, 'more pictures');
    },
  },
];

/** Opens a window and shows it; its id. */
async function oneShown(trial: Trial): Promise<string> {
  const { window } = await trial.openTold();
  const rect = { x: 60, y: 60, width: 400, height: 300 };
  const shownThere = { window, rect, shown: true, state: 'normal' as const };
  trial.arrange({ windows: [shownThere], order: [window], focus: window });
  await trial.hears('placed', (each) => each.window === window);
  return window;
}

/** The first bytes of every PNG, in base64. */
const PNG_BEGINS = 'iVBORw0KGgo';
