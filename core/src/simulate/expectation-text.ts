import type { z } from 'zod';
import {
  expectationSchema,
  type Expectation,
  type OfEveryWindow,
  type WhichWindow,
  type WindowState,
} from '../model/expectation.ts';
import { read } from '../values/faults.ts';

const STATE_WORDS: Record<WindowState, string> = {
  lead: 'the lead',
  tiled: 'tiled',
  floating: 'floating',
  pocketed: 'pocketed',
  'left-alone': 'left alone',
  above: 'above the others',
  shown: 'shown',
  hidden: 'hidden',
  focused: 'focused',
};
const EVERY_WORDS: Record<OfEveryWindow, string> = {
  'in-reach': 'in reach',
  'at-least-its-minimum': 'at least its minimum',
  'at-home': 'on the monitor of its workspace',
};
/** Words with which a sentence begins: a name that is one of them stands in quotation marks. */
const BEGINNINGS = ['every', 'there', 'all', 'at', 'nothing', 'titled', 'monitor', 'workspace'];
const isPlain = (name: string) =>
  /^[^\s",()]*[^\s",().]$/.test(name) && !BEGINNINGS.includes(name.toLowerCase());
const nameText = (name: string) => (isPlain(name) ? name : JSON.stringify(name));
const listText = (parts: readonly string[]) => parts.join(', ');

/** The window as a sentence has it: pitreader, shell (2), titled "Inbox*". */
export function whichText(which: WhichWindow): string {
  if (typeof which === 'string') return nameText(which);
  if ('title' in which) return `titled ${JSON.stringify(which.title)}`;
  return `${nameText(which.app)} (${which.nth})`;
}

/** An expectation as a sentence; `readExpectation` reads it back. Names are ids, as the profile has them. */
export function expectationText(expectation: Expectation): string {
  if ('shows' in expectation)
    return `monitor ${nameText(expectation.monitor)} shows workspace ${nameText(expectation.shows)}`;
  if ('layout' in expectation)
    return `workspace ${nameText(expectation.workspace)} has layout ${expectation.layout}`;
  if ('every' in expectation) return `every window is ${EVERY_WORDS[expectation.every]}`;
  if ('findings' in expectation)
    return `there is no finding${expectation.findings.length > 0 ? ` of ${listText(expectation.findings)}` : ''}`;
  if ('same' in expectation) return `all is as at mark ${nameText(expectation.same)}`;
  if ('presses' in expectation) return `at most ${expectation.presses} key presses`;
  if ('moved' in expectation)
    return expectation.moved.length === 0
      ? 'nothing moved'
      : `nothing moved but ${listText(expectation.moved.map(whichText))}`;
  const window = whichText(expectation.window);
  if ('monitor' in expectation) return `${window} is on monitor ${nameText(expectation.monitor)}`;
  if ('workspace' in expectation)
    return `${window} is on workspace ${nameText(expectation.workspace)}`;
  if ('zone' in expectation) return `${window} is in zone ${nameText(expectation.zone)}`;
  if ('number' in expectation) return `${window} is number ${expectation.number}`;
  if ('is' in expectation) return `${window} is ${STATE_WORDS[expectation.is]}`;
  if ('beside' in expectation) return `${window} is beside ${whichText(expectation.beside)}`;
  if ('rect' in expectation) {
    const { x, y, width, height } = expectation.rect;
    return `${window} is at ${x} ${y}, ${width} × ${height}`;
  }
  const { width, height } = expectation.atLeast;
  return `${window} is at least ${width} × ${height}`;
}

const EXPECTED =
  'a sentence such as “pitreader is on monitor wide”, “shell (2) is floating” or “at most 3 key presses”';

/** A word, or a text in quotation marks. */
interface Token {
  text: string;
  isQuoted: boolean;
}
const TOKEN = /\s*(?:("(?:[^"\\]|\\.)*")|([(),])|([^\s",()]+))/y;

function tokensOf(sentence: string): Token[] | null {
  const tokens: Token[] = [];
  const text = sentence.trim().replace(/\.$/, '');
  TOKEN.lastIndex = 0;
  while (TOKEN.lastIndex < text.length) {
    const found = TOKEN.exec(text);
    if (!found) return null;
    try {
      if (found[1] !== undefined)
        tokens.push({ text: JSON.parse(found[1]) as string, isQuoted: true });
      else tokens.push({ text: (found[2] ?? found[3])!, isQuoted: false });
    } catch {
      return null;
    }
  }
  return tokens;
}

/** Reads words one after the other; a part that does not fit makes the whole sentence none. */
class Sentence {
  /** What could have come where a word stands that means nothing. */
  expected: string | null = null;
  private at = 0;
  private readonly tokens: readonly Token[];

  constructor(tokens: readonly Token[]) {
    this.tokens = tokens;
  }

  /** Goes past words where they come next. */
  words(words: string): boolean {
    const wanted = words.split(' ');
    const isNext = wanted.every((word, i) => {
      const token = this.tokens[this.at + i];
      return token && !token.isQuoted && token.text.toLowerCase() === word;
    });
    if (isNext) this.at += wanted.length;
    return isNext;
  }

  name(): string | undefined {
    const token = this.tokens[this.at];
    if (!token || (!token.isQuoted && /^[(),]$/.test(token.text))) return undefined;
    this.at += 1;
    return token.text;
  }

  number(): number {
    return Number(this.name() ?? Number.NaN);
  }

  /** A number, or a part such as 1/2. */
  least(): string | number | undefined {
    const name = this.name();
    return name === undefined || name.includes('/') ? name : Number(name);
  }

  window(): unknown {
    if (this.words('titled')) return { title: this.name() };
    const app = this.name();
    if (!this.words('(')) return app;
    const nth = this.number();
    return this.words(')') ? { app, nth } : undefined;
  }

  list(part: () => unknown): unknown[] {
    const parts = [part()];
    while (this.words(',')) parts.push(part());
    return parts;
  }

  /** One of some words, by what they stand for. */
  oneOf<T extends string>(words: Record<T, string>): T | undefined {
    // Longer ones first: "the lead" before a word that begins alike.
    const all = (Object.keys(words) as T[]).sort((a, b) => words[b].length - words[a].length);
    const found = all.find((each) => this.words(words[each]));
    if (found === undefined) this.expected = `one of ${Object.values(words).join(', ')}`;
    return found;
  }

  /** Goes back where the sentence turns out to be another one: an app may be called monitor. */
  attempt<T>(run: () => T | null): T | null {
    const before = this.at;
    const result = run();
    if (result === null) this.at = before;
    return result;
  }

  get isOver(): boolean {
    return this.at === this.tokens.length;
  }
}

/** Reads an expectation off its sentence; a message of what was expected where it is none. */
export function readExpectation(text: string): Expectation | string {
  const tokens = tokensOf(text);
  if (!tokens) return EXPECTED;
  const sentence = new Sentence(tokens);
  const given = objectOf(sentence);
  if (given === null || !sentence.isOver) return sentence.expected ?? EXPECTED;
  const result = read(expectationSchema as z.ZodType<Expectation>, given);
  if (result.ok) return result.value;
  const [fault] = result.faults;
  return fault ? `${fault.found}; expected ${fault.expected}` : EXPECTED;
}

function objectOf(sentence: Sentence): object | null {
  if (sentence.words('every window is')) return { every: sentence.oneOf(EVERY_WORDS) };
  if (sentence.words('there is no finding'))
    return { findings: sentence.words('of') ? sentence.list(() => sentence.name()) : [] };
  if (sentence.words('all is as at mark')) return { same: sentence.name() };
  if (sentence.words('at most')) {
    const presses = sentence.number();
    return sentence.words('key presses') || sentence.words('key press') ? { presses } : null;
  }
  if (sentence.words('nothing moved but')) return { moved: sentence.list(() => sentence.window()) };
  if (sentence.words('nothing moved')) return { moved: [] };
  return showsOf(sentence) ?? layoutOf(sentence) ?? ofWindow(sentence);
}

function showsOf(sentence: Sentence): object | null {
  return sentence.attempt(() => {
    if (!sentence.words('monitor')) return null;
    const monitor = sentence.name();
    return sentence.words('shows workspace') ? { monitor, shows: sentence.name() } : null;
  });
}

function layoutOf(sentence: Sentence): object | null {
  return sentence.attempt(() => {
    if (!sentence.words('workspace')) return null;
    const workspace = sentence.name();
    return sentence.words('has layout') ? { workspace, layout: sentence.name() } : null;
  });
}

function ofWindow(sentence: Sentence): object | null {
  const window = sentence.window();
  if (!sentence.words('is')) return null;
  if (sentence.words('on monitor')) return { window, monitor: sentence.name() };
  if (sentence.words('on workspace')) return { window, workspace: sentence.name() };
  if (sentence.words('in zone')) return { window, zone: sentence.name() };
  if (sentence.words('number')) return { window, number: sentence.number() };
  if (sentence.words('beside')) return { window, beside: sentence.window() };
  if (sentence.words('at least')) {
    const width = sentence.least();
    if (!sentence.words('×') && !sentence.words('x')) return null;
    return { window, atLeast: { width, height: sentence.least() } };
  }
  if (sentence.words('at')) {
    const [x, y] = [sentence.number(), sentence.number()];
    if (!sentence.words(',')) return null;
    const width = sentence.number();
    if (!sentence.words('×') && !sentence.words('x')) return null;
    return { window, rect: { x, y, width, height: sentence.number() } };
  }
  const is = sentence.oneOf(STATE_WORDS);
  return is === undefined ? null : { window, is };
}
