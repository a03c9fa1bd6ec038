import { shown, unless, type Check } from './check.ts';
import { NotRun } from './trial.ts';

/** How an agent begins. */
export const GREETING: Check[] = [
  {
    name: 'says hello first',
    expects: 'the first message is hello',
    async run(trial) {
      trial.begin();
      await trial.until(() => trial.heard.length > 0, 3_000);
      const [first] = trial.heard;
      return unless(first?.type === 'hello', shown(first?.type));
    },
  },
  {
    name: 'speaks protocol 1',
    expects: 'hello says protocol 1',
    async run(trial) {
      trial.begin();
      const hello = await trial.hears('hello', undefined, 3_000);
      return unless(hello?.protocol === 1, shown(hello?.protocol));
    },
  },
  {
    name: 'says what it can',
    expects: 'hello says that it can listen for keys and close windows',
    async run(trial) {
      trial.begin();
      const hello = await trial.hears('hello', undefined, 3_000);
      const can = hello?.can ?? [];
      return unless(
        ['keys', 'close'].every((each) => can.includes(each)),
        shown(hello?.can),
      );
    },
  },
  {
    name: 'tells the monitors',
    expects: 'monitors, with at least one',
    async run(trial) {
      await trial.start();
      const told = await trial.hears('monitors', ({ monitors }) => monitors.length > 0);
      return unless(told !== null, 'nothing');
    },
  },
  {
    name: 'calls each monitor by a name of its own',
    expects: 'two monitors, and no name twice',
    async run(trial) {
      await trial.start();
      const names =
        trial
          .all('monitors')
          .at(-1)
          ?.monitors.map(({ name }) => name) ?? [];
      if (names.length < 2) throw new NotRun('the desktop has less than two monitors');
      return unless(new Set(names).size === names.length, shown(names));
    },
  },
  {
    name: 'has one primary monitor',
    expects: 'primary of one of the monitors',
    async run(trial) {
      await trial.start();
      const primary =
        trial
          .all('monitors')
          .at(-1)
          ?.monitors.filter((each) => each.primary) ?? [];
      return unless(primary.length === 1, `${primary.length} of them`);
    },
  },
  {
    name: 'tells the windows that were there',
    expects: 'opened before ready for each window that is there',
    async run(trial) {
      await trial.opens({ title: 'First' });
      await trial.opens({ title: 'Second' });
      await trial.start();
      const at = trial.heard.findIndex(({ type }) => type === 'ready');
      const before = trial.heard.slice(0, at < 0 ? undefined : at);
      const opened = before.filter(({ type }) => type === 'opened').length;
      return unless(opened >= 2, `${opened} of them`);
    },
  },
  {
    name: 'says when all were told',
    expects: 'ready after monitors and windows',
    async run(trial) {
      await trial.start();
      const told = trial.heard.map(({ type }) => type);
      const at = told.indexOf('ready');
      return unless(at > told.indexOf('monitors') && at > 0, shown(told));
    },
  },
  {
    name: 'has the same ids when it comes again',
    expects: 'the same ids after the agent was killed and started again',
    async run(trial) {
      await trial.opens({ title: 'Stays' });
      await trial.start();
      const ids = () =>
        trial
          .all('opened')
          .map(({ window }) => window)
          .sort();
      const before = ids();
      await trial.restart();
      return unless(before.length > 0 && shown(before) === shown(ids()), shown(ids()));
    },
  },
  {
    name: 'answers a ping',
    expects: 'pong after ping',
    async run(trial) {
      await trial.start();
      trial.say({ type: 'ping' });
      return unless((await trial.hears('pong')) !== null, 'nothing');
    },
  },
  {
    name: 'answers what it does not know',
    expects: 'a problem about a message of an unknown type',
    async run(trial) {
      await trial.start();
      trial.sayLine('{"type":"sing","song":"any"}');
      return unless((await trial.hears('problem')) !== null, 'nothing');
    },
  },
  {
    name: 'never answers a problem',
    expects: 'no problem after a problem',
    async run(trial) {
      await trial.start();
      trial.say({ type: 'problem', about: 'check', message: 'nothing is wrong' });
      await trial.quiet();
      return unless(trial.all('problem').length === 0, shown(trial.all('problem')[0]));
    },
  },
  {
    name: 'survives a broken line',
    expects: 'pong after a line that is no JSON, and one that is too long',
    async run(trial) {
      await trial.start();
      trial.sayLine('{"type":');
      trial.sayLine(Buffer.from([0xff, 0xfe]));
      trial.sayLine('x'.repeat((1 << 20) + 10));
      trial.say({ type: 'ping' });
      const pong = await trial.hears('pong');
      return unless(pong !== null && trial.isRunning, trial.isRunning ? 'nothing' : 'it ended');
    },
  },
  {
    name: 'shows every window in the end',
    expects: 'a hidden window is shown again when the agent was told bye',
    async run(trial) {
      await trial.start();
      const { window, rect } = await trial.openTold();
      trial.arrange({ windows: [{ window, rect, shown: false, state: 'normal' }], order: [] });
      const isHidden = async () => (await trial.seen(window))?.shown === false;
      if (!(await trial.until(isHidden))) throw new NotRun('the window could not be hidden');
      trial.say({ type: 'bye' });
      // What the window system does by itself once the agent is gone is not the agent's doing: it is still there.
      const isShown = await trial.until(async () => (await trial.seen(window))?.shown === true);
      return unless(isShown, 'it is hidden');
    },
  },
  {
    name: 'ends when told',
    expects: 'the agent ends by itself within two seconds of bye, with code 0',
    async run(trial) {
      await trial.start();
      trial.say({ type: 'bye' });
      const isOver = await trial.until(() => !trial.isRunning, 2_000);
      return unless(isOver && trial.exit === 0, isOver ? `code ${trial.exit}` : 'it runs on');
    },
  },
];
