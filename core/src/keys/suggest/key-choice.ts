import { commandsThat } from '../../commands/command.ts';
import { type KeyCommand, type KeyCommandId } from '../../commands/registry.ts';
import { commandText } from '../../commands/command.ts';
import { type Mark } from '../../model/keys.ts';
import { directedOf, wayBack } from '../ways-back.ts';
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
  candidates: BindingCandidate[];
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
  const chosen: Chosen = { candidates: [...all], leftOut: [], substitutes: [] };
  const over = () => chosen.candidates.length - room;
  const drop = (candidate: BindingCandidate, because: string) => {
    chosen.candidates = chosen.candidates.filter((each) => each !== candidate);
    const { text, uses, mark } = candidate;
    chosen.leftOut.push({ text, uses, mark, because });
  };
  for (const candidate of leastUsed(chosen.candidates, 'spare')) {
    if (over() > 0) drop(candidate, 'it is spare, and keys are few');
  }
  while (over() > 0) {
    const [least] = leastUsed(chosen.candidates, 'wanted');
    const round = cheapestRound(chosen.candidates);
    if (!least && !round) break;
    const isRound = round && (!least || round.costs / round.frees < least.uses * NO_KEY);
    if (isRound) goRound(chosen, round);
    else drop(least!, 'it is used less than what has keys');
  }
  for (const candidate of leastUsed(chosen.candidates, 'needed')) {
    if (over() > 0) drop(candidate, 'there are fewer keys than needed commands');
  }
  return chosen;
}

function leastUsed(candidates: readonly BindingCandidate[], mark: Mark): BindingCandidate[] {
  const together = usesTogether(candidates);
  return candidates
    .filter((candidate) => candidate.mark === mark && candidate.pinned === null)
    .sort((a, b) => together(a) - together(b) || a.uses - b.uses || (a.text < b.text ? 1 : -1));
}

/**
 * The uses of the most used of several commands that belong together: all directions of a command, or a command and
 * its way back. One is of little use without the others.
 */
function usesTogether(
  candidates: readonly BindingCandidate[],
): (candidate: BindingCandidate) => number {
  const most = new Map<string, number>();
  const add = (key: string, uses: number) => most.set(key, Math.max(most.get(key) ?? 0, uses));
  for (const { command, text, uses } of candidates) {
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
function cheapestRound(candidates: readonly BindingCandidate[]): Round | null {
  const rounds = ROUND.flatMap((id): Round[] => {
    const direct = candidates.filter(
      ({ command, mark, pinned }) =>
        command.command === id &&
        mark !== 'needed' &&
        pinned === null &&
        !WORDS.includes(whichOf(command)),
    );
    const added = ['next', 'previous'].filter(
      (which) => !candidates.some(({ text }) => text === `${id} ${which}`),
    );
    const frees = direct.length - added.length;
    if (direct.length < LEAST_REPLACED || frees < 1) return [];
    const uses = direct.reduce((sum, candidate) => sum + candidate.uses, 0);
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
  const uses = direct.reduce((sum, candidate) => sum + candidate.uses, 0);
  const each = (uses * pressesAmong(direct.length)) / 2;
  const rest = chosen.candidates.filter((candidate) => !direct.includes(candidate));
  for (const which of ['next', 'previous']) {
    const text = `${id} ${which}`;
    const there = rest.findIndex((candidate) => candidate.text === text);
    const command = { command: id, which } as KeyCommand;
    if (there < 0) rest.push({ command, text, uses: each, mark: 'wanted', pinned: null });
    else rest[there] = { ...rest[there]!, uses: rest[there]!.uses + each };
  }
  chosen.candidates = rest;
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
