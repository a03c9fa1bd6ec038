import { profileSchema, type Profile } from '../model/profile.ts';
import { read } from '../values/faults.ts';
import type { Format } from './format.ts';
import { parseText } from './parse.ts';
import { spanOf, stepsOf, type Span } from './positions.ts';
import { unknownModifiers } from './unknown-modifiers.ts';

/** What is wrong at a place of a profile's text. */
export interface PlacedFault extends Span {
  /** Counted from 1. */
  line: number;
  message: string;
}

export type ProfileRead =
  { profile: Profile; faults: [] } | { profile: null; faults: PlacedFault[] };

/** The profile that a text says, or every fault in it with its place. */
export function readProfileText(text: string, format: Format): ProfileRead {
  const parsed = parseText(text, format);
  if (!parsed.ok) {
    const faults = parsed.faults.map(({ message, line, column }) => {
      const from = line === undefined ? 0 : offsetOf(text, line, column ?? 1);
      return placed(text, { from, to: endOfWord(text, from) }, message);
    });
    return { profile: null, faults };
  }
  const profile = read(profileSchema, parsed.value);
  const found = profile.ok ? unknownModifiers(profile.value) : profile.faults;
  if (profile.ok && found.length === 0) return { profile: profile.value, faults: [] };
  const faults = found.map(({ path, found: there, expected }) => {
    const message = `${path || 'the whole text'} is ${there}; expected ${expected}`;
    return placed(text, spanOf(text, format, stepsOf(path)), message);
  });
  return { profile: null, faults };
}

function placed(text: string, { from, to }: Span, message: string): PlacedFault {
  return { from, to, message, line: text.slice(0, from).split('\n').length };
}

function offsetOf(text: string, line: number, column: number): number {
  let at = 0;
  for (let passed = 1; passed < line; passed++) {
    const next = text.indexOf('\n', at);
    if (next < 0) break;
    at = next + 1;
  }
  return Math.min(text.length, at + column - 1);
}

function endOfWord(text: string, from: number): number {
  return from + (/^[^\s,:{}[\]]*/.exec(text.slice(from))?.[0].length ?? 0);
}
