import { commandsThat } from '../commands/command.ts';
import { type KeyCommand, type KeyCommandId } from '../commands/registry.ts';
import { commandText } from '../commands/command.ts';
import { type Mark } from '../model/keys.ts';
import { directedOf, wayBack } from './ways-back.ts';
import type { BindingCandidate } from './binding-candidates.ts';

/** What is left out, and why. */
export interface LeftOut {
  text: string;
  uses: number;
  mark: Mark;
  because: string;
}

/** Two commands that step through what many lead to directly. */
export interface Substitute {
  by: readonly [string, string];
  instead: readonly string[];
}

export interface Chosen {
  wishes: BindingCandidate[];
  leftOut: LeftOut[];
  substitutes: Substitute[];
}

/** Commands that lead to one of several things by name, and which have the words next and previous for all. */
const ROUND = commandsThat(({ goesRound }) => goesRound === true);
const LEAST_REPLACED = 3;
const WORDS = ['next', 'previous', 'last', 'primary', 'left', 'right', 'up', 'down'];

/** The cost, in reach, of a use without keys, and of each further press of a key that goes round. */
const NO_KEY = 6;
const ONE_MORE_PRESS = 2;

/**
 * Chooses the commands that get keys. Spare commands are left out first, the least used before the others. While
 * there is still no room, the cheaper of two steps is taken for each key that it frees: the least used wanted
 * command is left out, or next and previous replace direct keys. Needed and pinned commands stay.
 *
 * @param room the number of keys
 */
export function choose(all: readonly BindingCandidate[], room: number): Chosen {
  const chosen: Chosen = { wishes: [...all], leftOut: [], substitutes: [] };
  const over = () => chosen.wishes.length - room;
  const drop = (wish: BindingCandidate, because: string) => {
    chosen.wishes = chosen.wishes.filter((each) => each !== wish);
    const { text, uses, mark } = wish;
    chosen.leftOut.push({ text, uses, mark, because });
  };
  for (const wish of leastUsed(chosen.wishes, 'spare')) {
    if (over() > 0) drop(wish, 'it is spare, and keys are few');
  }
  while (over() > 0) {
    const [least] = leastUsed(chosen.wishes, 'wanted');
    const round = cheapestRound(chosen.wishes);
    if (!least && !round) break;
    const isRound = round && (!least || round.costs / round.frees < least.uses * NO_KEY);
    if (isRound) goRound(chosen, round);
    else drop(least!, 'it is used less than what has keys');
  }
  for (const wish of leastUsed(chosen.wishes, 'needed')) {
    if (over() > 0) drop(wish, 'there are fewer keys than needed commands');
  }
  return chosen;
}

function leastUsed(wishes: readonly BindingCandidate[], mark: Mark): BindingCandidate[] {
  const together = usesTogether(wishes);
  return wishes
    .filter((wish) => wish.mark === mark && wish.pinned === null)
    .sort((a, b) => together(a) - together(b) || a.uses - b.uses || (a.text < b.text ? 1 : -1));
}

/**
 * The uses of the most used of several commands that belong together: all directions of a command, or a command and
 * its way back. One is of little use without the others.
 */
function usesTogether(wishes: readonly BindingCandidate[]): (wish: BindingCandidate) => number {
  const most = new Map<string, number>();
  const add = (key: string, uses: number) => most.set(key, Math.max(most.get(key) ?? 0, uses));
  for (const { command, text, uses } of wishes) {
    add(directedOf(command)?.family ?? text, uses);
    const back = wayBack(command);
    if (back) add(commandText(back), uses);
  }
  return ({ command, text }) =>
    Math.max(most.get(directedOf(command)?.family ?? text) ?? 0, most.get(text) ?? 0);
}

interface Round {
  id: KeyCommandId;
  direct: readonly BindingCandidate[];
  costs: number;
  frees: number;
}

/** Direct commands whose replacing costs the least for each key that is free after it. */
function cheapestRound(wishes: readonly BindingCandidate[]): Round | null {
  const rounds = ROUND.flatMap((id): Round[] => {
    const direct = wishes.filter(
      ({ command, mark, pinned }) =>
        command.command === id &&
        mark !== 'needed' &&
        pinned === null &&
        !WORDS.includes(whichOf(command)),
    );
    const added = ['next', 'previous'].filter(
      (which) => !wishes.some(({ text }) => text === `${id} ${which}`),
    );
    const frees = direct.length - added.length;
    if (direct.length < LEAST_REPLACED || frees < 1) return [];
    const uses = direct.reduce((sum, wish) => sum + wish.uses, 0);
    return [
      { id, direct, costs: uses * (pressesAmong(direct.length) - 1) * ONE_MORE_PRESS, frees },
    ];
  });
  return rounds.sort((a, b) => a.costs / a.frees - b.costs / b.frees)[0] ?? null;
}

/** Among so many in a round, the way to any of them, either way about, is a quarter of them in the mean. */
function pressesAmong(count: number): number {
  return Math.max(1, count / 4);
}

/** Puts next and previous in the place of direct commands. */
function goRound(chosen: Chosen, { id, direct }: Round): void {
  const uses = direct.reduce((sum, wish) => sum + wish.uses, 0);
  const each = (uses * pressesAmong(direct.length)) / 2;
  const rest = chosen.wishes.filter((wish) => !direct.includes(wish));
  for (const which of ['next', 'previous']) {
    const text = `${id} ${which}`;
    const there = rest.findIndex((wish) => wish.text === text);
    const command = { command: id, which } as KeyCommand;
    if (there < 0) rest.push({ command, text, uses: each, mark: 'wanted', pinned: null });
    else rest[there] = { ...rest[there]!, uses: rest[there]!.uses + each };
  }
  chosen.wishes = rest;
  // They may have gone before, when nobody used them.
  const by = [`${id} next`, `${id} previous`] as const;
  chosen.leftOut = chosen.leftOut.filter(({ text }) => !by.some((each) => each === text));
  chosen.substitutes.push({
    by,
    instead: direct.map(({ text }) => text),
  });
  const because = `${id} next and previous lead there`;
  chosen.leftOut.push(
    ...direct.map(({ text, uses: lost, mark }) => ({ text, uses: lost, mark, because })),
  );
}

function whichOf(command: KeyCommand): string {
  return 'which' in command ? (command.which ?? '') : '';
}
