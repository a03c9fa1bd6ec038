import { commandSchema, commandText, expectedCommand } from '../commands/command.ts';
import { argumentsOf, COMMANDS, type Command } from '../commands/registry.ts';
import { parseText } from '../files/parse.ts';
import { trialStepSchema, type TrialStep } from '../model/trial.ts';
import { faultText, read } from '../values/faults.ts';
import { expectationText, readExpectation } from './expectation-text.ts';
import { stepText } from './script.ts';

/** A command whose arguments are at most so many words is looked for in all ways to share the words out. */
const MOST_WORDS = 6;

/**
 * A step of a trial on one line, as a person types it: a sentence, a command in words, keys, or where none of these
 * says all of it, the object that stands in a file. `readStepLine` reads it back.
 */
export function stepLine(step: TrialStep): string {
  const text = plainLine(step);
  if (text !== null) {
    const again = readStepLine(text);
    if (typeof again !== 'string' && isSame(again, step)) return text;
  }
  return JSON.stringify(step);
}

function isSame(one: unknown, other: unknown): boolean {
  return JSON.stringify(sorted(one)) === JSON.stringify(sorted(other));
}

function sorted(value: unknown): unknown {
  if (Array.isArray(value)) return value.map(sorted);
  if (typeof value !== 'object' || value === null) return value;
  const entries = Object.entries(value).sort(([a], [b]) => (a < b ? -1 : 1));
  return Object.fromEntries(entries.map(([name, part]) => [name, sorted(part)]));
}

function plainLine(step: TrialStep): string | null {
  if ('expect' in step) return expectationText(step.expect);
  if ('anyOrder' in step || 'open' in step || 'ask' in step) return null;
  if ('mark' in step) return `mark ${step.mark}`;
  if ('same' in step) return `same ${step.same}`;
  if ('retitle' in step) return `retitle ${step.retitle} ${step.title}`;
  return stepText(step);
}

/** Reads a step off a line; a message of what was expected where it is none. */
export function readStepLine(line: string): TrialStep | string {
  const text = line.trim();
  if (text === '')
    return 'a step or a sentence such as “press Main+KeyB” or “post is on workspace R”';
  if (text.startsWith('{')) return readObject(text);
  const [word = ''] = text.split(/\s/);
  if (isCommand(word)) return readCommand(text) ?? expectedCommand(word);
  const given = givenBy(word.toLowerCase(), text.slice(word.length).trim());
  // An app may be called as a step begins: then it is a sentence.
  const sentence = readExpectation(text);
  if (given !== null && typeof sentence === 'string') return readGiven(given);
  if (typeof sentence !== 'string') return { expect: sentence };
  return / is | has | shows |^(every|there|all|at|nothing) /i.test(text)
    ? sentence
    : `${expectedCommand(word)}; or ${sentence}`;
}

function isCommand(word: string): boolean {
  return (COMMANDS as readonly string[]).includes(word);
}

function readObject(text: string): TrialStep | string {
  const parsed = parseText(text, 'yaml');
  return parsed.ok
    ? readGiven(parsed.value)
    : parsed.faults.map(({ message }) => message).join('; ');
}

function readGiven(given: unknown): TrialStep | string {
  const result = read(trialStepSchema, given);
  return result.ok ? result.value : result.faults.map(faultText).join('; ');
}

/** What a step is by its first word; null where that begins none. */
function givenBy(word: string, rest: string): object | null {
  switch (word) {
    case 'press':
    case 'close':
    case 'point':
    case 'mark':
    case 'release':
      return { [word]: rest };
    case 'same':
      return { expect: { same: rest } };
    case 'plugged':
      return { plugged: rest === 'nothing' ? [] : rest.split(/\s*,\s*/) };
    case 'retitle': {
      const [id = '', ...title] = rest.split(' ');
      return { retitle: id, title: title.join(' ') };
    }
    case 'hold': {
      const [id = ''] = rest.split(/\s/);
      return { hold: (isCommand(id) ? readCommand(rest) : null) ?? id };
    }
    default:
      return null;
  }
}

/** The command that is said so, of those that its words can mean; null where there is none. */
function readCommand(text: string): Command | null {
  const [id = '', ...words] = text.split(/[\s,]+/);
  const wanted = text.split(/\s+/).join(' ');
  if (words.length > MOST_WORDS) return null;
  const names = argumentsOf({ command: id } as Command).map(({ field }) => field);
  for (const given of sharedOut(names, words)) {
    const command = commandSchema.safeParse({ command: id, ...given });
    if (command.success && commandText(command.data) === wanted) return command.data;
  }
  return null;
}

/** All ways in which fields take the words in their order, each one or more of them, or none. */
function* sharedOut(
  fields: readonly string[],
  words: readonly string[],
): Generator<Record<string, unknown>> {
  const [field, ...others] = fields;
  if (field === undefined) {
    if (words.length === 0) yield {};
    return;
  }
  for (let taken = words.length; taken >= 0; taken--) {
    const said = words.slice(0, taken).join(' ');
    for (const rest of sharedOut(others, words.slice(taken)))
      for (const value of valuesOf(said))
        yield value === undefined ? rest : { [field]: value, ...rest };
  }
}

/** What words can mean: themselves, a figure, that something is so, or a kind of layout. */
function valuesOf(said: string): unknown[] {
  if (said === '') return [undefined];
  const number = Number(said);
  return Number.isFinite(number) ? [said, number] : [said, true, { kind: said }];
}
