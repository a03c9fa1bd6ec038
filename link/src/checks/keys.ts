import type { FromAgent, LinkTrigger } from '../messages.ts';
import { shown, unless, type Check } from './check.ts';
import { placed, type Trial } from './trial.ts';

const ONE: LinkTrigger = { code: 'KeyJ', modifiers: ['Meta'] };

/** A window with the focus, and keys that are listened for. */
async function listening(
  trial: Trial,
  triggers: LinkTrigger[] = [ONE],
  whole = false,
): Promise<string> {
  await trial.start();
  const { window, rect } = await trial.openTold();
  trial.arrange({ windows: [placed(window, rect)], order: [window], focus: window });
  await trial.until(async () => (await trial.stimulus.look()).focus === window);
  trial.say({ type: 'listen', triggers, whole });
  // It is listened for once the agent has done what was said before.
  trial.say({ type: 'ping' });
  await trial.hears('pong');
  await trial.quiet(40);
  return window;
}

/** Answers every press that comes, from now on. */
function answering(trial: Trial, taken: (key: FromAgent<'key'>) => boolean): () => Promise<void> {
  const answered = new Set<FromAgent<'key'>>();
  return async () => {
    for (const key of trial.all('key')) {
      if (answered.has(key)) continue;
      answered.add(key);
      trial.say({ type: 'keys', answers: [key.n], taken: taken(key) });
    }
    await trial.quiet(10);
  };
}

async function press(trial: Trial, ...codes: string[]): Promise<void> {
  for (const code of codes) await trial.stimulus.do({ do: 'key', code, down: true });
  for (const code of [...codes].reverse())
    await trial.stimulus.do({ do: 'key', code, down: false });
}

async function typedIn(trial: Trial, window: string): Promise<string[]> {
  return (await trial.seen(window))?.typed ?? [];
}

/** How keys are told of, and given back. */
export const KEYS: Check[] = [
  {
    name: 'tells a key that is listened for',
    expects: 'key with the code, down',
    async run(trial) {
      await listening(trial);
      await press(trial, 'MetaLeft', 'KeyJ');
      const key = await trial.hears('key', ({ code, down }) => code === 'KeyJ' && down);
      return unless(key !== null, shown(trial.all('key')));
    },
  },
  {
    name: 'tells that it was let go',
    expects: 'key with the code, not down',
    async run(trial) {
      await listening(trial);
      const answer = answering(trial, () => true);
      await press(trial, 'MetaLeft', 'KeyJ');
      const isUp = ({ code, down }: FromAgent<'key'>) => code === 'KeyJ' && !down;
      await trial.until(async () => {
        await answer();
        return trial.all('key').some(isUp);
      });
      const key = await trial.hears('key', isUp, 1);
      return unless(key !== null, shown(trial.all('key')));
    },
  },
  {
    name: 'tells the modifiers',
    expects: 'modifiers Meta',
    async run(trial) {
      await listening(trial);
      await press(trial, 'MetaLeft', 'KeyJ');
      const key = await trial.hears('key', ({ code, down }) => code === 'KeyJ' && down);
      return unless(shown(key?.modifiers) === '["Meta"]', shown(key?.modifiers));
    },
  },
  {
    name: 'counts keys upwards',
    expects: 'n that grows with every press and release',
    async run(trial) {
      await listening(trial);
      await press(trial, 'MetaLeft', 'KeyJ');
      await press(trial, 'MetaLeft', 'KeyJ');
      const answer = answering(trial, () => true);
      await trial.until(async () => {
        await answer();
        return trial.all('key').length >= 4;
      });
      const counts = trial.all('key').map(({ n }) => n);
      const isGrowing = counts.every((n, i) => i === 0 || n > counts[i - 1]!);
      return unless(counts.length >= 4 && isGrowing, shown(counts));
    },
  },
  {
    name: 'has a clock that goes forward',
    expects: 'at that never goes back',
    async run(trial) {
      await listening(trial);
      for (let i = 0; i < 3; i++) {
        await press(trial, 'MetaLeft', 'KeyJ');
        await trial.quiet(15);
      }
      const answer = answering(trial, () => true);
      await trial.until(async () => {
        await answer();
        return trial.all('key').length >= 6;
      });
      const times = trial.all('key').map(({ at }) => at);
      const isForward = times.every((at, i) => i === 0 || at >= times[i - 1]!);
      return unless(times.length >= 6 && isForward, shown(times));
    },
  },
  {
    name: 'leaves other keys alone',
    expects: 'a key that is not listened for is the window’s, and not told of',
    async run(trial) {
      const window = await listening(trial);
      await press(trial, 'KeyK');
      const isTyped = await trial.until(async () =>
        (await typedIn(trial, window)).includes('KeyK'),
      );
      const told = trial.all('key').some(({ code }) => code === 'KeyK');
      return unless(isTyped && !told, told ? 'it was told of' : 'the window did not get it');
    },
  },
  {
    name: 'listens for exactly these modifiers',
    expects: 'the same key with another modifier is the window’s',
    async run(trial) {
      const window = await listening(trial);
      await press(trial, 'MetaLeft', 'ShiftLeft', 'KeyJ');
      const isTyped = await trial.until(async () => (await typedIn(trial, window)).length > 0);
      return unless(isTyped, 'the window did not get it');
    },
  },
  {
    name: 'takes a key that is taken',
    expects: 'a window never sees a key that was answered as taken',
    async run(trial) {
      const window = await listening(trial);
      const answer = answering(trial, () => true);
      await press(trial, 'MetaLeft', 'KeyJ');
      await trial.hears('key');
      await answer();
      await trial.quiet();
      await answer();
      const typed = await typedIn(trial, window);
      return unless(!typed.some((keys) => keys.includes('KeyJ')), shown(typed));
    },
  },
  {
    name: 'gives back a key that is not',
    expects: 'the window gets a key that was answered as not taken',
    async run(trial) {
      const window = await listening(trial);
      const answer = answering(trial, () => false);
      await press(trial, 'MetaLeft', 'KeyJ');
      await trial.hears('key');
      const isTyped = await trial.until(async () => {
        await answer();
        return (await typedIn(trial, window)).includes('Meta+KeyJ');
      });
      return unless(isTyped, shown(await typedIn(trial, window)));
    },
  },
  {
    name: 'gives back a key that nobody answers',
    expects: 'the window gets it after two seconds',
    async run(trial) {
      const window = await listening(trial);
      await press(trial, 'MetaLeft', 'KeyJ');
      const isTyped = await trial.until(
        async () => (await typedIn(trial, window)).includes('Meta+KeyJ'),
        3_000,
      );
      return unless(isTyped, 'nothing');
    },
  },
  {
    name: 'keeps keys in order',
    expects: 'what is pressed while a key waits for its answer reaches the window after it',
    async run(trial) {
      const window = await listening(trial, [{ code: 'KeyJ', modifiers: [] }]);
      await press(trial, 'KeyJ');
      await press(trial, 'KeyK');
      await trial.hears('key');
      const early = await typedIn(trial, window);
      const answer = answering(trial, () => false);
      const inOrder = () => typedIn(trial, window);
      await trial.until(async () => {
        await answer();
        return (await inOrder()).length >= 2;
      });
      const typed = await inOrder();
      return unless(
        early.length === 0 && shown(typed) === '["KeyJ","KeyK"]',
        shown([early, typed]),
      );
    },
  },
  {
    name: 'goes on after keys that overlap',
    expects: 'two keys are taken that are down at once, and the next one is the window’s',
    async run(trial) {
      const window = await listening(trial, [ONE, { code: 'KeyK', modifiers: ['Meta'] }]);
      const answer = answering(trial, () => true);
      const codes = ['MetaLeft', 'KeyJ', 'KeyK'];
      // The one that was pressed last is let go first.
      await press(trial, ...codes);
      await press(trial, 'KeyX');
      await trial.until(async () => {
        await answer();
        return (await typedIn(trial, window)).includes('KeyX');
      });
      const typed = await typedIn(trial, window);
      return unless(
        shown(typed.filter((keys) => !keys.includes('Meta'))) === '["KeyX"]',
        shown(typed),
      );
    },
  },
  {
    name: 'tells every key while it listens to all',
    expects: 'a key that is not among the triggers is told of, with whole',
    async run(trial) {
      await listening(trial, [ONE], true);
      await press(trial, 'KeyX');
      const key = await trial.hears('key', ({ code }) => code === 'KeyX');
      return unless(key !== null, 'nothing');
    },
  },
  {
    name: 'stops listening when told',
    expects: 'a key is the window’s once nothing is listened for',
    async run(trial) {
      const window = await listening(trial);
      trial.say({ type: 'listen', triggers: [], whole: false });
      await trial.quiet(60);
      await press(trial, 'MetaLeft', 'KeyJ');
      const isTyped = await trial.until(async () => (await typedIn(trial, window)).length > 0);
      return unless(isTyped && trial.all('key').length === 0, 'it was told of');
    },
  },
  {
    name: 'tells a button that is listened for',
    expects: 'button with its number, where the agent says that it can',
    async run(trial) {
      await listening(trial, [{ button: 8, modifiers: [] }]);
      if (!trial.all('hello')[0]?.can.includes('buttons')) return null;
      await trial.stimulus.do({ do: 'button', button: 8, down: true });
      await trial.stimulus.do({ do: 'button', button: 8, down: false });
      const button = await trial.hears('button', (each) => each.button === 8 && each.down);
      return unless(button !== null, 'nothing');
    },
  },
  {
    name: 'tells that the keyboard was taken away',
    expects: 'keys-lost',
    async run(trial) {
      await listening(trial, [ONE], true);
      await trial.stimulus.do({ do: 'lose-keyboard' });
      return unless((await trial.hears('keys-lost')) !== null, 'nothing');
    },
  },
];
