import type { LinkRect } from '../messages.ts';
import { shown, unless, type Check } from './check.ts';
import { placed, type Trial } from './trial.ts';

const ONE: LinkRect = { x: 20, y: 30, width: 500, height: 400 };
const OTHER: LinkRect = { x: 540, y: 30, width: 480, height: 360 };

/** Two windows that were arranged. */
async function two(trial: Trial): Promise<[string, string]> {
  await trial.start();
  const { window: a } = await trial.openTold({ title: 'A' });
  const { window: b } = await trial.openTold({ title: 'B' });
  return [a, b];
}

async function arranged(trial: Trial): Promise<[string, string]> {
  const [a, b] = await two(trial);
  const round = trial.arrange({
    windows: [placed(a, ONE), placed(b, OTHER)],
    order: [a, b],
    focus: b,
  });
  await trial.until(() => trial.all('placed').filter((each) => each.round === round).length > 1);
  return [a, b];
}

const isSame = (a: LinkRect | undefined, b: LinkRect) =>
  a?.x === b.x && a.y === b.y && a.width === b.width && a.height === b.height;

/** How rounds are followed. */
export const ROUNDS: Check[] = [
  {
    name: 'answers a round',
    expects: 'placed within a second',
    async run(trial) {
      const [a] = await two(trial);
      trial.arrange({ windows: [placed(a, ONE)], order: [a] });
      return unless((await trial.hears('placed')) !== null, 'nothing');
    },
  },
  {
    name: 'sends messages that can be read',
    expects: 'no message with null, text or nothing in the place of a number',
    async run(trial) {
      const [a] = await arranged(trial);
      await trial.stimulus.do({ do: 'point', window: a });
      await trial.quiet();
      const wrong = trial.heard.find((each) => each.type === 'unreadable' && each.about !== 'line');
      return unless(wrong === undefined, shown(wrong));
    },
  },
  {
    name: 'sends lines of JSON',
    expects: 'one JSON object a line',
    async run(trial) {
      await arranged(trial);
      const wrong = trial.heard.find((each) => each.type === 'unreadable' && each.about === 'line');
      return unless(wrong === undefined, shown(wrong));
    },
  },
  {
    name: 'answers with the number of the round',
    expects: 'placed with the number of its round',
    async run(trial) {
      const [a] = await two(trial);
      trial.arrange({ windows: [placed(a, ONE)], order: [a] });
      const round = trial.arrange({ windows: [placed(a, OTHER)] });
      await trial.until(() => trial.all('placed').length > 1);
      const last = trial.all('placed').at(-1);
      return unless(last?.round === round && trial.all('placed').length === 2, shown(last));
    },
  },
  {
    name: 'answers for every window of a round',
    expects: 'placed for each of the windows, hidden ones too',
    async run(trial) {
      const [a, b] = await two(trial);
      trial.arrange({ windows: [placed(a, ONE), placed(b, OTHER, false)], order: [a] });
      const windows = () => new Set(trial.all('placed').map(({ window }) => window));
      await trial.until(() => windows().size === 2);
      return unless(windows().size === 2, shown([...windows()]));
    },
  },
  {
    name: 'puts windows where they are told',
    expects: 'the window system has the window in that rectangle',
    async run(trial) {
      const [a] = await arranged(trial);
      const { rect } = (await trial.seen(a)) ?? {};
      return unless(isSame(rect, ONE), shown(rect));
    },
  },
  {
    name: 'tells what a window took',
    expects: 'placed with the rectangle that the window system has',
    async run(trial) {
      await trial.start();
      const min = { width: 300, height: 250 };
      const { window } = await trial.openTold({ min, isSilent: true });
      trial.arrange({
        windows: [placed(window, { ...ONE, width: 120, height: 90 })],
        order: [window],
      });
      const answer = await trial.hears('placed', (each) => each.window === window);
      const { rect } = (await trial.seen(window)) ?? {};
      return unless(rect !== undefined && isSame(answer?.rect, rect), shown(answer));
    },
  },
  {
    name: 'hides windows',
    expects: 'a window that is not to be shown is not',
    async run(trial) {
      const [a, b] = await arranged(trial);
      trial.arrange({ windows: [placed(a, ONE, false)], order: [b] });
      const isHidden = await trial.until(async () => (await trial.seen(a))?.shown === false);
      return unless(isHidden, 'it is shown');
    },
  },
  {
    name: 'shows them again',
    expects: 'a hidden window is shown where it is told to be',
    async run(trial) {
      const [a, b] = await arranged(trial);
      trial.arrange({ windows: [placed(a, ONE, false)], order: [b] });
      await trial.until(async () => (await trial.seen(a))?.shown === false);
      trial.arrange({ windows: [placed(a, OTHER)], order: [b, a] });
      const isThere = await trial.until(async () => {
        const seen = await trial.seen(a);
        return seen?.shown === true && isSame(seen.rect, OTHER);
      });
      return unless(isThere, 'it is not');
    },
  },
  {
    name: 'puts them in order',
    expects: 'windows lie over each other as the order says',
    async run(trial) {
      const [a, b] = await arranged(trial);
      for (const order of [
        [b, a],
        [a, b],
      ]) {
        trial.arrange({ order });
        const now = async () =>
          (await trial.stimulus.look()).order.filter((each) => order.includes(each));
        const isSo = await trial.until(async () => shown(await now()) === shown(order));
        if (!isSo) return shown(await now());
      }
      return null;
    },
  },
  {
    name: 'gives the focus',
    expects: 'the window with the focus is the one that was told',
    async run(trial) {
      const [a, b] = await arranged(trial);
      for (const focus of [a, b, a]) {
        trial.arrange({ focus });
        const isSo = await trial.until(async () => (await trial.stimulus.look()).focus === focus);
        if (!isSo) return shown((await trial.stimulus.look()).focus);
      }
      return null;
    },
  },
  {
    name: 'takes a round in parts',
    expects: 'the windows of each part are where they are told',
    async run(trial) {
      const [a, b] = await two(trial);
      trial.arrange({ part: { at: 1, of: 2 }, windows: [placed(a, ONE)] });
      trial.arrangeMore({
        part: { at: 2, of: 2 },
        windows: [placed(b, OTHER)],
        order: [a, b],
        focus: a,
      });
      const isSo = await trial.until(async () => isSame((await trial.seen(b))?.rect, OTHER));
      return unless(isSo, 'the second part did not count');
    },
  },
  {
    name: 'survives a window that is gone',
    expects: 'the other windows of a round with one that closed are arranged',
    async run(trial) {
      const [a, b] = await arranged(trial);
      await trial.stimulus.do({ do: 'close', window: a });
      trial.arrange({ windows: [placed(a, OTHER), placed(b, ONE)], order: [a, b], focus: a });
      const isSo = await trial.until(async () => isSame((await trial.seen(b))?.rect, ONE));
      return unless(isSo && trial.isRunning, trial.isRunning ? 'they are not' : 'it ended');
    },
  },
];
